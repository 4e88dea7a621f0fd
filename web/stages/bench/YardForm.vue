<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { Material, Scan } from '../../../core/commission/schema';
import { api, ApiProblem } from '../../document/api';
import FigureField from '../../document/FigureField.vue';
import { useStudio } from '../../document/studioStore';
import WordsField from '../../document/WordsField.vue';
import { useFigures } from '../../units/figures';

/** A piece into the yard: by three sizes and what it weighs or displaces, or by a scan. */
const props = defineProps<{ materials: readonly Material[]; taken: ReadonlySet<string> }>();
const emit = defineEmits<{ done: [] }>();
const studio = useStudio();
const f = useFigures();

const kinds = computed(() =>
  props.materials
    .filter((m) => m.kind === 'stone' || m.kind === 'wood')
    .map((m) => ({ value: m.id, title: m.name })),
);
/** The next number that is free. */
function next(prefix: string): string {
  let n = 50;
  while (props.taken.has(`${prefix}-${n}`)) n++;
  return `${prefix}-${n}`;
}
const id = ref(next('S'));
const material = ref(kinds.value[0]?.value ?? '');
const size = ref<(number | undefined)[]>([undefined, undefined, undefined]);
const massKg = ref<number>();
const litres = ref<number>();
const scan = shallowRef<Scan>();
const unit = ref<'mm' | 'cm' | 'm'>('mm');
const said = ref('');
const busy = ref(false);
const UNITS = ['mm', 'cm', 'm'].map((value) => ({ value, title: `file in ${value}` }));

const setSize = (k: 0 | 1 | 2) => (mm: number | undefined) => {
  size.value = size.value.map((v, i) => (i === k ? mm : v));
  return undefined;
};
async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  busy.value = true;
  said.value = `Reading ${file.name}…`;
  try {
    const found = await api.takeScan(file, unit.value);
    scan.value = found.scan;
    said.value = [
      `${found.scan.triangles} triangles, ${f.volume(found.scan.volumeL, 2)}`,
      ...found.notes,
    ].join('; ');
  } catch (error) {
    said.value = error instanceof ApiProblem ? error.message : 'The file could not be read.';
  }
  busy.value = false;
}
async function add(): Promise<void> {
  const [a, b, c] = size.value;
  if (!scan.value && (!a || !b || !c))
    return void (said.value = 'Its three sizes are missing, or a scan of it.');
  busy.value = true;
  try {
    const doubts = await studio.add({
      id: id.value.trim(),
      material: material.value,
      ...(scan.value ? { scan: scan.value.mesh } : { sizeMm: [a!, b!, c!] }),
      ...(massKg.value ? { massKg: massKg.value } : {}),
      ...(litres.value ? { litres: litres.value } : {}),
    });
    if (doubts.length === 0) return emit('done');
    said.value = `${id.value} is in the yard. ${doubts.join(' ')}`;
    id.value = next(id.value.replace(/-\d+$/, ''));
  } catch (error) {
    said.value = error instanceof ApiProblem ? error.message : 'It could not be added.';
  }
  busy.value = false;
}
</script>

<template>
  <form class="into" data-test="yard-form" @submit.prevent="add">
    <WordsField label="number" :value="id" :apply="(t) => void (id = t)" data-test="yard-id" />
    <v-select v-model="material" class="of" label="of" :items="kinds" data-test="yard-material" />
    <FigureField label="wide" kind="length" optional :value="size[0]" :apply="setSize(0)" />
    <FigureField label="deep" kind="length" optional :value="size[1]" :apply="setSize(1)" />
    <FigureField label="high" kind="length" optional :value="size[2]" :apply="setSize(2)" />
    <FigureField label="weighs" kind="mass" optional :value="massKg" :apply="(v) => void (massKg = v)" />
    <FigureField label="displaces" kind="volume" optional :value="litres" :apply="(v) => void (litres = v)" />
    <label class="act scan"
      ><input type="file" accept=".stl,.obj,.glb" class="sr" data-test="scan" @change="take" />{{
        scan ? 'Another scan' : 'By a scan: STL, OBJ, GLB'
      }}</label
    >
    <v-select v-model="unit" label="scan" :items="UNITS" />
    <span class="ends">
      <button class="solid" type="submit" :disabled="busy" data-test="yard-add">Into the yard</button>
      <button class="act" type="button" @click="$emit('done')">Close</button>
    </span>
    <p v-if="said" class="quiet" aria-live="polite" data-test="yard-said">{{ said }}</p>
  </form>
</template>

<style scoped>
.into {
  display: grid;
  grid-template-columns: 76px 170px repeat(5, 82px) auto;
  gap: 0 12px;
  padding: 4px 14px;
  align-items: end;
  height: 100%;
  align-content: start;
  overflow-y: auto;
}
.scan {
  grid-column: 1 / 3;
  cursor: pointer;
  padding: 8px 0;
}
.scan:focus-within {
  outline: 2px solid var(--celadon);
}
.ends {
  grid-column: span 3;
  display: flex;
  gap: 14px;
}
p {
  grid-column: 1 / -1;
  margin: 2px 0;
}
@media (max-width: 700px) {
  .into {
    grid-template-columns: 1fr 1fr;
  }
  .ends {
    grid-column: 1 / -1;
  }
}
</style>
