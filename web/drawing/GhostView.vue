<script setup lang="ts">
import { computed } from 'vue';
import type { Piece } from '../../core/commission/schema';
import { facetsOf } from './facets';

/** The tank as it is now, drawn in outline over what is to be: its pieces, and from the front its bed at the glass. */
export interface Ghost {
  pieces: readonly Piece[];
  /** Height of each piece's place over the glass, mm. */
  zMm: ReadonlyMap<string, number>;
  /** Height of the bed behind the front glass, mm, from the left in even steps. */
  frontMm: readonly number[];
}
const props = defineProps<{
  ghost: Ghost;
  view: 'front' | 'above';
  /** Length and what stands upright in this view, height or width, mm; pixels a millimetre. */
  lengthMm: number;
  upMm: number;
  k: number;
}>();
const X = (mm: number) => mm * props.k;
const Y = (mm: number) => (props.upMm - mm) * props.k;
const outlines = computed(() =>
  props.ghost.pieces.map((p) => ({
    id: p.id,
    d: facetsOf(p.shape, p.turnDeg, p.tiltDeg, props.view).outline,
    at: `translate(${X(p.at[0])} ${Y(props.view === 'front' ? (props.ghost.zMm.get(p.id) ?? 0) : p.at[1])}) scale(${props.k})`, // prettier-ignore
  })),
);
const bed = computed(() => {
  const { frontMm } = props.ghost;
  const step = props.lengthMm / Math.max(1, frontMm.length);
  return frontMm.map((mm, i) => `${i === 0 ? 'M' : 'L'}${X((i + 0.5) * step)} ${Y(mm)}`).join('');
});
</script>

<template>
  <g class="ghost" pointer-events="none" data-test="ghost">
    <template v-if="view === 'front'"><path :d="bed" class="halo" /><path :d="bed" /></template>
    <g v-for="o in outlines" :key="o.id" :transform="o.at" :data-ghost="o.id">
      <path :d="o.d" class="halo" vector-effect="non-scaling-stroke" />
      <path :d="o.d" vector-effect="non-scaling-stroke" />
    </g>
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1.4;
  stroke-dasharray: 5 4;
}
/* Legible on dark soil as on water. */
.halo {
  stroke: var(--paper);
  stroke-width: 2.4;
  stroke-dasharray: none;
  opacity: 0.22;
}
</style>
