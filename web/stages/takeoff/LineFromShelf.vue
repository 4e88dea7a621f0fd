<script setup lang="ts">
import { computed } from 'vue';
import { withoutTaken, withTaken } from '../../../core/edits/taken';
import type { TakeOffLine } from '../../../core/takeoff/line';
import { useCommission } from '../../document/commissionStore';
import { useFrame } from '../../frame/planKey';
import { today } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** What the studio's own shelf has of a line: taken from there, it is neither ordered nor paid. */
const props = defineProps<{ line: TakeOffLine }>();
const commission = useCommission();
const { plan } = useFrame();
const f = useFigures();
const offer = computed(() => plan.value?.shelfOffers.find((o) => o.line === props.line.id));
const said = (amount: number) => f.said(amount, props.line.needed.unit);

function take(amount: number): void {
  const item = props.line.id;
  commission.edit(`shelf ${item}`, (d) => withTaken(d, { item, amount, from: 'shelf', day: today() }));
}
function putBack(): void {
  const { id } = props.line;
  const own = (commission.document?.taken ?? []).filter((t) => t.item === id && t.from === 'shelf');
  commission.edit(`shelf ${id}`, (d) => own.reduce((doc, t) => withoutTaken(doc, t.id), d));
}
</script>

<template>
  <p v-if="offer" class="shelf" data-test="line-shelf" @click.stop>
    <span>{{
      offer.reserved > 0
        ? wording('lineFromShelf.hasReserved', { has: said(offer.has), reserved: said(offer.reserved) })
        : wording('lineFromShelf.has', { has: said(offer.has) })
    }}</span>
    <b v-if="offer.took > 0">{{ wording('lineFromShelf.took', { amount: said(offer.took) }) }}</b>
    <button v-if="offer.takes > 0" class="act" @click="take(offer.takes)">
      {{ wording('lineFromShelf.take', { amount: said(offer.takes) }) }}
    </button>
    <button v-if="offer.took > 0" class="act" @click="putBack">{{ wording('lineFromShelf.back') }}</button>
  </p>
</template>

<style scoped>
.shelf {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
  align-items: baseline;
  margin: 8px 0 0;
}
</style>
