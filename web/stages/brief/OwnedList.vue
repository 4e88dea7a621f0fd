<script setup lang="ts">
import { computed } from 'vue';
import type { Brief } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import { freshId } from '../../../core/edits/ids';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import { useMaterials } from '../../document/materials';
import WordsField from '../../document/WordsField.vue';
import MaterialChoice from '../../document/catalogue/MaterialChoice.vue';

/** Stones and wood of the client's: measured here, they stand first in the yard and are not bought. */
type Owned = NonNullable<Brief['owned']>[number];
const commission = useCommission();
const atHand = useMaterials();
const edit = useDocEdit();
const owned = computed(() => commission.document!.brief.owned ?? []);
const materials = computed(() => {
  const hard = atHand.value.filter((m) => m.kind === 'stone' || m.kind === 'wood');
  return hard.map((m) => ({ value: m.id, title: m.name }));
});
const set = (i: number, part: Partial<Owned>) =>
  edit.brief('owned', owned.value.map((o, n) => (n === i ? { ...o, ...part } : o))); // prettier-ignore
function add(): void {
  const material = materials.value[0]?.value;
  if (!material) return;
  const id = freshId('C-1', owned.value);
  edit.brief('owned', [...owned.value, { id, name: 'stone of theirs', material, sizeMm: [200, 150, 150] }]);
}
function remove(i: number): void {
  const left = owned.value.filter((_, n) => n !== i);
  edit.brief('owned', left.length > 0 ? left : undefined);
}
const sized = (i: number, axis: number, mm: number) => {
  const sizeMm = [...owned.value[i].sizeMm] as [number, number, number];
  sizeMm[axis] = mm;
  return set(i, { sizeMm });
};
</script>

<template>
  <div v-for="(o, i) in owned" :key="o.id" class="figures row">
    <WordsField label="What" :value="o.name" :apply="(name) => set(i, { name })" />
    <MaterialChoice
      label="of"
      :items="materials"
      :model-value="o.material"
      @update:model-value="(material) => material && set(i, { material })"
    />
    <FigureField
      v-for="(n, axis) in ['long', 'deep', 'high']"
      :key="n"
      :label="n"
      kind="length"
      :value="o.sizeMm[axis]"
      :apply="(mm) => sized(i, axis, mm!)"
    />
    <FigureField
      label="weighs"
      kind="mass"
      optional
      :value="o.massKg"
      :apply="(kg) => set(i, { massKg: kg })"
    />
    <button class="act" @click="remove(i)">Take away</button>
  </div>
  <button class="act" data-test="add-owned" @click="add">Add something of theirs</button>
</template>

<style scoped>
.row {
  grid-template-columns: repeat(auto-fit, minmax(92px, 1fr));
}
</style>
