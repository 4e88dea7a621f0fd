<script setup lang="ts">
import { computed } from 'vue';
import { useFigures } from '../units/figures';
import { layerCuts, thicknessAt } from './bedPaths';
import type { Drawing } from './drawing';
import { colourOf, materialFor } from './colour';
import { cutSpan } from './outline';
import { sliceAt } from './slice';

/** The scape cut from front to back at a distance from the left, with the depth of every layer. */
const props = defineProps<Drawing & { cutMm: number }>();
const { length } = useFigures();

const Z = (mm: number) => (props.vessel.innerMm.height - mm) * props.k;
const U = (mm: number) => mm * props.k;
const column = computed(() =>
  Math.round(Math.min(Math.max(props.cutMm / props.field.dxMm, 0), props.field.columns)),
);

/** Where the cut meets the front and the back pane, mm. */
const span = computed(() => cutSpan(props.vessel, props.cutMm));

const layers = computed(() =>
  layerCuts(props.field, 'column', column.value, U, Z).map((d, i) => {
    const material = materialFor(props.materials, props.option.bed[i]?.material ?? '');
    return { d, fill: colourOf(material), kind: material?.kind, name: material?.kind ?? '' };
  }),
);
const cuts = computed(() =>
  props.option.pieces.flatMap((p) => {
    const z = props.survey.pieces.find((s) => s.id === p.id)?.zMm ?? 0;
    const rings = sliceAt(p.shape, p.turnDeg, p.tiltDeg, props.cutMm - p.at[0]);
    if (rings.length === 0) return [];
    const d = rings
      .map(
        (ring) =>
          `M${ring.map(([y, h]) => `${U(y + p.at[1]).toFixed(1)} ${Z(h + z).toFixed(1)}`).join('L')}Z`,
      )
      .join('');
    return [{ id: p.id, d, fill: colourOf(materialFor(props.materials, p.material)) }];
  }),
);

/** Two depths with their words stand beside each other from so many pixels on. */
const APART_PX = 120;

/** Depths written in: near the front, and where the bed is deepest. */
const depths = computed(() => {
  const [front, back] = span.value;
  const at = (y: number) => {
    let below = 0;
    const parts = thicknessAt(props.field, props.cutMm, y).flatMap((mm, i) => {
      const from = below;
      below += mm;
      return mm > 1.5 ? [{ mm, middle: from + mm / 2, name: layers.value[i].name }] : [];
    });
    return { y, top: below, parts };
  };
  const probes = Array.from({ length: 19 }, (_, i) => at(front + (back - front) * (0.05 + 0.05 * i)));
  const deepest = probes.reduce((a, b) => (b.top > a.top + 0.5 ? b : a));
  const apart = Math.abs(deepest.y - probes[1].y);
  if (apart <= (back - front) * 0.25) return [probes[1]];
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
    <rect :x="U(span[0])" :width="U(span[1] - span[0])" :height="Z(0)" fill="var(--paper)" />
    <rect
      :x="U(span[0])"
      :y="Z(vessel.waterLineMm)"
      :width="U(span[1] - span[0])"
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
    <path :d="`M${U(span[0])} ${Z(vessel.waterLineMm)} H ${U(span[1])}`" stroke="var(--water-line)" />
    <g v-for="d in depths" :key="d.y" pointer-events="none">
      <path :d="`M${U(d.y)} ${Z(0)} V ${Z(d.top)} m-5 0 h10`" stroke="#23211e" fill="none" />
      <g
        v-for="p in d.parts"
        :key="p.name"
        :transform="`translate(${Math.min(U(d.y) + 6, U(vessel.innerMm.width) - 76)} ${Z(p.middle)})`"
      >
        <rect y="-8" :width="`${length(p.mm)} ${p.name}`.length * 6.1 + 8" height="16" fill="#fdfbf6" />
        <text x="4" y="4">{{ length(p.mm) }} {{ p.name }}</text>
      </g>
    </g>
    <rect
      :x="U(span[0])"
      :width="U(span[1] - span[0])"
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
