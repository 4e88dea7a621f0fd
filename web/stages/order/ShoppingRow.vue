<script setup lang="ts">
import { computed, ref } from 'vue';
import { withoutTaken, withTaken, withTakenChanged } from '../../../core/edits/taken';
import { isLiving } from '../../../core/commission/lookup';
import { sizeMmOf } from '../../../core/hardscape/extent';
import type { ShoppingLine } from '../../../core/staging/shopping';
import { useCommission } from '../../document/commissionStore';
import DayField from '../../document/DayField.vue';
import FigureField from '../../document/FigureField.vue';
import WordsField from '../../document/WordsField.vue';
import LineSwaps from '../../frame/LineSwaps.vue';
import ActualPieces from '../../frame/actual/ActualPieces.vue';
import { today } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import OtherPlants from './OtherPlants.vue';

/** One thing to look for in a shop: how much, from which size to which; what was taken of it, weighed and paid at the counter. */
const props = defineProps<{ line: ShoppingLine; supplier: string; name: string }>();
const commission = useCommission();
const f = useFigures();
const isDone = computed(() => props.line.missing.value === 0);
const figure = ({ value, unit }: ShoppingLine['wanted']) => f.said(Math.round(value * 100) / 100, unit);
const wanted = computed(() =>
  props.line.taken.length > 0 && !isDone.value
    ? wording('shoppingRow.missing', {
        missing: figure(props.line.missing),
        wanted: figure(props.line.wanted),
      })
    : figure(props.line.wanted),
);
const sizes = computed(() => {
  const s = props.line.sizesMm;
  if (!s) return '';
  const [from, to] = [f.length(s.from), f.length(s.to)];
  return wording(from === to ? 'shoppingRow.size' : 'shoppingRow.sizes', { count: s.count, from, to });
});
/** Pieces that are drawn for this line: one of them is what something else is taken instead of. */
const pieces = computed(() =>
  (props.line.pieces ?? []).flatMap((id) => {
    const piece = commission
      .document!.options.find((o) => o.id === commission.optionId)
      ?.pieces.find((p) => p.id === id);
    return piece ? [{ piece, says: wording('shoppingRow.insteadFor', { piece: id, sizes: sizeMmOf(piece.shape).map((mm) => f.length(mm)).join(' × ') }) }] : []; // prettier-ignore
  }),
);
const chosen = ref(props.line.pieces?.[0]);
const current = computed(
  () => (pieces.value.find((p) => p.piece.id === chosen.value) ?? pieces.value[0]).piece,
);
/** What is poured or strewn may be of another grain, a plant another one that lives where it is planted. */
const material = computed(() =>
  commission.document!.catalogue.materials.find((m) => m.id === props.line.line),
);
const isPlant = computed(() => isLiving(commission.document!, props.line.line));
const open = ref(false);
/** The packs that hold what is missing are taken, until the scales say otherwise. */
function take(): void {
  commission.endStep();
  commission.edit(`taken ${props.line.line}`, (d) =>
    withTaken(d, {
      item: props.line.line,
      supplier: props.supplier,
      amount: props.line.takes,
      paidMinor: props.line.priceMinor,
      day: today(),
    }),
  );
  open.value = true;
}
const set = (id: string, change: Parameters<typeof withTakenChanged>[2]) =>
  commission.tryEdit(`taken ${id} ${Object.keys(change)[0]}`, (d) => withTakenChanged(d, id, change));
function back(id: string): void {
  commission.endStep();
  commission.edit(`not taken ${id}`, (d) => withoutTaken(d, id));
}
</script>

<template>
  <div class="row" :class="{ done: isDone }" :data-shop-line="line.line">
    <button
      class="plain tick"
      :disabled="isDone"
      :aria-label="wording('shoppingRow.take', { name })"
      data-test="take"
      @click="take"
    >
      <svg width="26" height="26" aria-hidden="true">
        <rect x="2" y="2" width="22" height="22" />
        <path v-if="isDone" d="M6 13 l5 6 l9 -13" />
      </svg>
    </button>
    <div class="what">
      <b>{{ name }}</b>
      <span>{{ wanted }}</span>
      <span v-if="sizes">{{ sizes }}</span>
      <small v-if="line.packWords.length" class="quiet">{{
        line.packWords.map((p) => f.words(p)).join(' + ')
      }}</small>
    </div>
    <details v-if="pieces.length" class="taken" data-test="instead">
      <summary class="act">{{ wording('shoppingRow.instead') }}</summary>
      <select
        v-if="pieces.length > 1"
        v-model="chosen"
        :aria-label="wording('shoppingRow.insteadOf')"
        data-test="instead-of"
      >
        <option v-for="p in pieces" :key="p.piece.id" :value="p.piece.id">{{ p.says }}</option>
      </select>
      <p v-else class="quiet">{{ pieces[0].says }}</p>
      <ActualPieces :key="current.id" :option="commission.optionId" :piece="current" :supplier="supplier" />
    </details>
    <LineSwaps v-else-if="material && !isDone" class="taken" :material="material" />
    <OtherPlants v-else-if="isPlant && !isDone" class="taken" :plant="line.line" />
    <details v-if="line.taken.length" class="taken" :open="open">
      <summary class="act">{{ wording('shoppingRow.taken', { count: line.taken.length }) }}</summary>
      <div v-for="t in line.taken" :key="t.id" class="figures" :data-taken="t.id">
        <FigureField
          :label="wording('shoppingRow.amount')"
          kind="plain"
          :unit="line.wanted.unit"
          :value="t.amount"
          :apply="(amount) => set(t.id, { amount })"
          data-test="amount"
        />
        <FigureField
          :label="wording('shoppingRow.paid')"
          kind="money"
          :unit="commission.document!.currency"
          optional
          :value="t.paidMinor"
          :apply="(paidMinor) => set(t.id, { paidMinor })"
          data-test="paid"
        />
        <DayField
          :label="wording('shoppingRow.back')"
          :value="t.backUntil"
          :apply="(day) => set(t.id, { backUntil: day || undefined })"
        />
        <WordsField
          :label="wording('shoppingRow.note')"
          :value="t.note"
          :apply="(note) => set(t.id, { note: note || undefined })"
        />
        <button class="act" @click="back(t.id)">{{ wording('shoppingRow.not') }}</button>
      </div>
    </details>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 48px 1fr;
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
}
.tick {
  min-width: 44px;
  min-height: 44px;
}
.tick rect {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.tick path {
  fill: none;
  stroke: var(--celadon);
  stroke-width: 3;
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: baseline;
}
.what b {
  flex-basis: 100%;
}
.done .what {
  color: var(--ink-2);
}
.taken {
  grid-column: 2;
}
@media (max-width: 700px) {
  .taken .figures {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
