<script setup lang="ts">
import { computed } from 'vue';
import type { Material, Option, Piece } from '../../../core/commission/schema';
import { useFigures } from '../../units/figures';
import { selectedPiece } from '../../frame/selection';
import type { ShownPlan } from '../../workers/planWorker';
import { pieceOrigin } from '../../../core/commission/origin';
import { useCommission } from '../../document/commissionStore';
import OriginMark from '../../drawing/OriginMark.vue';
import { wording } from '../../words/wording';

/** The pieces as a list: everything that can be done on the sheet can be done from here by key. */
const props = defineProps<{ option: Option; materials: Material[]; survey?: ShownPlan['survey'] }>();
defineEmits<{ key: [event: KeyboardEvent, piece: Piece] }>();
const f = useFigures();
const commission = useCommission();

const surveyed = (p: Piece) => props.survey?.pieces.find((s) => s.id === p.id);
const originOf = (p: Piece) => pieceOrigin(commission.document!, p);
/** From this on both sides are so much alike that the eye takes them for mirrored. */
const ALIKE = 0.94;
const percent = (share: number) => `${Math.round(share * 100)} %`;
/** What is noticed of the whole: figures to look at, no score. */
const noticed = computed(() => {
  const c = props.survey?.composition;
  if (!c || props.option.pieces.length === 0) return '';
  const count =
    wording('pieceList.stones', { count: c.stones }) +
    (c.stones > 0 && c.stones % 2 === 0 ? ', an even number' : '');
  const sides = c.evenness >= ALIKE ? wording('pieceList.mirrored', { share: percent(1 - c.evenness) }) : wording('pieceList.balance', { share: percent(c.evenness) }); // prettier-ignore
  return [
    count,
    ...(c.stones > 0 ? [wording('pieceList.tallest', { share: percent(c.tallestShare) })] : []),
    wording('pieceList.open', { share: percent(c.openShare) }),
    sides,
  ].join('; ');
});
const name = (p: Piece) => props.materials.find((m) => m.id === p.material)?.name ?? p.material;
</script>

<template>
  <p v-if="noticed" class="noticed quiet" data-test="composition">{{ noticed }}</p>
  <ul class="list">
    <li v-for="p in option.pieces" :key="p.id">
      <button
        class="plain"
        :class="{ chosen: p.id === selectedPiece }"
        :data-listed="p.id"
        @click="selectedPiece = p.id"
        @focus="selectedPiece = p.id"
        @keydown="$emit('key', $event, p)"
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
.noticed {
  padding: 6px 18px 0;
  margin: 0;
}
.list {
  list-style: none;
  margin: 0;
  padding: 6px 10px;
  columns: 3;
  column-gap: 12px;
  height: calc(100% - 28px);
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
