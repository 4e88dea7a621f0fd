<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { plantId } from '../../../core/catalogue/knownPlants';
import { LEAVES, type Plant } from '../../../core/commission/schema';
import { useKeeping } from './keeping';
import ListFile from './ListFile.vue';
import PackFields from './PackFields.vue';
import FigureField from '../FigureField.vue';
import { useLocalForm } from '../localForm';
import { useStudio } from '../studioStore';
import WordsField from '../WordsField.vue';
import { wording } from '../../words/wording';

/** The plants of the studio: each is changed in place, one is added in a minute, the list goes out and comes in as CSV. */
const props = defineProps<{ plants: readonly Plant[] }>();
const studio = useStudio();
const chosen = ref<string>();
const entry = shallowRef<Plant>();
const names = computed(() => props.plants.map((p) => ({ value: p.id, title: p.name })));
/** A plant of the studio goes to the server, when its field is left. */
useLocalForm();
watch(chosen, (id) => (entry.value = props.plants.find((p) => p.id === id)));

const HABITS = [
  'carpet',
  'grass',
  'creeper',
  'rosette',
  'stem',
  'bulb',
  'epiphyte',
  'moss',
  'float',
  'emersed',
] as const;
const ROOTS: Partial<Record<string, Plant['roots']>> = {
  epiphyte: 'epiphyte',
  moss: 'epiphyte',
  emersed: 'epiphyte',
  float: 'float',
};
const CO2 = [
  { value: 'needed', title: 'needed' },
  { value: 'helped', title: 'helps' },
  { value: 'without', title: 'without' },
];
const GROWTH = ['slow', 'medium', 'fast'];
const EMERSED = [
  { value: 'stay', title: 'stay' },
  { value: 'change', title: 'change' },
  { value: 'melt', title: 'melt' },
];
const co2 = computed(() =>
  entry.value?.needsCo2 ? 'needed' : entry.value?.helpedByCo2 ? 'helped' : 'without',
);

/** Kept with every change: what the server does not take is said, and the entry stays as it was typed. */
const { said, keep } = useKeeping('plants');
function change(part: Partial<Plant>): Promise<void> {
  entry.value = { ...entry.value!, ...part };
  return keep(entry.value);
}
const set = (part: (v: number | undefined) => Partial<Plant>) => (v: number | undefined) => {
  void change(part(v));
  return undefined;
};
const pair = (key: 'heightMm' | 'dli' | 'tempC' | 'gh', i: 0 | 1) => (v: number | undefined) => {
  const now = [...(entry.value?.[key] ?? [0, 0])] as [number, number];
  now[i] = v ?? 0;
  void change({ [key]: now });
  return undefined;
};
/** One of three figures; what is not known of the others is taken as that. */
const plugs = (i: 0 | 1 | 2) => (v: number | undefined) => {
  if (v === undefined) return set(() => ({ plugsAPack: undefined }))(v);
  const now = (entry.value?.plugsAPack ?? [v, v, v]).with(i, v) as [number, number, number];
  // Few are never more than many.
  void change({ plugsAPack: [Math.min(...now), now[1], Math.max(...now)] });
  return undefined;
};
const counted = computed(() => (entry.value ? studio.recorded[entry.value.id] : undefined));
const setHabit = (habit: Plant['habit']) => void change({ habit, roots: ROOTS[habit ?? ''] ?? 'bed' });
const setCo2 = (to: string) =>
  void change({ needsCo2: to === 'needed' || undefined, helpedByCo2: to === 'helped' || undefined });

async function add(name: string): Promise<void> {
  if (name.trim() === '') return;
  entry.value = {
    id: plantId(name),
    name: name.trim(),
    roots: 'bed',
    habit: 'stem',
    heightMm: [100, 300],
    growth: 'medium',
  };
  await change({});
  chosen.value = entry.value.id;
}
const fresh = ref('');
</script>

