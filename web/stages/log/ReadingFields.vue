<script setup lang="ts">
import type { Reading } from '../../../core/commission/schema';
import FigureField from '../../document/FigureField.vue';
import { useFigures } from '../../units/figures';
import { readingFault, READINGS } from './readings';

/** What was read off: each figure by itself, none of them asked for. */
const props = defineProps<{ reading: Reading }>();
const emit = defineEmits<{ change: [Reading] }>();
const f = useFigures();

function set(key: keyof Reading, value: number | undefined): string | undefined {
  const next = { ...props.reading, [key]: value };
  if (value === undefined) delete next[key];
  const fault = readingFault(next);
  if (!fault) emit('change', next);
  return fault && f.words(fault);
}
</script>

<template>
  <fieldset class="readings">
    <legend class="quiet">Read off</legend>
    <FigureField
      v-for="r in READINGS"
      :key="r.key"
      :label="r.label"
      :kind="r.kind"
      :unit="r.unit"
      optional
      narrow
      :value="reading[r.key]"
      :apply="(value) => set(r.key, value)"
      :data-test="`read-${r.key}`"
    />
  </fieldset>
</template>

<style scoped>
.readings {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
  grid-template-columns: repeat(7, minmax(92px, 1fr));
  gap: 0 16px;
  align-items: start;
}
legend {
  padding: 0;
}
@media (max-width: 700px) {
  .readings {
    grid-template-columns: repeat(2, 1fr);
  }
}
</style>
