<script setup lang="ts">
import { computed } from 'vue';
import { decimal, useFigures } from '../../units/figures';
import type { ShownPlan } from '../../workers/planWorker';
import { wording } from '../../words/wording';

/** RO water of the first changes: what each day asks, and what there is of it. */
const props = defineProps<{ ro: NonNullable<ShownPlan['care']['ro']> }>();
const f = useFigures();
const WIDTH = 320;
const HEIGHT = 62;
const DAYS = 9;

const days = computed(() => props.ro.days.slice(0, DAYS));
const most = computed(() => Math.max(1, ...days.value.map((d) => Math.max(d.litres, d.storedL))));
const bars = computed(() =>
  days.value.map((d, i) => {
    const step = WIDTH / Math.max(5, days.value.length);
    const h = (l: number) => (l / most.value) * (HEIGHT - 8);
    return {
      day: d.afterDays,
      x: i * step + 4,
      w: step - 10,
      there: h(Math.min(d.storedL, d.litres)),
      asked: h(d.litres),
      short: d.shortL > 0.5,
    };
  }),
);
</script>

<template>
  <figure>
    <svg :width="WIDTH" :height="HEIGHT + 16" role="img" :aria-label="`RO water of ${days.length} changes`">
      <g v-for="b in bars" :key="b.day">
        <rect :x="b.x" :y="HEIGHT - b.asked" :width="b.w" :height="b.asked" class="asked" />
        <rect
          :x="b.x"
          :y="HEIGHT - b.there"
          :width="b.w"
          :height="b.there"
          :class="b.short ? 'short' : 'there'"
        />
        <text :x="b.x + b.w / 2" :y="HEIGHT + 13" text-anchor="middle">day {{ b.day }}</text>
      </g>
    </svg>
    <figcaption class="quiet">
      {{
        wording('roBars.says', {
          perDay: f.volume(ro.perDayL, 0),
          beforeFill: Math.round(ro.hoursBeforeFill),
          beforeChange: decimal(ro.days[0]?.hours ?? 0, 1),
        })
      }}
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 8px 0 4px;
}
text {
  font: 400 11px var(--text);
  fill: var(--ink-2);
}
.asked {
  fill: none;
  stroke: var(--ink-3);
}
.there {
  fill: var(--water-2);
}
.short {
  fill: var(--warn);
}
</style>
