<script setup lang="ts">
import { computed } from 'vue';
import type { Piece } from '../../core/commission/schema';
import { isMoved } from '../../core/commission/origin';
import { bedContours, slopeContours } from './bedPaths';
import type { Drawing } from './drawing';
import { colourOf, materialFor, shade } from './colour';
import { planPaths, ringPath } from './outline';
import { useKeptFocus } from './keptFocus';
import PieceDrawing from './PieceDrawing.vue';
import StrewnMarks from './StrewnMarks.vue';

/** The scape from above: contours of the bed, cut layers, pieces; the front glass is at the bottom. */
const props = defineProps<
  Drawing & {
    selected?: string;
    /** Further pieces that are selected with it. */
    also?: readonly string[];
    interactive?: boolean;
    overlay?: 'depth' | 'slope';
  }
>();
const emit = defineEmits<{
  grab: [event: PointerEvent, piece: Piece];
  key: [event: KeyboardEvent, piece: Piece];
  turn: [event: WheelEvent, piece: Piece];
  choose: [id: string];
}>();

const X = (mm: number) => mm * props.k;
const Y = (mm: number) => (props.vessel.innerMm.width - mm) * props.k;
const BANDS = [
  '#d9cdbb',
  '#cbbba5',
  '#bca88f',
  '#ac947a',
  '#9a8167',
  '#886e56',
  '#765d48',
  '#654e3c',
  '#574334',
];

const outline = computed(() => planPaths(props.vessel, X, Y));
const fixed = computed(() =>
  (props.vessel.fixed ?? []).map(({ id, at: [x, y], sizeMm: [w, d] }) => ({
    id,
    d: ringPath([[x, y], [x + w, y], [x + w, y + d], [x, y + d]], X, Y), // prettier-ignore
  })),
);

const contours = computed(() => {
  const list = bedContours(props.field, X, Y);
  return list.map((c, i) => ({
    ...c,
    fill: BANDS[
      Math.min(BANDS.length - 1, Math.round(((i + 1) * (BANDS.length - 1)) / Math.max(1, list.length)))
    ],
  }));
});
/** Gentle to steep; from what granules hold on in the colour of warnings. */
const STEEP = ['#dfe7df', '#c7d6c4', '#e6d9a6', '#dd9a55', '#b84d12'];
const slopes = computed(() =>
  props.overlay === 'slope' ? slopeContours(props.field, X, Y).map((s, i) => ({ ...s, fill: STEEP[i] })) : [],
);
/** Every second contour says its height, at the first point of its longest stretch. */
const labels = computed(() =>
  contours.value.flatMap((c, i) => {
    if (i % 2 === 1) return [];
    const ring = c.d.split('M').sort((a, b) => b.length - a.length)[0];
    const points = ring
      .replace('Z', '')
      .split('L')
      .map((p) => p.trim().split(' ').map(Number));
    const inside = points.filter(
      ([x, y]) => x > 22 && y > 16 && x < X(props.vessel.innerMm.length) - 22 && y < Y(0) - 8,
    );
    const at = inside[Math.floor(inside.length * 0.42)];
    return at ? [{ mm: c.mm, x: at[0], y: at[1] }] : [];
  }),
);
const cuts = computed(() =>
  props.option.bed.flatMap((layer) =>
    layer.region && layer.cuts
      ? [
          {
            id: layer.id,
            d: `M${layer.region.map(([x, y]) => `${X(x)} ${Y(y)}`).join('L')}Z`,
            fill: colourOf(materialFor(props.materials, layer.material)),
          },
        ]
      : [],
  ),
);
/** Lowest first, so that what lies on top is drawn last. */
const pieces = computed(() => {
  const top = new Map(props.survey.pieces.map((p) => [p.id, p.topMm]));
  return [...props.option.pieces].sort((a, b) => (top.get(a.id) ?? 0) - (top.get(b.id) ?? 0));
});
/** Where what stays stands now, and the way to where it is to stand. */
const before = computed(() => props.option.pieces.filter((p) => isMoved(p) && props.stays?.has(p.id)));
const colour = (piece: Piece) => colourOf(materialFor(props.materials, piece.material));
const clip = computed(() => `plan-${props.option.id}-${props.k.toFixed(3)}`);
useKeptFocus('data-plan-piece');
</script>

