<script setup lang="ts">
import { computed } from 'vue';
import type { Vessel } from '../../../core/commission/schema';
import { useFigures } from '../../units/figures';
import type { Around } from '../../workers/planWorker';

/** What is clear around the selected piece, as dimension lines on the plan. A figure is pressed to set it. */
const props = defineProps<{ around: Around; vessel: Vessel; k: number }>();
defineEmits<{ set: [clear: Around['clear'][number]] }>();
const f = useFigures();

/** A finger’s width is left between two pieces of a small tank, and 10 mm to the front for the blade (common practice). */
const CANYON_MM = 25;
const BLADE_MM = 10;
const W = computed(() => props.vessel.innerMm.width);
const lines = computed(() =>
  props.around.clear
    .filter((c) => c.mm > 0)
    .map((c) => {
      const [x1, y1] = [c.from[0] * props.k, (W.value - c.from[1]) * props.k];
      const [x2, y2] = [c.at[0] * props.k, (W.value - c.at[1]) * props.k];
      const least = c.to === 'front' ? BLADE_MM : ['left', 'right', 'back'].includes(c.to) ? 0 : CANYON_MM;
      return { ...c, d: `M${x1} ${y1} L${x2} ${y2}`, x: (x1 + x2) / 2, y: (y1 + y2) / 2, near: c.mm < least };
    }),
);
</script>

<template>
  <g class="clear" data-test="clearances">
    <g v-for="l in lines" :key="l.to" :class="{ near: l.near }">
      <path :d="l.d" />
      <text
        :x="l.x + 5"
        :y="l.y + 4"
        role="button"
        tabindex="0"
        :aria-label="`${f.length(l.mm)} to ${l.to}: set it`"
        :data-clear="l.to"
        @pointerdown.stop
        @click.stop="$emit('set', l)"
        @keydown.enter.prevent="$emit('set', l)"
      >
        {{ f.length(l.mm) }}
      </text>
    </g>
  </g>
</template>

<style scoped src="./pressedFigures.css"></style>
<style scoped>
path {
  stroke-width: 1.3;
}
.near path {
  stroke: var(--warn);
}
.near text {
  fill: var(--warn);
}
</style>