<template>
  <div>
    <p class="quiet">
      {{ wording('plantEntries.what') }}
    </p>
    <div class="pick">
      <v-autocomplete v-model="chosen" label="plant" :items="names" data-test="studio-plant" />
      <v-text-field
        v-model="fresh"
        label="or a new one: botanical name"
        data-test="new-plant"
        @keydown.enter="add(fresh)"
      />
      <button class="act" data-test="add-plant" @click="add(fresh)">Add</button>
    </div>
    <div v-if="entry" class="figures">
      <WordsField label="name" :value="entry.name" :apply="(name) => void change({ name })" />
      <v-select label="form" :items="[...HABITS]" :model-value="entry.habit" @update:model-value="setHabit" />
      <v-select
        label="grows"
        :items="GROWTH"
        :model-value="entry.growth"
        @update:model-value="(growth: Plant['growth']) => void change({ growth })"
      />
      <FigureField
        label="height from"
        kind="length"
        :value="entry.heightMm?.[0]"
        :apply="pair('heightMm', 0)"
      />
      <FigureField label="to" kind="length" :value="entry.heightMm?.[1]" :apply="pair('heightMm', 1)" />
      <FigureField
        label="one plug spreads"
        kind="length"
        optional
        :value="entry.spreadMm"
        :apply="set((spreadMm) => ({ spreadMm }))"
        data-test="plant-spread"
      />
      <FigureField
        label="light, lives from"
        kind="plain"
        unit="mol/m²/d"
        optional
        :value="entry.dli?.[0]"
        :apply="pair('dli', 0)"
      />
      <FigureField
        label="grows well with"
        kind="plain"
        unit="mol/m²/d"
        optional
        :value="entry.dli?.[1]"
        :apply="pair('dli', 1)"
      />
      <v-select label="CO2" :items="CO2" :model-value="co2" @update:model-value="setCo2" />
      <FigureField
        label="water from"
        kind="temperature"
        optional
        :value="entry.tempC?.[0]"
        :apply="pair('tempC', 0)"
      />
      <FigureField
        label="to"
        kind="temperature"
        optional
        :value="entry.tempC?.[1]"
        :apply="pair('tempC', 1)"
      />
      <FigureField
        label="hardness from"
        kind="hardness"
        optional
        :value="entry.gh?.[0]"
        :apply="pair('gh', 0)"
      />
      <FigureField
        label="hardness to"
        kind="hardness"
        optional
        :value="entry.gh?.[1]"
        :apply="pair('gh', 1)"
      />
      <FigureField
        label="plugs apart"
        kind="length"
        optional
        :value="entry.spacingMm"
        :apply="set((spacingMm) => ({ spacingMm }))"
      />
      <FigureField
        v-for="(words, i) in ['plugs a pack, few', 'as a rule', 'many']"
        :key="words"
        :label="words"
        kind="plain"
        optional
        :value="entry.plugsAPack?.[i]"
        :apply="plugs(i as 0 | 1 | 2)"
        :data-test="`plugs-a-pack-${i}`"
      />
      <PackFields
        :key="entry.id"
        :plant="entry"
        :suppliers="studio.studio?.catalogue.suppliers ?? []"
        :currency="studio.studio?.currency ?? ''"
        @change="(packs) => void change({ packs })"
      />
      <FigureField
        label="first trim after"
        kind="plain"
        unit="days"
        optional
        :value="entry.firstTrimDays"
        :apply="set((firstTrimDays) => ({ firstTrimDays }))"
      />
      <FigureField
        label="then every"
        kind="plain"
        unit="days"
        optional
        :value="entry.trimEveryDays"
        :apply="set((trimEveryDays) => ({ trimEveryDays }))"
      />
      <v-select
        label="leaves from above water"
        :items="EMERSED"
        :model-value="entry.emersedLeaves"
        @update:model-value="(emersedLeaves: Plant['emersedLeaves']) => void change({ emersedLeaves })"
      />
      <v-select
        label="leaf"
        :items="[...LEAVES]"
        :model-value="entry.leaf"
        @update:model-value="(leaf: Plant['leaf']) => void change({ leaf })"
      />
    </div>
    <p v-if="counted" class="quiet" data-test="counted">
      {{
        wording('plantEntries.counted', {
          least: counted.plugsAPack[0],
          most: counted.plugsAPack[2],
          usual: counted.plugsAPack[1],
          packs: counted.packs,
        })
      }}
    </p>
    <p v-if="said" class="says" role="status" data-test="plants-said">{{ said }}</p>
    <footer>
      <ListFile list="plants" @says="(words) => (said = words)" />
      <slot />
    </footer>
  </div>
</template>

<style scoped>
footer {
  display: flex;
  gap: 18px;
  align-items: center;
  margin-top: 10px;
}
.pick {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 0 16px;
  align-items: end;
}
</style>