<template>
  <g>
    <defs>
      <clipPath :id="clip"><path :d="outline.display" /></clipPath>
      <pattern id="grain" width="7" height="7" patternUnits="userSpaceOnUse"
        ><circle cx="1.5" cy="2" r="0.7" fill="#b39f76" /><circle cx="5" cy="5.4" r="0.6" fill="#b39f76"
      /></pattern>
    </defs>
    <g :clip-path="`url(#${clip})`">
      <rect :width="X(vessel.innerMm.length)" :height="Y(0)" :fill="BANDS[0]" />
      <template v-if="overlay === 'slope'">
        <path v-for="s in slopes" :key="s.deg" :d="s.d" :fill="s.fill" data-test="slope-band" />
        <g :transform="`translate(8 ${Y(0) - 10})`" class="legend">
          <g v-for="(s, i) in slopes" :key="s.deg" :transform="`translate(${i * 58} 0)`">
            <rect y="-9" width="12" height="10" :fill="s.fill" /><text x="16">{{ s.deg }}°</text>
          </g>
        </g>
      </template>
      <path
        v-for="c in overlay === 'slope' ? [] : contours"
        :key="c.mm"
        :d="c.d"
        :fill="c.fill"
        stroke="#fbf6ec"
        stroke-width="0.9"
      />
      <template v-for="c in overlay === 'slope' ? [] : cuts" :key="c.id">
        <path :d="c.d" :fill="c.fill" :stroke="shade(c.fill, -0.25)" /><path :d="c.d" fill="url(#grain)" />
      </template>
      <text v-for="l in overlay === 'slope' ? [] : labels" :key="l.mm" :x="l.x" :y="l.y" class="height">{{
        Math.round(l.mm)
      }}</text>
      <slot />
    </g>
    <g v-for="p in before" :key="p.id" class="before" pointer-events="none" :data-before="p.id">
      <g :transform="`translate(${X(p.wasAt![0])} ${Y(p.wasAt![1])}) scale(${k})`">
        <PieceDrawing :piece="p" view="above" :colour="colour(p)" />
      </g>
      <path :d="`M${X(p.wasAt![0])} ${Y(p.wasAt![1])} L${X(p.at[0])} ${Y(p.at[1])}`" />
    </g>
    <g pointer-events="none">
      <StrewnMarks :option="option" :survey="survey" :materials="materials" :k="k" :x="X" :y="Y" />
    </g>
    <g>
      <g
        v-for="p in pieces"
        :key="p.id"
        :transform="`translate(${X(p.at[0])} ${Y(p.at[1])}) scale(${k})`"
        :class="{ piece: interactive }"
        :tabindex="interactive ? -1 : undefined"
        :data-plan-piece="p.id"
        @pointerdown="interactive && emit('grab', $event, p)"
        @wheel.prevent="interactive && emit('turn', $event, p)"
        @keydown="interactive && emit('key', $event, p)"
      >
        <PieceDrawing
          :piece="p"
          view="above"
          :colour="colour(p)"
          :selected="p.id === selected || also?.includes(p.id)"
          :stays="stays?.has(p.id)"
        />
      </g>
    </g>
    <g pointer-events="none">
      <circle
        v-for="p in survey.pockets"
        :key="p.id"
        :cx="X(p.at[0])"
        :cy="Y(p.at[1])"
        :r="p.radiusMm * k"
        :fill="colourOf(materialFor(materials, p.material))"
        stroke="#00000055"
        :data-pocket="p.id"
      />
      <path v-for="r in fixed" :key="r.id" :d="r.d" class="fixed" />
      <rect
        v-for="g in gear ?? []"
        :key="g.id"
        :x="X(g.at[0])"
        :y="Y(g.at[1] + g.sizeMm[1])"
        :width="X(g.sizeMm[0])"
        :height="X(g.sizeMm[1])"
        class="gear"
        :data-gear="g.id"
      >
        <title>{{ g.name }}</title>
      </rect>
      <path :d="outline.display" class="glass" />
      <path :d="outline.glass" class="glass" />
      <rect
        v-for="(b, i) in vessel.braces ?? []"
        :key="i"
        :x="X(b.fromMm)"
        :width="X(b.toMm - b.fromMm)"
        :height="Y(0)"
        class="brace"
      />
    </g>
  </g>
</template>

<style scoped>
.piece {
  cursor: grab;
  outline: none;
}
.before > g {
  opacity: 0.28;
}
.before > path {
  stroke: var(--water-line);
  stroke-width: 1.6px;
  stroke-dasharray: 5 4;
}
.glass {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6px;
}
.fixed {
  fill: var(--rule);
  stroke: var(--ink-2);
}
.gear {
  fill: #ffffff55;
  stroke: var(--ink);
  stroke-dasharray: 3 2;
}
.legend text {
  font: 600 11px var(--text);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
.brace {
  fill: #ffffff30;
  stroke: var(--ink-2);
  stroke-dasharray: 4 3;
}
.height {
  font: 500 11px var(--text);
  fill: #fdf9f1;
  text-anchor: middle;
  pointer-events: none;
  paint-order: stroke;
  stroke: #00000030;
  stroke-width: 2px;
}
</style>
