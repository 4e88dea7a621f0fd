<script setup lang="ts">
import type { Vessel } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import { arrowStep } from '../../drawing/arrowStep';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import { wording } from '../../words/wording';

/** The corners of the region that is looked at: drawn to another place, moved by arrows, taken away, and set between two. */
type Corner = [number, number];
const props = defineProps<{ id: string; region: Corner[]; vessel: Vessel; k: number }>();
const emit = defineEmits<{ fault: [says: string] }>();
const commission = useCommission();

function become(region: Corner[]): void {
  const says = commission.tryEditOption(`corners ${props.id}`, (o) => ({
    ...o,
    plants: o.plants.map((p) => (p.id === props.id ? { ...p, region } : p)),
  }));
  emit('fault', says ? wording('usePainting.region', { fault: says }) : '');
}
const within = (mm: number, most: number) => Math.round(Math.min(Math.max(mm, 0), most));
function place(region: Corner[], i: number, [x, y]: Corner): void {
  const { length, width } = props.vessel.innerMm;
  become(region.with(i, [within(x, length), within(y, width)]));
}
const drag = usePointerDrag<{ i: number; region: Corner[] }>({
  start: (event) => {
    const { i, between } = (event.currentTarget as SVGElement).dataset;
    commission.beginStep();
    // Between two corners a third is begun.
    if (between)
      return { i: Number(i) + 1, region: props.region.toSpliced(Number(i) + 1, 0, middle(Number(i))) };
    return { i: Number(i), region: props.region };
  },
  move: ({ i, region }, { dx, dy }) =>
    place(region, i, [region[i][0] + dx / props.k, region[i][1] - dy / props.k]),
  end: () => commission.endStep(),
});
const middle = (i: number): Corner => {
  const [a, b] = [props.region[i], props.region[(i + 1) % props.region.length]];
  return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
};
function keyed(event: KeyboardEvent, i: number): void {
  if (event.key === 'Delete' && props.region.length > 3) return become(props.region.toSpliced(i, 1));
  const step = arrowStep(event, 5, 20);
  if (!step) return;
  event.preventDefault();
  event.stopPropagation();
  place(props.region, i, [props.region[i][0] + step[0], props.region[i][1] + step[1]]);
}
const X = ([x]: readonly number[]) => x * props.k;
const Y = ([, y]: readonly number[]) => (props.vessel.innerMm.width - y) * props.k;
</script>

<template>
  <g>
    <circle
      v-for="(_, i) in region.length <= 40 ? region : []"
      :key="`b${i}`"
      class="between"
      :cx="X(middle(i))"
      :cy="Y(middle(i))"
      r="3"
      :data-i="i"
      data-between="1"
      @pointerdown="drag"
      @click.stop
    />
    <circle
      v-for="(c, i) in region"
      :key="i"
      class="corner"
      :cx="X(c)"
      :cy="Y(c)"
      r="5"
      tabindex="0"
      role="button"
      :aria-label="`Corner ${i + 1}; Delete takes it away`"
      :data-i="i"
      :data-region-corner="i"
      @pointerdown="drag"
      @click.stop
      @keydown="keyed($event, i)"
    />
  </g>
</template>

<style scoped>
.corner {
  fill: var(--paper);
  stroke: var(--celadon);
  stroke-width: 2;
  cursor: grab;
}
.between {
  fill: var(--celadon);
  opacity: 0.55;
  cursor: copy;
}
</style>
