<script setup lang="ts">
import { computed } from 'vue';
import type { Vessel } from '../../../core/commission/schema';
import type { SettledBed } from '../../workers/planWorker';

/** Where grains would come to lie: a dot for each cell that has risen, the larger the more. */
const props = defineProps<{ settled: SettledBed; vessel: Vessel; k: number }>();
/** Less than this is not drawn, mm; and dots stand so many cells apart. */
const LEAST_MM = 0.7;
const EVERY = 2;
const dots = computed(() => {
  const { columns, rows, risenMm } = props.settled;
  const { length, width } = props.vessel.innerMm;
  const list: { x: number; y: number; r: number }[] = [];
  for (let row = 0; row < rows; row += EVERY)
    for (let column = 0; column < columns; column += EVERY) {
      const mm = risenMm[row * columns + column];
      if (mm < LEAST_MM) continue;
      list.push({
        x: ((column + 0.5) / columns) * length * props.k,
        y: (1 - (row + 0.5) / rows) * width * props.k,
        r: Math.min(2.6, 0.7 + mm / 8),
      });
    }
  return list;
});
</script>

<template>
  <g pointer-events="none" data-test="settled-marks">
    <circle v-for="(d, i) in dots" :key="i" :cx="d.x" :cy="d.y" :r="d.r" />
  </g>
</template>

<style scoped>
circle {
  fill: var(--warn);
}
</style>
