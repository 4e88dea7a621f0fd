<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { Material } from '../../../../core/commission/schema';
import type { Point } from '../../../../core/geometry/polygon';
import type { Branch } from '../../../../core/yard/branches';
import { api, ApiProblem, type YardAsk } from '../../../document/api';
import FigureField from '../../../document/FigureField.vue';
import { useStudio } from '../../../document/studioStore';
import WordsField from '../../../document/WordsField.vue';
import { useFigures } from '../../../units/figures';
import YardBranches from './YardBranches.vue';
import YardPhotos from './YardPhotos.vue';
import { wording } from '../../../words/wording';
import MaterialChoice from '../../../document/catalogue/MaterialChoice.vue';

/** A piece into the yard: by three sizes, two photographs, its branches or a scan; with what it weighs or displaces. */
const props = defineProps<{ materials: readonly Material[]; taken: ReadonlySet<string> }>();
defineEmits<{ done: [] }>();
const studio = useStudio();
const f = useFigures();

const kinds = computed(() =>
  props.materials
    .filter((m) => m.kind === 'stone' || m.kind === 'wood')
    .map((m) => ({ value: m.id, title: m.name })),
);
/** The next number that is free, of those that begin alike. */
function next(prefix: string): string {
  let n = 50;
  while (props.taken.has(`${prefix}-${n}`)) n++;
  return `${prefix}-${n}`;
}
const prefixOf = (number: string) => number.replace(/-\d+$/, '');
const id = ref(next('S'));
/** How many of one size go in, each with a number of its own. */
const alike = ref(1);
const MOST_ALIKE = 24;
const setAlike = (n: number | undefined) => {
  if (!n || !Number.isInteger(n) || n < 1 || n > MOST_ALIKE)
    return wording('yardForm.alike', { most: MOST_ALIKE });
  alike.value = n;
  return undefined;
};
const material = ref(kinds.value[0]?.value ?? '');
const size = ref<(number | undefined)[]>([undefined, undefined, undefined]);
const massKg = ref<number>();
const litres = ref<number>();
/** What it is made from where that is more than three sizes: the last that was given. */
const from = shallowRef<Pick<YardAsk, 'scan' | 'outlines' | 'branches'>>({});
const photo = shallowRef<File>();
const photographing = ref(false);
const branching = ref(false);
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
    from.value = { scan: found.scan.mesh };
    said.value = [
      `${found.scan.triangles} triangles, ${f.volume(found.scan.volumeL, 2)}`,
      ...found.notes,
    ].join('; ');
  } catch (error) {
    said.value = error instanceof ApiProblem ? error.message : wording('yardForm.unreadable');
  }
  busy.value = false;
}
function outlined(outlines: { front: Point[]; side: Point[] }, file: File | undefined): void {
  from.value = { outlines };
  photo.value = file;
  said.value = wording('yardForm.outlinesTaken');
}
function skeleton(branches: Branch[]): void {
  from.value = { branches };
  said.value = wording('yardForm.skeletonTaken', { branches: branches.length });
  const wood = props.materials.find((m) => m.kind === 'wood');
  if (wood && props.materials.find((m) => m.id === material.value)?.kind !== 'wood') material.value = wood.id;
}
/** A photograph by itself: kept to know the piece again. */
function takePhoto(event: Event): void {
  photo.value = (event.target as HTMLInputElement).files?.[0];
  if (photo.value) said.value = wording('yardForm.photoGoesWithIt', { photo: photo.value.name });
}
async function add(): Promise<void> {
  const [a, b, c] = size.value;
  const { scan, outlines, branches } = from.value;
  const solid = scan ?? outlines ?? branches;
  if (!solid && (!a || !b || !c)) return void (said.value = wording('yardForm.sizesMissing'));
  busy.value = true;
  const [added, doubts]: [string[], string[]] = [[], []];
  // What has a form of its own is there once.
  const wanted = solid ? 1 : alike.value;
  try {
    while (added.length < wanted) {
      const number = added.length === 0 ? id.value.trim() : next(prefixOf(id.value.trim()));
      doubts.push(
        ...(await studio.add(
          {
            id: number,
            material: material.value,
            ...(solid ? from.value : { sizeMm: [a!, b!, c!] }),
            ...(massKg.value ? { massKg: massKg.value } : {}),
            ...(litres.value ? { litres: litres.value } : {}),
          },
          photo.value,
        )),
      );
      added.push(number);
    }
    [from.value, photo.value] = [{}, undefined];
    [massKg.value, litres.value] = [undefined, undefined];
    said.value = saidOf(added, doubts);
  } catch (error) {
    const why = error instanceof ApiProblem ? error.message : wording('yardForm.failed');
    said.value = [added.length > 0 ? saidOf(added, doubts) : '', why].filter(Boolean).join(' ');
  }
  // What is left to do stands there: the next number, and those of a size that did not go in.
  if (added.length > 0) id.value = next(prefixOf(id.value.trim()));
  alike.value = Math.max(1, wanted - added.length);
  busy.value = false;
}

