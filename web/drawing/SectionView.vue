<script setup lang="ts">
import { computed } from 'vue';
import { useFigures } from '../units/figures';
import { besideCut, type CutRun } from '../../core/view/cut';
import { cutLayers, thicknessAt } from './bedPaths';
import type { Drawing } from './drawing';
import { colourOf, materialFor } from './colour';
import { sliceAt } from './slice';

/** The scape cut upright along a line over the floor, with the depth of every layer. */
const props = defineProps<Drawing & { run: CutRun; turnDeg: number }>();
const { length } = useFigures();

const Z = (mm: number) => (props.vessel.innerMm.height - mm) * props.k;
const U = (mm: number) => mm * props.k;

const layers = computed(() =>
  cutLayers(props.field, props.run, U, Z).map((d, i) => {
    const material = materialFor(props.materials, props.option.bed[i]?.material ?? '');
    return { d, fill: colourOf(material), kind: material?.kind, name: material?.kind ?? '' };
  }),
);
const cuts = computed(() =>
  props.option.pieces.flatMap((p) => {
    const z = props.survey.pieces.find((s) => s.id === p.id)?.zMm ?? 0;
    const { alongMm, rightMm } = besideCut(props.run, p.at);
    // Turned with the cut, so that it runs to the back.
    const rings = sliceAt(p.shape, p.turnDeg - props.turnDeg, p.tiltDeg, -rightMm);
    if (rings.length === 0) return [];
    const d = rings
      .map(
        (ring) =>
          `M${ring.map(([y, h]) => `${U(y + alongMm).toFixed(1)} ${Z(h + z).toFixed(1)}`).join('L')}Z`,
      )
      .join('');
    return [{ id: p.id, d, fill: colourOf(materialFor(props.materials, p.material)) }];
  }),
);

/** Two depths with their words stand beside each other from so many pixels on. */
const APART_PX = 120;

/** Words of one depth stand below each other: the thicker layers keep theirs, px. */
const LINE_PX = 16;
function apartFrom<T extends { mm: number; middle: number }>(parts: T[]): T[] {
  const kept: T[] = [];
  for (const part of [...parts].sort((a, b) => b.mm - a.mm))
    if (kept.every((k) => U(Math.abs(k.middle - part.middle)) >= LINE_PX)) kept.push(part);
  return kept;
}

/** Depths written in: near where the cut begins, and where the bed is deepest. */
const depths = computed(() => {
  const { from, way, lengthMm } = props.run;
  const at = (y: number) => {
    let below = 0;
    const parts = thicknessAt(props.field, from[0] + y * way[0], from[1] + y * way[1]).flatMap((mm, i) => {
      const from = below;
      below += mm;
      return mm > 1.5 ? [{ mm, middle: from + mm / 2, name: layers.value[i].name }] : [];
    });
    return { y, top: below, parts: apartFrom(parts) };
  };
  const probes = Array.from({ length: 19 }, (_, i) => at(lengthMm * (0.05 + 0.05 * i)));
  const deepest = probes.reduce((a, b) => (b.top > a.top + 0.5 ? b : a));
  const apart = Math.abs(deepest.y - probes[1].y);
  if (apart <= lengthMm * 0.25) return [probes[1]];
  // Where there is room for one only, the deepest says more.
  return U(apart) > APART_PX ? [probes[1], deepest] : [deepest];
});
</script>

<template>
  <g>
    <defs>
      <pattern id="soil-dots" width="8" height="8" patternUnits="userSpaceOnUse"
        ><circle cx="2" cy="2" r="0.8" fill="#00000055" /><circle cx="6" cy="6" r="0.8" fill="#ffffff22"
      /></pattern>
      <pattern
        id="filler-hatch"
        width="7"
        height="7"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
        ><path d="M0 0 V7" stroke="#ffffff55" stroke-width="2"
      /></pattern>
    </defs>
    <rect :width="U(run.lengthMm)" :height="Z(0)" fill="var(--paper)" />
    <rect
      :y="Z(vessel.waterLineMm)"
      :width="U(run.lengthMm)"
      :height="Z(0) - Z(vessel.waterLineMm)"
      fill="var(--water)"
    />
    <template v-for="(l, i) in layers" :key="i">
      <path :d="l.d" :fill="l.fill" /><path
        v-if="l.kind !== 'sand'"
        :d="l.d"
        :fill="l.kind === 'filler' ? 'url(#filler-hatch)' : 'url(#soil-dots)'"
      />
    </template>
    <path v-for="c in cuts" :key="c.id" :d="c.d" :fill="c.fill" stroke="#2b2825" fill-rule="evenodd" />
    <path :d="`M0 ${Z(vessel.waterLineMm)} H ${U(run.lengthMm)}`" stroke="var(--water-line)" />
    <g v-for="d in depths" :key="d.y" pointer-events="none">
      <path :d="`M${U(d.y)} ${Z(0)} V ${Z(d.top)} m-5 0 h10`" stroke="#23211e" fill="none" />
      <g
        v-for="p in d.parts"
        :key="p.name"
        :transform="`translate(${Math.min(U(d.y) + 6, U(run.lengthMm) - 76)} ${Z(p.middle)})`"
      >
        <rect y="-8" :width="`${length(p.mm)} ${p.name}`.length * 6.1 + 8" height="16" fill="#fdfbf6" />
        <text x="4" y="4">{{ length(p.mm) }} {{ p.name }}</text>
      </g>
    </g>
    <rect
      :width="U(run.lengthMm)"
      :height="Z(0)"
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.6"
      pointer-events="none"
    />
  </g>
</template>

<style scoped>
text {
  font: 600 11px var(--text);
  fill: #23211e;
}
</style>
