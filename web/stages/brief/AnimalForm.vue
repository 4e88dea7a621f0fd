<script setup lang="ts">
import { reactive, ref } from 'vue';
import type { Animal } from '../../../core/commission/schema';
import type { NewAnimal } from './newAnimal';
import FigureField from '../../document/FigureField.vue';
import { useLocalForm } from '../../document/localForm';
import TickButtons from './TickButtons.vue';
import { wording } from '../../words/wording';

/** An animal that the list does not have: its name is enough, the rest as far as it is known. */
const props = defineProps<{ name: string }>();
const emit = defineEmits<{ add: [animal: NewAnimal]; cancel: [] }>();

const KINDS = [
  { value: 'fish', title: 'fish' },
  { value: 'shrimp', title: 'shrimp' },
  { value: 'snail', title: 'snail' },
] as const;
const kind = ref<Animal['kind']>('fish');
const known = reactive<{ adultMm?: number; group?: number; from?: number; to?: number }>({});
const fault = ref('');
const form = useLocalForm();

function add(): void {
  if (!form.settled()) return;
  const { adultMm, group, from, to } = known;
  const both = from !== undefined && to !== undefined;
  if (both && from > to) {
    fault.value = wording('animalForm.temperaturesTurned');
    return;
  }
  emit('add', {
    name: props.name,
    kind: kind.value,
    ...(adultMm ? { adultMm } : {}),
    ...(group ? { group: Math.round(group) } : {}),
    ...(both ? { tempC: [from, to] as [number, number] } : {}),
  });
}
const into = (key: keyof typeof known) => (value: number | undefined) => {
  known[key] = value;
  fault.value = '';
  return undefined;
};
</script>

<template>
  <section class="form" :aria-label="`Add ${name}`" data-test="animal-form">
    <p><b>{{ name }}</b> {{ wording('animalForm.unknown') }}</p>
    <TickButtons label="What it is" :choices="KINDS" :chosen="[kind]" @change="([k]) => (kind = k ?? kind)" />
    <div class="fields">
      <FigureField label="grows to" kind="length" optional :value="known.adultMm" :apply="into('adultMm')" />
      <FigureField
        label="kept in groups of"
        kind="plain"
        optional
        :value="known.group"
        :apply="into('group')"
      />
      <FigureField label="warm from" kind="temperature" optional :value="known.from" :apply="into('from')" />
      <FigureField label="to" kind="temperature" optional :value="known.to" :apply="into('to')" />
    </div>
    <p v-if="fault" class="late" role="alert">{{ fault }}</p>
    <p class="acts">
      <button class="act" data-test="animal-add" @click="add">Add it</button>
      <button class="act" @click="$emit('cancel')">Not now</button>
    </p>
  </section>
</template>

<style scoped>
.form {
  border-left: 3px solid var(--celadon);
  padding: 2px 0 4px 14px;
  margin: 6px 0 10px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 0 18px;
}
.acts {
  display: flex;
  gap: 18px;
}
@media (max-width: 700px) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
