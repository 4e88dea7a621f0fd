<script setup lang="ts">
import { computed } from 'vue';
import type { Piece } from '../../core/commission/schema';
import type { Grown } from '../../core/planted/grown';
import { useFigures } from '../units/figures';
import { frontLayers, ridge, topRuns } from './bedPaths';
import type { Drawing } from './drawing';
import { colourOf, materialFor, shade } from './colour';
import { displaySpan } from './outline';
import { facetsOf } from './facets';
import { useKeptFocus } from './keptFocus';
import PieceDrawing from './PieceDrawing.vue';
import PlantsFront from './PlantsFront.vue';
import { wording } from '../words/wording';

/** The scape from the front: bed and pieces from back to front, the bed cut at the front glass. */
const props = defineProps<
  Drawing & {
    selected?: string;
    /** Further pieces that are selected with it. */
    also?: readonly string[];
    interactive?: boolean;
    /** What is planted, as it has grown by the day that is looked at. */
    plants?: readonly Grown[];
    /** The planting that is looked at: all others are drawn pale. */
    chosenPlant?: string;
  }
>();
const emit = defineEmits<{
  grab: [event: PointerEvent, piece: Piece];
  key: [event: KeyboardEvent, piece: Piece];
  turn: [event: WheelEvent, piece: Piece];
  choose: [id: string];
}>();
const { length, mass } = useFigures();

const H = computed(() => props.vessel.innerMm.height);
const W = computed(() => props.vessel.innerMm.width);
const X = (mm: number) => mm * props.k;
const Z = (mm: number) => (H.value - mm) * props.k;

/** Walls of chambers to the sides. */
const walls = computed(() =>
  displaySpan(props.vessel).filter((mm) => mm > 1 && mm < props.vessel.innerMm.length - 1),
);

/** Bands of bed from back to front. */
const BANDS = 22;
const bedColour = computed(() =>
  colourOf(
    materialFor(
      props.materials,
      props.option.bed.find((l) => !l.cuts && materialFor(props.materials, l.material)?.kind !== 'filler')
        ?.material ?? '',
    ),
  ),
);

interface Band {
  y: number;
  row: number;
  d: string;
  fill: string;
  runs: { d: string; fill: string }[];
}
const bands = computed((): Band[] =>
  Array.from({ length: BANDS }, (_, i) => {
    const row = Math.round((props.field.rows * (BANDS - i)) / BANDS);
    const far = (BANDS - i) / BANDS;
    return {
      y: row * props.field.dyMm,
      row,
      d: ridge(props.field, row, X, Z),
      fill: shade(bedColour.value, 0.52 * far - 0.06),
      runs: props.option.bed.flatMap((layer, n) =>
        layer.cuts
          ? [
              {
                d: topRuns(props.field, row, n, X, Z),
                fill: shade(colourOf(materialFor(props.materials, layer.material)), -0.03 + 0.12 * far),
              },
            ]
          : [],
      ),
    };
  }),
);

interface Thing {
  y: number;
  band?: Band;
  piece?: Piece;
}
const things = computed((): Thing[] =>
  [
    ...bands.value.map((band): Thing => ({ y: band.y, band })),
    ...props.option.pieces.map((piece): Thing => ({ y: piece.at[1], piece })),
  ].sort((a, b) => b.y - a.y),
);
const cut = computed(() =>
  frontLayers(props.field, X, Z).map((d, i) => ({
    d,
    fill: shade(colourOf(materialFor(props.materials, props.option.bed[i]?.material ?? '')), -0.16),
  })),
);
const surveyed = computed(() => new Map(props.survey.pieces.map((p) => [p.id, p])));
const colour = (piece: Piece) => colourOf(materialFor(props.materials, piece.material));
const label = (piece: Piece) => {
  const s = surveyed.value.get(piece.id);
  return wording(s ? 'frontView.pieceWeighed' : 'frontView.pieceAt', {
    id: piece.id,
    material: materialFor(props.materials, piece.material)?.name ?? '',
    mass: s ? mass(s.massKg) : '',
    left: length(piece.at[0]),
    front: length(piece.at[1]),
  });
};

/** Corner marks, name and height of the selected piece. */
const mark = computed(() => {
  const piece = props.option.pieces.find((p) => p.id === props.selected);
  const s = piece && surveyed.value.get(piece.id);
  if (!piece || !s) return undefined;
  const [x0, , x1] = facetsOf(piece.shape, piece.turnDeg, piece.tiltDeg, 'front').box;
  const buried = piece.stand.kind === 'bed' ? ` · buried ${length(piece.stand.buryMm)}` : '';
  return {
    left: X(piece.at[0] + x0) - 6,
    right: X(piece.at[0] + x1) + 6,
    top: Z(s.topMm) - 8,
    foot: Z(Math.max(0, s.bottomMm)),
    heightMm: s.topMm,
    says: `${piece.id} · ${s.massKg.toFixed(1)} kg${buried}`,
  };
});
useKeptFocus('data-piece');
</script>

