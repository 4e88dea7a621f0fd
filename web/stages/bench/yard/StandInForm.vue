<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Material } from '../../../../core/commission/schema';
import { FORMS, SIZE_CLASSES, type Form, type SizeClass } from '../../../../core/yard/pieceFrom';
import { useScapeEdit } from '../../../document/scapeEdit';
import { selectPiece } from '../../../frame/selection';
import { useFigures } from '../../../units/figures';
import { wording } from '../../../words/wording';
import MaterialChoice from '../../../document/catalogue/MaterialChoice.vue';

/** A piece that is not bought yet: its kind, size class and form draw a stand-in, which is in the take-off. */
const props = defineProps<{ materials: readonly Material[] }>();
const emit = defineEmits<{ done: []; set: [id: string] }>();
const edit = useScapeEdit();
const f = useFigures();

const kinds = computed(() =>
  props.materials
    .filter((m) => m.kind === 'stone' || m.kind === 'wood')
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

function set(): void {
  const of = props.materials.find((m) => m.id === material.value);
  if (!of) return;
  const id = edit.addStandIn(of, size.value, form.value);
  selectPiece(id);
  emit('set', id);
}
</script>

<template>
  <form class="stand-in" data-test="stand-in-form" @submit.prevent="set">
    <MaterialChoice v-model="material" label="kind" :items="kinds" />
    <v-select v-model="size" label="longest side" :items="SIZES" />
    <v-select v-model="form" label="form" :items="FORM_NAMES" />
    <button class="solid" type="submit" data-test="set-stand-in">Set on the bench</button>
    <button class="act" type="button" @click="$emit('done')">Close</button>
    <p class="quiet">
      {{ wording('standInForm.what') }}
    </p>
  </form>
</template>

<style scoped>
.stand-in {
  display: grid;
  grid-template-columns: 180px 130px 110px auto auto;
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
