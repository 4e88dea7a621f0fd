<script setup lang="ts">
import { computed } from 'vue';
import type { UpkeepPart } from '../../../core/care/upkeep';
import StackedBar from '../../drawing/StackedBar.vue';
import { useFigures } from '../../units/figures';
import type { ShownPlan } from '../../workers/planWorker';

/** Minutes that this very scape asks, in its first and its eighth week, against what was promised. */
const props = defineProps<{ care: ShownPlan['care']; promised?: number }>();
const { words } = useFigures();
const W = 360;
const shown = computed(() => [props.care.weeks[0], props.care.weeks[7]]);
const most = computed(() => Math.max(props.promised ?? 0, ...shown.value.map((w) => w.minutes), 30) * 1.05);
const FILLS: Partial<Record<UpkeepPart['kind'], string>> = {
  panes: 'var(--clay-2)',
  trimming: '#9db9a8',
  filter: 'var(--sand)',
  tests: '#d9d2c4',
  food: '#c7b79f',
};
const bars = computed(() =>
  shown.value.map((week) => {
    const parts = week.upkeep.map((p) => ({
      key: p.kind,
      value: p.minutes,
      fill: FILLS[p.kind] ?? 'var(--water-2)',
    }));
    const says = week.upkeep.map((p) => `${words(p.what)} ${Math.round(p.minutes)}`).join(', ');
    return { week: week.week, minutes: week.minutes, overMin: week.overMin, parts, says };
  }),
);
</script>

<template>
  <div class="upkeep" data-test="upkeep">
    <div v-for="b in bars" :key="b.week">
      <p>
        Week {{ b.week }}: <b class="fig">{{ b.minutes }} min</b>&ensp;
        <span v-if="b.overMin > 0" class="late"> {{ Math.round(b.overMin) }} over&ensp;</span>
        <span class="quiet"> {{ b.says }}</span>
      </p>
      <StackedBar
        v-slot="{ at }"
        :parts="b.parts"
        :width="W"
        :most="most"
        :bar-height="12"
        :above="2"
        :below="2"
        :label="`Week ${b.week}: ${b.says} minutes`"
      >
        <path
          v-if="promised !== undefined"
          :d="`M${at(promised)} 0 V16`"
          stroke="var(--ink)"
          stroke-width="2"
        />
      </StackedBar>
    </div>
  </div>
</template>

<style scoped>
.upkeep {
  display: grid;
  gap: 4px;
  margin-top: 6px;
}
.upkeep :deep(svg) {
  max-width: 100%;
}
</style>
