<script setup lang="ts">
import { computed } from 'vue';
import { withBrokenDown, withBrokenDownChanged, withoutBrokenDown } from '../../../core/edits/brokenDown';
import { useCommission } from '../../document/commissionStore';
import DayField from '../../document/DayField.vue';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import WordsField from '../../document/WordsField.vue';
import { percentOf, shareOf } from '../../../core/units/quantity';
import { wording } from '../../words/wording';

/** Scapes that are broken down elsewhere: each with its day; what comes out of it is said at the thing itself. */
const commission = useCommission();
const edit = useDocEdit();
const list = computed(() => commission.document!.brief.brokenDown ?? []);
type Change = Parameters<typeof withBrokenDownChanged>[2];
const set = (id: string, change: Change) =>
  edit.edit(`broken down ${id}`, (d) => withBrokenDownChanged(d, id, change));
function add(): void {
  commission.endStep();
  edit.edit('broken down', (d) => withBrokenDown(d, wording('brokenDownList.name')));
}
function remove(id: string): void {
  commission.endStep();
  edit.edit(`broken down ${id} gone`, (d) => withoutBrokenDown(d, id));
}
</script>

<template>
  <div v-for="b in list" :key="b.id" class="figures row" :data-broken-down="b.id">
    <WordsField
      :label="wording('brokenDownList.which')"
      :value="b.name"
      :apply="(name) => set(b.id, { name })"
      data-test="broken-down-name"
    />
    <DayField
      :label="wording('brokenDownList.day')"
      :value="b.day"
      :apply="(day) => set(b.id, { day })"
      data-test="broken-down-day"
    />
    <FigureField
      :label="wording('brokenDownList.price')"
      kind="money"
      :unit="commission.document!.currency"
      optional
      :value="b.priceMinor"
      :apply="(priceMinor) => set(b.id, { priceMinor })"
      data-test="lot-price"
    />
    <FigureField
      v-if="b.priceMinor"
      :label="wording('brokenDownList.share')"
      kind="plain"
      unit="%"
      optional
      :value="percentOf(b.share)"
      :apply="(percent) => set(b.id, { share: shareOf(percent) })"
      data-test="lot-share"
    />
    <v-switch
      :model-value="b.withTank ?? false"
      :label="wording('brokenDownList.tank')"
      data-test="lot-tank"
      @update:model-value="(x) => set(b.id, { withTank: Boolean(x) || undefined })"
    />
    <button class="act" @click="remove(b.id)">Take away</button>
  </div>
  <button class="act" data-test="add-broken-down" @click="add">
    {{ wording('brokenDownList.add') }}
  </button>
  <p v-if="list.length" class="quiet">{{ wording('brokenDownList.how') }}</p>
</template>

<style scoped>
.row {
  grid-template-columns: 1.5fr 1fr 1fr minmax(90px, 0.6fr) auto auto;
  align-items: end;
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: 1fr;
  }
}
</style>
