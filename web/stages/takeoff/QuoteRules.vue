<script setup lang="ts">
import { computed, ref } from 'vue';
import { TAX_BY } from '../../../core/commission/quoteSchema';
import type { Commission } from '../../../core/commission/schema';
import { rulesOf, withExtra, withQuote } from '../../../core/edits/quote';
import { percentOf, shareOf } from '../../../core/units/quantity';
import { useCommission } from '../../document/commissionStore';
import DayField from '../../document/DayField.vue';
import FigureField from '../../document/FigureField.vue';
import { useStudio } from '../../document/studioStore';
import WordsField from '../../document/WordsField.vue';
import { wording } from '../../words/wording';

/** By which rules the work is priced; nothing of this stands on the client's sheet but what it comes to. */
type Rules = NonNullable<Commission['quote']>;
const commission = useCommission();
const studio = useStudio();
const rules = computed(() => commission.document!.quote ?? {});
const currency = computed(() => commission.document!.currency);
const set = (part: Partial<Rules>) =>
  commission.tryEdit(`quote ${Object.keys(part)[0]}`, (d) => withQuote(d, part));
const TAXES = TAX_BY.map((value) => ({ value, title: wording(value === 'line' ? 'quoteRules.byLine' : 'quoteRules.byTotal') })); // prettier-ignore
const setTax = (part: Partial<NonNullable<Rules['tax']>>) =>
  set({ tax: { name: wording('quoteRules.tax'), share: 0, ...rules.value.tax, ...part } });
const setExtra = (i: number, part: Partial<NonNullable<Rules['extras']>[number]>) =>
  set({ extras: rules.value.extras!.map((e, n) => (n === i ? { ...e, ...part } : e)) });
function add(): void {
  commission.endStep();
  commission.edit('quote extra', (d) => withExtra(d, wording('quoteRules.extra')));
}
function drop(i: number): void {
  const left = rules.value.extras!.filter((_, n) => n !== i);
  void set({ extras: left.length > 0 ? left : undefined });
}
const said = ref('');
/** New commissions begin with these. */
async function keep(): Promise<void> {
  try {
    await studio.load();
    await studio.keepHouse({ quote: rulesOf(rules.value) });
    said.value = wording('quoteRules.kept');
  } catch (error) {
    said.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <div class="rules">
    <h2>{{ wording('quoteRules.title') }}</h2>
    <div class="pair">
      <FigureField
        :label="wording('quoteRules.hour')"
        kind="money"
        :unit="currency"
        optional
        :value="rules.hourMinor"
        :apply="(hourMinor) => set({ hourMinor })"
        data-test="hour"
      />
      <FigureField
        :label="wording('quoteRules.travel')"
        kind="money"
        :unit="currency"
        optional
        :value="rules.travelMinor"
        :apply="(travelMinor) => set({ travelMinor })"
        data-test="travel"
      />
      <FigureField
        :label="wording('quoteRules.design')"
        kind="plain"
        unit="h"
        optional
        :value="rules.designHours"
        :apply="(designHours) => set({ designHours })"
      />
      <FigureField
        :label="wording('quoteRules.margin')"
        kind="plain"
        unit="%"
        optional
        :value="percentOf(rules.margin)"
        :apply="(p) => set({ margin: shareOf(p) })"
        data-test="margin"
      />
      <FigureField
        :label="wording('quoteRules.visits')"
        kind="plain"
        optional
        :value="rules.visits"
        :apply="(visits) => set({ visits })"
      />
      <FigureField
        :label="wording('quoteRules.visit')"
        kind="money"
        :unit="currency"
        optional
        :value="rules.visitMinor"
        :apply="(visitMinor) => set({ visitMinor })"
      />
      <WordsField
        :label="wording('quoteRules.taxName')"
        :value="rules.tax?.name"
        :apply="(name) => (name ? setTax({ name }) : set({ tax: undefined }))"
        data-test="tax-name"
      />
      <FigureField
        :label="wording('quoteRules.taxShare')"
        kind="plain"
        unit="%"
        optional
        :value="percentOf(rules.tax?.share)"
        :apply="(p) => (p === undefined ? set({ tax: undefined }) : setTax({ share: p / 100 }))"
        data-test="tax"
      />
      <v-select
        v-if="rules.tax"
        :label="wording('quoteRules.taxBy')"
        :items="TAXES"
        :model-value="rules.tax.by ?? 'total'"
        @update:model-value="(by) => setTax({ by })"
      />
      <FigureField
        :label="wording('quoteRules.round')"
        kind="money"
        :unit="currency"
        optional
        :value="rules.roundMinor"
        :apply="(roundMinor) => set({ roundMinor })"
      />
      <DayField
        :label="wording('quoteRules.until')"
        :value="rules.validUntil"
        :apply="(validUntil) => set({ validUntil: validUntil || undefined })"
      />
    </div>
    <div v-for="(e, i) in rules.extras" :key="e.key" class="extra">
      <WordsField
        :label="wording('quoteRules.extraName')"
        :value="e.name"
        :apply="(name) => setExtra(i, { name })"
      />
      <FigureField
        :label="wording('quoteRules.extraSum')"
        kind="money"
        :unit="currency"
        :value="e.minor"
        :apply="(minor) => setExtra(i, { minor })"
      />
      <button class="act" @click="drop(i)">Take away</button>
    </div>
    <button class="act" data-test="add-extra" @click="add">{{ wording('quoteRules.addExtra') }}</button>
    <WordsField
      :label="wording('quoteRules.not')"
      :lines="2"
      :value="rules.notIncluded"
      :apply="(notIncluded) => set({ notIncluded: notIncluded || undefined })"
    />
    <WordsField
      :label="wording('quoteRules.depends')"
      :lines="2"
      :value="rules.dependsOn"
      :apply="(dependsOn) => set({ dependsOn: dependsOn || undefined })"
    />
    <WordsField
      :label="wording('quoteRules.terms')"
      :lines="2"
      :value="rules.terms"
      :apply="(terms) => set({ terms: terms || undefined })"
    />
    <button class="act" data-test="keep-rules" @click="keep">{{ wording('quoteRules.keep') }}</button>
    <p v-if="said" class="quiet" role="status">{{ said }}</p>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 14px;
  align-items: end;
}
.extra {
  display: grid;
  grid-template-columns: 1fr 100px;
  gap: 0 14px;
}
</style>
