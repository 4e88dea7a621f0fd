<script setup lang="ts">
import type { Animal } from '../../../core/commission/schema';
import FigureField from '../../document/FigureField.vue';
import { useLocalForm } from '../../document/localForm';
import WordsField from '../../document/WordsField.vue';
import { wording } from '../../words/wording';

/** One animal with what is known of it; kept with every field that is left. What is not known judges nothing. */
const props = defineProps<{ animal: Animal }>();
const emit = defineEmits<{ change: [animal: Animal]; drop: [] }>();
useLocalForm();

const change = (part: Partial<Animal>) => emit('change', { ...props.animal, ...part });
const RANGES = [
  { key: 'tempC', label: 'warmth', kind: 'temperature' },
  { key: 'ph', label: 'pH', kind: 'plain' },
  { key: 'gh', label: 'GH', kind: 'hardness' },
  { key: 'kh', label: 'KH', kind: 'hardness' },
] as const;
type Range = (typeof RANGES)[number]['key'];
/** Both ends are known or none is: an end alone is its own range until the other is typed. */
const end = (key: Range, i: 0 | 1) => (v: number | undefined) => {
  if (v === undefined) return void change({ [key]: undefined });
  const now = (props.animal[key] ?? [v, v]).with(i, v) as [number, number];
  if (now[0] > now[1]) return wording('animalCard.turned');
  return void change({ [key]: now });
};
const FLAGS = [
  ['digs', 'digs'],
  ['eatsShrimps', 'eats shrimps'],
  ['eatsPlants', 'eats plants'],
  ['jumps', 'jumps'],
] as const;
</script>

<template>
  <article class="card" data-test="animal-card">
    <header class="section-head">
      <h3>{{ animal.name }} <span class="quiet">{{ animal.kind }}</span></h3>
      <button class="act" @click="$emit('drop')">Take away</button>
    </header>
    <div class="figures">
      <WordsField label="name" :value="animal.name" :apply="(name) => void change({ name })" />
      <FigureField
        label="grows to"
        kind="length"
        optional
        :value="animal.adultMm"
        :apply="(adultMm) => void change({ adultMm })"
        data-test="animal-adult"
      />
      <FigureField
        label="kept in groups of"
        kind="plain"
        optional
        :value="animal.group"
        :apply="(group) => void change({ group: group && Math.round(group) })"
      />
      <FigureField
        label="tank at least, long"
        kind="length"
        optional
        :value="animal.leastMm"
        :apply="(leastMm) => void change({ leastMm })"
      />
      <v-select
        label="swims"
        :items="['top', 'middle', 'bottom']"
        clearable
        :model-value="animal.zone"
        @update:model-value="(zone: Animal['zone'] | null) => change({ zone: zone ?? undefined })"
      />
    </div>
    <div v-for="r in RANGES" :key="r.key" class="figures range">
      <FigureField
        :label="`${r.label} from`"
        :kind="r.kind"
        optional
        :value="animal[r.key]?.[0]"
        :apply="end(r.key, 0)"
        :data-test="`animal-${r.key}-from`"
      />
      <FigureField
        label="to"
        :kind="r.kind"
        optional
        :value="animal[r.key]?.[1]"
        :apply="end(r.key, 1)"
        :data-test="`animal-${r.key}-to`"
      />
    </div>
    <div class="flags">
      <v-switch
        v-for="[key, label] in FLAGS"
        :key="key"
        :label="label"
        :model-value="animal[key] ?? false"
        @update:model-value="(x) => change({ [key]: Boolean(x) || undefined })"
      />
    </div>
  </article>
</template>

<style scoped>
.card {
  background: var(--paper);
  padding: 12px 18px 18px;
}
.section-head {
  margin-bottom: 8px;
}
.figures {
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
}
.range {
  grid-template-columns: repeat(2, minmax(120px, 180px));
}
.flags {
  display: flex;
  flex-wrap: wrap;
  gap: 0 26px;
}
</style>