<template>
  <g>
    <defs
      ><clipPath :id="`glass-${option.id}-${k.toFixed(3)}`"
        ><rect
          :x="-8"
          :y="-X(150)"
          :width="X(vessel.innerMm.length) + 16"
          :height="Z(0) + X(150)" /></clipPath
      ><clipPath :id="`inside-${option.id}-${k.toFixed(3)}`"
        ><rect :y="-X(150)" :width="X(vessel.innerMm.length)" :height="Z(0) + X(150)" /></clipPath
    ></defs>
    <rect x="0" y="0" :width="X(vessel.innerMm.length)" :height="X(H)" fill="var(--paper)" />
    <rect
      x="0"
      :y="Z(vessel.waterLineMm)"
      :width="X(vessel.innerMm.length)"
      :height="X(vessel.waterLineMm)"
      fill="var(--water)"
    />
    <slot />
    <g :clip-path="`url(#glass-${option.id}-${k.toFixed(3)})`">
      <template v-for="(t, i) in things" :key="t.piece?.id ?? `band ${i}`">
        <g v-if="t.band" class="band">
          <path :d="t.band.d" :fill="t.band.fill" />
          <path v-for="(r, n) in t.band.runs" :key="n" :d="r.d" :fill="r.fill" />
          <PlantsFront
            v-if="plants"
            :clip-path="`url(#inside-${option.id}-${k.toFixed(3)})`"
            :plants="plants"
            :from="t.band.y"
            :depth="W / BANDS"
            :x-scale="X"
            :z-scale="Z"
            :far="t.band.y / W"
            :highest-mm="vessel.waterLineMm"
            :chosen="chosenPlant"
          />
        </g>
        <g
          v-else-if="t.piece"
          :transform="`translate(${X(t.piece.at[0])} ${Z(surveyed.get(t.piece.id)?.zMm ?? 0)}) scale(${k})`"
          :class="{ piece: interactive }"
          :tabindex="interactive ? 0 : undefined"
          :role="interactive ? 'button' : 'img'"
          :aria-label="label(t.piece)"
          :aria-pressed="interactive ? t.piece.id === selected : undefined"
          :data-piece="t.piece.id"
          @pointerdown="interactive && emit('grab', $event, t.piece)"
          @wheel="interactive && (($event as WheelEvent).preventDefault(), emit('turn', $event, t.piece))"
          @keydown="interactive && emit('key', $event, t.piece)"
          @focus="interactive && emit('choose', t.piece.id)"
        >
          <PieceDrawing
            :piece="t.piece"
            view="front"
            :colour="colour(t.piece)"
            :selected="t.piece.id === selected || also?.includes(t.piece.id)"
            :stays="stays?.has(t.piece.id)"
          />
        </g>
      </template>
      <path
        v-for="p in survey.pockets"
        :key="p.id"
        :d="`M${X(p.at[0] - p.radiusMm)} ${Z(p.at[2])} Q${X(p.at[0])} ${Z(p.at[2] + 2 * p.heightMm)} ${X(p.at[0] + p.radiusMm)} ${Z(p.at[2])}Z`"
        :fill="colourOf(materialFor(materials, p.material))"
        pointer-events="none"
        :data-pocket="p.id"
      />
      <g v-for="g in gear ?? []" :key="g.id" class="gear" pointer-events="none" :data-gear="g.id">
        <title>{{ g.name }}</title>
        <rect
          :x="X(g.at[0])"
          :y="Z(g.zMm + g.sizeMm[2])"
          :width="X(g.sizeMm[0])"
          :height="Z(g.zMm) - Z(g.zMm + g.sizeMm[2])"
        />
      </g>
      <path v-for="(c, i) in cut" :key="i" :d="c.d" :fill="c.fill" class="cut" />
    </g>
    <rect
      v-for="t in vessel.fixed ?? []"
      :key="t.id"
      :x="X(t.at[0])"
      :y="Z((t.zMm ?? 0) + t.sizeMm[2])"
      :width="X(t.sizeMm[0])"
      :height="X(t.sizeMm[2])"
      class="fixed"
    />
    <path v-for="w in walls" :key="w" :d="`M${X(w)} 0 V ${Z(0)}`" class="wall" />
    <path :d="`M0 ${Z(vessel.waterLineMm)} H ${X(vessel.innerMm.length)}`" stroke="var(--water-line)" />
    <g v-if="mark" class="mark" pointer-events="none">
      <path
        :d="`M${mark.left} ${mark.top + 9} v-9 h9 M${mark.right} ${mark.top + 9} v-9 h-9`"
        fill="none"
        stroke="var(--celadon)"
        stroke-width="2.4"
      />
      <text :x="Math.max(4, mark.left)" :y="Math.max(12, mark.top - 7)">{{ mark.says }}</text>
      <path
        :d="`M${mark.right + 12} ${mark.top + 8} h-5 M${mark.right + 9.5} ${mark.top + 8} V ${Z(0)} `"
        fill="none"
        stroke="var(--celadon)"
      />
      <text :x="mark.right + 15" :y="(mark.top + Z(0)) / 2">{{ length(mark.heightMm) }}</text>
    </g>
  </g>
</template>

<style scoped>
.piece {
  cursor: grab;
  outline: none;
}
.piece:focus-visible :deep(path:last-child) {
  stroke: var(--celadon);
  stroke-width: 2.4px;
}
.fixed {
  fill: var(--rule);
  fill-opacity: 0.6;
  stroke: var(--ink-2);
  pointer-events: none;
}
.wall {
  stroke: var(--ink);
  stroke-width: 1.4;
}
.cut {
  pointer-events: none;
}
.mark text {
  font: 600 12px var(--text);
  fill: var(--celadon);
  paint-order: stroke;
  stroke: var(--water);
  stroke-width: 4px;
  stroke-linejoin: round;
}
.gear rect {
  fill: #ffffff55;
  stroke: var(--ink);
  stroke-dasharray: 3 2;
}
</style>