function saidOf(added: readonly string[], doubts: readonly string[]): string {
  const numbers = added.length > 2 ? wording('yardForm.fromTo', { first: added[0], last: added.at(-1)! }) : added.join(', '); // prettier-ignore
  return wording('yardForm.added', {
    numbers,
    count: added.length,
    doubts: [...new Set(doubts)].join(' '),
  }).trim();
}
</script>

<template>
  <form class="into" data-test="yard-form" @submit.prevent="add">
    <WordsField label="number" :value="id" :apply="(t) => void (id = t)" data-test="yard-id" />
    <MaterialChoice v-model="material" class="of" label="of" :items="kinds" data-test="yard-material" />
    <FigureField label="wide" kind="length" optional :value="size[0]" :apply="setSize(0)" />
    <FigureField label="deep" kind="length" optional :value="size[1]" :apply="setSize(1)" />
    <FigureField label="high" kind="length" optional :value="size[2]" :apply="setSize(2)" />
    <FigureField label="weighs" kind="mass" optional :value="massKg" :apply="(v) => void (massKg = v)" />
    <FigureField label="displaces" kind="volume" optional :value="litres" :apply="(v) => void (litres = v)" />
    <FigureField label="of this size" kind="plain" :value="alike" :apply="setAlike" data-test="yard-alike" />
    <span class="ways">
      <button class="act" type="button" data-test="by-photos" @click="photographing = true">
        By two photographs
      </button>
      <button class="act" type="button" data-test="by-branches" @click="branching = true">
        By its branches
      </button>
      <label class="take"
        ><input type="file" accept=".stl,.obj,.glb" class="sr" data-test="scan" @change="take" />By a scan:
        STL, OBJ, GLB</label
      >
      <label class="take"
        ><input type="file" accept="image/*" class="sr" data-test="yard-photo" @change="takePhoto" />{{
          photo ? 'Another photograph' : 'A photograph of it'
        }}</label
      >
      <v-select v-model="unit" class="unit" aria-label="Unit of the scan" :items="UNITS" />
    </span>
    <span class="ends">
      <button class="solid" type="submit" :disabled="busy" data-test="yard-add">Into the yard</button>
      <button class="act" type="button" data-test="yard-close" @click="$emit('done')">Close</button>
      <span v-if="said" class="quiet said" aria-live="polite" data-test="yard-said">{{ said }}</span>
    </span>
    <YardPhotos v-model:open="photographing" @outlines="outlined" />
    <YardBranches v-model:open="branching" @branches="skeleton" />
  </form>
</template>

<style scoped>
.into {
  display: grid;
  grid-template-columns: 70px 148px repeat(5, 74px) 84px;
  gap: 0 12px;
  padding: 4px 14px;
  align-items: end;
  height: 100%;
  align-content: start;
  overflow-y: auto;
}
.ways {
  grid-column: 1 / -1;
  display: flex;
  gap: 0 16px;
  align-items: end;
}
.ends {
  grid-column: 1 / -1;
  display: flex;
  gap: 14px;
  align-items: center;
  padding-top: 4px;
}
.unit {
  max-width: 110px;
}
.said {
  white-space: normal;
}
@media (max-width: 700px) {
  .into {
    grid-template-columns: 1fr 1fr;
  }
  .ways {
    grid-column: 1 / -1;
    flex-wrap: wrap;
  }
  .ends {
    grid-column: 1 / -1;
  }
}
</style>
