<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { Material } from '../../../../core/commission/schema';
import { FORMS, SIZE_CLASSES, type Form, type SizeClass } from '../../../../core/yard/pieceFrom';
import { useScapeEdit } from '../../../document/scapeEdit';
import { selectPiece } from '../../../frame/selection';
import { useFigures } from '../../../units/figures';
import { wording } from '../../../words/wording';
import FigureField from '../../../document/FigureField.vue';
import MaterialChoice from '../../../document/catalogue/MaterialChoice.vue';

/** A piece that is not bought yet: its kind, size class and form draw a stand-in, which is in the take-off. */
const props = defineProps<{ materials: readonly Material[] }>();
const emit = defineEmits<{ done: []; set: [id: string] }>();
const edit = useScapeEdit();
const f = useFigures();

const kinds = computed(() =>
  props.materials
    .filter((m) => m.kind === 'stone' || m.kind === 'wood' || m.kind === 'ware')
    .map((m) => ({ value: m.id, title: m.name })),
);
const material = ref(kinds.value[0]?.value ?? '');
const size = ref<SizeClass>('m');
const form = ref<Form>('tall');
const SIZES = computed(() =>
  SIZE_CLASSES.map(({ id, mm }) => ({
    value: id,
    title: `${f.fromMm(mm[0])}–${f.fromMm(mm[1])} ${f.lengthUnit.value}`,
  })),
);
const FORM_NAMES = (Object.keys(FORMS) as Form[]).map((value) => ({ value, title: value }));

const of = computed(() => props.materials.find((m) => m.id === material.value));
/** A pot is as large as it is: its outer sizes are typed. */
const isWare = computed(() => of.value?.kind === 'ware');
const outer = shallowRef<[number, number, number]>([120, 120, 100]);
const setOuter = (i: 0 | 1 | 2) => (mm: number | undefined) => {
  if (mm === undefined || mm < 1) return wording('standInForm.missing');
  outer.value = outer.value.with(i, mm) as [number, number, number];
  return undefined;
};

function set(): void {
  if (!of.value) return;
  const id = isWare.value
    ? edit.addWare(of.value, outer.value)
    : edit.addStandIn(of.value, size.value, form.value);
  selectPiece(id);
  emit('set', id);
}
</script>

<template>
  <form class="stand-in" data-test="stand-in-form" @submit.prevent="set">
    <MaterialChoice v-model="material" label="kind" :items="kinds" />
    <template v-if="isWare">
      <FigureField label="long" kind="length" :value="outer[0]" :apply="setOuter(0)" data-test="ware-long" />
      <FigureField label="deep" kind="length" :value="outer[1]" :apply="setOuter(1)" data-test="ware-deep" />
      <FigureField label="high" kind="length" :value="outer[2]" :apply="setOuter(2)" data-test="ware-high" />
    </template>
    <template v-else>
      <v-select v-model="size" label="longest side" :items="SIZES" />
      <v-select v-model="form" label="form" :items="FORM_NAMES" />
    </template>
    <button class="solid" type="submit" data-test="set-stand-in">Set on the bench</button>
    <button class="act" type="button" @click="$emit('done')">Close</button>
    <p class="quiet">
      {{ wording(isWare ? 'standInForm.ware' : 'standInForm.what') }}
    </p>
  </form>
</template>

<style scoped>
.stand-in {
  display: grid;
  grid-template-columns: 180px repeat(auto-fit, minmax(96px, 130px));
  gap: 0 16px;
  padding: 6px 14px;
  align-items: end;
  align-content: start;
}
p {
  grid-column: 1 / -1;
  margin: 8px 0;
  max-width: 560px;
}
@media (max-width: 700px) {
  .stand-in {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
