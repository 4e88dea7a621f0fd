<script setup lang="ts">
import { computed } from 'vue';
import type { Option, Piece } from '../../../core/commission/schema';
import type { Sheet } from '../../bench/sheet';
import { facetsOf } from '../../bench/facets';
import { useBenchEdit } from '../../bench/useBenchEdit';
import { useFigures } from '../../shell/figures';
import FigureField from '../../shell/FigureField.vue';
import type { PlanView } from '../../workers/planWorker';

/** Typed values of the selected piece, beside it on the plan. */
const props = defineProps<{ piece: Piece; option: Option; sheet: Sheet; survey: PlanView['survey'] }>();
defineEmits<{ remove: [] }>();
const edit = useBenchEdit();
const f = useFigures();

const WIDTH = 216;
const HEIGHT = 214;
const place = computed(() => {
  const { k, plan } = props.sheet;
  const [x0, , x1] = facetsOf(props.piece.shape, props.piece.turnDeg, props.piece.tiltDeg, 'above').box;
  const right = plan.x + (props.piece.at[0] + x1) * k + 14;
  const left = right + WIDTH > props.sheet.width ? plan.x + (props.piece.at[0] + x0) * k - WIDTH - 14 : right;
  const top = plan.y + plan.h - props.piece.at[1] * k - HEIGHT / 2;
  return {
    left: `${Math.max(4, left)}px`,
    top: `${Math.min(Math.max(top, 8), props.sheet.height - HEIGHT - 4)}px`,
  };
});
const surveyed = computed(() => props.survey.pieces.find((p) => p.id === props.piece.id));
const partner = computed(() =>
  props.option.joints
    .find((j) => j.pieces.includes(props.piece.id))
    ?.pieces.find((id) => id !== props.piece.id),
);
const others = computed(() => props.option.pieces.filter((p) => p.id !== props.piece.id).map((p) => p.id));

const STANDS = [
  { value: 'bed', title: 'buried in the bed' },
  { value: 'floor', title: 'on the glass, on a pad' },
  { value: 'at', title: 'held at a height' },
  { value: 'on', title: 'resting on another' },
];
function standAs(kind: string): void {
  const stand = {
    bed: { kind: 'bed' as const, buryMm: 20 },
    floor: { kind: 'floor' as const, padMm: 5 },
    at: { kind: 'at' as const, zMm: Math.round(surveyed.value?.bottomMm ?? 100) },
    on: { kind: 'on' as const, piece: partner.value ?? others.value[0] ?? '' },
  }[kind];
  if (stand) edit.tryPiece(props.piece.id, 'stand', (p) => ({ ...p, stand }));
}
const setAt = (i: 0 | 1) => (mm: number | undefined) =>
  edit.tryPiece(props.piece.id, 'typed at', (p) => ({ ...p, at: i === 0 ? [mm!, p.at[1]] : [p.at[0], mm!] }));
</script>

<template>
  <section class="inspector" :style="place" :aria-label="`Piece ${piece.id}`" data-test="inspector">
    <header>
      <b>{{ piece.id }}</b
      ><span v-if="surveyed" class="quiet"
        >{{ f.mass(surveyed.massKg) }}, {{ f.volume(surveyed.volumeL, 2) }}</span
      >
    </header>
    <div class="fields">
      <FigureField label="from left" kind="length" :value="piece.at[0]" :apply="setAt(0)" />
      <FigureField label="from front" kind="length" :value="piece.at[1]" :apply="setAt(1)" />
      <FigureField
        label="turned"
        kind="degrees"
        :value="piece.turnDeg"
        :apply="(v) => edit.tryPiece(piece.id, 'typed turn', (p) => ({ ...p, turnDeg: v! }))"
      />
      <FigureField
        v-if="piece.stand.kind === 'bed'"
        label="buried"
        kind="length"
        :value="piece.stand.buryMm"
        :apply="
          (v) => edit.tryPiece(piece.id, 'typed bury', (p) => ({ ...p, stand: { kind: 'bed', buryMm: v! } }))
        "
      />
      <FigureField
        v-else-if="piece.stand.kind === 'at'"
        label="lowest point"
        kind="length"
        :value="piece.stand.zMm"
        :apply="
          (v) => edit.tryPiece(piece.id, 'typed height', (p) => ({ ...p, stand: { kind: 'at', zMm: v! } }))
        "
      />
      <FigureField
        v-else-if="piece.stand.kind === 'floor'"
        label="pad"
        kind="length"
        :value="piece.stand.padMm ?? 0"
        :apply="
          (v) => edit.tryPiece(piece.id, 'typed pad', (p) => ({ ...p, stand: { kind: 'floor', padMm: v! } }))
        "
      />
      <v-select
        v-else
        label="resting on"
        :items="others"
        :model-value="piece.stand.piece"
        @update:model-value="
          (id) => edit.tryPiece(piece.id, 'on', (p) => ({ ...p, stand: { kind: 'on', piece: id } }))
        "
      />
    </div>
    <v-select label="stands" :items="STANDS" :model-value="piece.stand.kind" @update:model-value="standAs" />
    <v-select
      label="glued to"
      :items="others"
      :model-value="partner"
      clearable
      @update:model-value="
        (id) => {
          if (partner) edit.join(piece.id, partner);
          if (id) edit.join(piece.id, id);
        }
      "
    />
    <button class="act off" @click="$emit('remove')">Take off the bench</button>
  </section>
</template>

<style scoped>
.inspector {
  position: absolute;
  width: 216px;
  background: var(--paper);
  border: 1px solid var(--celadon);
  padding: 8px 12px 4px;
  z-index: 2;
  box-shadow: 0 3px 14px #23211e26;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
header b {
  font: 600 14px var(--text);
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  column-gap: 14px;
}
.off {
  color: var(--ink-2);
  font-weight: 400;
  padding: 5px 0;
}
</style>
