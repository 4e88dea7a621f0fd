<script setup lang="ts">
import type { Material, Option, Piece } from '../../../core/commission/schema';
import { useScapeEdit } from '../../document/scapeEdit';
import { useFigures } from '../../units/figures';
import { selectedPiece } from '../../frame/selection';
import type { ShownPlan } from '../../workers/planWorker';
import { pieceOrigin } from '../../../core/commission/origin';
import { useCommission } from '../../document/commissionStore';
import OriginMark from '../../drawing/OriginMark.vue';
import { pieceKey } from './pieceKeys';

/** The pieces as a list: everything that can be done on the sheet can be done from here by key. */
const props = defineProps<{ option: Option; materials: Material[]; survey?: ShownPlan['survey'] }>();
const edit = useScapeEdit();
const f = useFigures();
const commission = useCommission();

const surveyed = (p: Piece) => props.survey?.pieces.find((s) => s.id === p.id);
const originOf = (p: Piece) => pieceOrigin(commission.document!, p);
const name = (p: Piece) => props.materials.find((m) => m.id === p.material)?.name ?? p.material;
</script>

<template>
  <ul class="list">
    <li v-for="p in option.pieces" :key="p.id">
      <button
        class="plain"
        :class="{ chosen: p.id === selectedPiece }"
        :data-listed="p.id"
        @click="selectedPiece = p.id"
        @focus="selectedPiece = p.id"
        @keydown="pieceKey($event, p, 'above', edit)"
      >
        <b>{{ p.id }}</b> {{ name(p) }} <OriginMark :origin="originOf(p)" />
        <small v-if="surveyed(p)" class="quiet"
          >{{ f.mass(surveyed(p)!.massKg) }}, at {{ f.length(p.at[0]) }} / {{ f.length(p.at[1]) }}, top
          {{ f.length(surveyed(p)!.topMm) }}</small
        >
      </button>
    </li>
  </ul>
</template>

<style scoped>
.list {
  list-style: none;
  margin: 0;
  padding: 6px 10px;
  columns: 3;
  column-gap: 12px;
  height: 100%;
  overflow: auto;
}
button {
  width: 100%;
  padding: 3px 8px;
  line-height: 1.25;
  break-inside: avoid;
}
button small {
  display: block;
}
.chosen {
  background: var(--celadon-wash);
}
</style>
