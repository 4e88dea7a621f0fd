<script setup lang="ts">
import { computed } from 'vue';
import type { Supplier } from '../../../core/commission/schema';
import DayButtons from './DayButtons.vue';
import FigureField from '../../document/FigureField.vue';
import WordsField from '../../document/WordsField.vue';
import { clockTyped } from '../../units/dayInput';
import { wording } from '../../words/wording';

/** What a supplier asks beside its goods: least, carriage by steps, the hour until which an order counts, days for what lives. */
const props = defineProps<{ supplier: Supplier; currency: string }>();
const emit = defineEmits<{ keep: [supplier: Supplier] }>();
const steps = computed(() => props.supplier.carriage ?? []);
const set = (part: Partial<Supplier>) => void emit('keep', { ...props.supplier, ...part });
const setStep = (i: number, part: Partial<(typeof steps.value)[number]>) =>
  set({ carriage: steps.value.map((s, n) => (n === i ? { ...s, ...part } : s)) });
const add = () =>
  set({ carriage: [...steps.value, { fromMinor: steps.value.length ? 10_000 : 0, minor: 0 }] });
function drop(i: number): void {
  const left = steps.value.filter((_, n) => n !== i);
  set({ carriage: left.length ? left : undefined });
}
function setCutOff(text: string): string | undefined {
  const clock = text.trim() === '' ? undefined : clockTyped(text);
  if (clock !== undefined && !/^\d\d:\d\d$/.test(clock)) return wording('supplierTerms.noHour');
  set({ cutOff: clock });
  return undefined;
}
function setOpen(text: string): string | undefined {
  const [from, until] = text.split(/[–-]|\bto\b/).map((t) => clockTyped(t.trim()));
  if (text.trim() === '') return void set({ open: undefined });
  if (!/^\d\d:\d\d$/.test(from ?? '') || !/^\d\d:\d\d$/.test(until ?? '') || from >= until)
    return wording('supplierTerms.noHours');
  set({ open: [from, until] });
  return undefined;
}
</script>

<template>
  <details class="terms">
    <summary class="act" :data-terms="supplier.id">{{ wording('supplierTerms.title') }}</summary>
    <v-switch
      :model-value="supplier.shop ?? false"
      :label="wording('supplierTerms.shop')"
      data-test="is-shop"
      @update:model-value="(x) => set({ shop: Boolean(x) || undefined })"
    />
    <div class="figures">
      <WordsField
        v-if="supplier.shop"
        :label="wording('supplierTerms.open')"
        :value="supplier.open?.join('–')"
        :apply="setOpen"
        data-test="open"
      />
      <WordsField
        :label="wording('supplierTerms.contact')"
        :value="supplier.contact"
        :apply="(contact) => set({ contact: contact || undefined })"
      />
      <WordsField
        :label="wording('supplierTerms.cutOff')"
        :value="supplier.cutOff"
        :apply="setCutOff"
        data-test="cut-off"
      />
      <FigureField
        :label="wording('supplierTerms.minimum')"
        kind="money"
        :unit="currency"
        optional
        :value="supplier.minimumMinor"
        :apply="(minimumMinor) => set({ minimumMinor })"
        data-test="minimum"
      />
    </div>
    <div v-for="(s, i) in steps" :key="i" class="figures">
      <FigureField
        :label="wording('supplierTerms.from')"
        kind="money"
        :unit="currency"
        :value="s.fromMinor"
        :apply="(fromMinor) => setStep(i, { fromMinor })"
      />
      <FigureField
        :label="wording('supplierTerms.carriage')"
        kind="money"
        :unit="currency"
        :value="s.minor"
        :apply="(minor) => setStep(i, { minor })"
        data-test="carriage"
      />
      <button class="act" @click="drop(i)">Take away</button>
    </div>
    <p>
      <button class="act" data-test="add-carriage" @click="add">{{ wording('supplierTerms.add') }}</button>
    </p>
    <p class="living">
      <span>{{ wording('supplierTerms.living') }}</span>
      <DayButtons
        :days="supplier.livingDays ?? supplier.days"
        :label="wording('supplierTerms.living')"
        @change="(livingDays) => set({ livingDays })"
      />
    </p>
    <slot />
  </details>
</template>

<style scoped>
.terms {
  flex: 1 1 100%;
  min-width: 0;
}
.living {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px;
}
.living span {
  margin-right: 10px;
}
</style>
