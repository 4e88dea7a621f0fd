<script setup lang="ts">
import { computed } from 'vue';
import type { Vessel } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import WordsField from '../../document/WordsField.vue';

/** A tank that others had: how old, how its seams are, what shows, and whether it has stood full since. */
type SecondHand = NonNullable<Vessel['secondHand']>;
const commission = useCommission();
const edit = useDocEdit();
const had = computed(() => commission.document!.vessel.secondHand);
const set = (part: Partial<SecondHand>) => edit.vessel('secondHand', { ...had.value, ...part });
const SEAMS = [
  { value: undefined, title: 'not looked at' },
  { value: 'sound', title: 'look sound' },
  { value: 'doubtful', title: 'doubtful' },
  { value: 'renewed', title: 'renewed' },
] as const;
</script>

<template>
  <div class="figures">
    <v-switch
      :model-value="had !== undefined"
      label="Second-hand"
      data-test="second-hand"
      @update:model-value="(x) => edit.vessel('secondHand', x ? {} : undefined)"
    />
    <template v-if="had">
      <FigureField
        label="age"
        kind="plain"
        unit="years"
        optional
        :value="had.ageYears"
        :apply="(ageYears) => set({ ageYears })"
        data-test="age"
      />
      <v-select
        label="Seams"
        :items="SEAMS"
        :model-value="had.seams"
        data-test="seams"
        @update:model-value="(seams) => set({ seams })"
      />
      <v-switch
        :model-value="had.leakTested ?? false"
        label="Stood full for a day, dry"
        data-test="leak-tested"
        @update:model-value="(x) => set({ leakTested: Boolean(x) || undefined })"
      />
      <WordsField
        label="Scratches and chips"
        :value="had.scratches"
        :apply="(scratches) => set({ scratches })"
      />
    </template>
  </div>
</template>
