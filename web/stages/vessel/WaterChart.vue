<script setup lang="ts">
import { curveMonotoneY, line } from 'd3-shape';
import { computed } from 'vue';
import type { WaterHeight } from '../../../core/survey/waterByHeight';
import { useFigures } from '../../units/figures';
import { useWaterScale } from './useWaterScale';

/** Water with the scape in it against its height, drawn over the front view: what a fill or a change comes to. */
const props = defineProps<{ width: number; height: number; innerMm: number }>();
const f = useFigures();
const scale = useWaterScale();

const most = computed(() => Math.max(1, scale.value.at(-1)?.litres ?? 1));
const X = (l: number) => (l / most.value) * props.width;
const Y = (mm: number) => props.height - (mm / props.innerMm) * props.height;
const path = computed(
  () =>
    line<WaterHeight>()
      .x((p) => X(p.litres))
      .y((p) => Y(p.mm))
      .curve(curveMonotoneY)(scale.value) ?? '',
);
/** A third, and two thirds up: figures to read off while the water rises. */
const marks = computed(() => scale.value.filter((_, i) => i === 8 || i === 16));
/** Words at a mark far to the right stand to its left. */
const onRight = (m: WaterHeight) => X(m.litres) > props.width * 0.55;
</script>

<template>
  <g v-if="scale.length" class="chart" pointer-events="none" data-test="water-chart">
    <path :d="path" />
    <g v-for="m in marks" :key="m.mm" :transform="`translate(${X(m.litres)} ${Y(m.mm)})`">
      <circle r="3" />
      <text :x="onRight(m) ? -8 : 8" :y="onRight(m) ? -6 : 12" :text-anchor="onRight(m) ? 'end' : 'start'"
        >{{ f.volume(m.litres, 0) }} at {{ f.length(m.mm) }}</text
      >
    </g>
    <text :x="width - 6" :y="height - 8" text-anchor="end">water with the scape in it</text>
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke: var(--water-line);
  stroke-width: 1.5;
  stroke-dasharray: 5 3;
}
circle {
  fill: var(--water-line);
}
text {
  font: 400 11px var(--text);
  fill: var(--ink-2);
}
</style>
