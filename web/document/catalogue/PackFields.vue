<script setup lang="ts">
import { computed, ref } from 'vue';
import { packOfPlant, SOLD_AS, type SoldAs } from '../../../core/planting/plantPack';
import type { Pack, Plant, Supplier } from '../../../core/commission/schema';
import FigureField from '../FigureField.vue';
import { wording } from '../../words/wording';

/** What a plant is bought as, what that costs and who has it. */
const props = defineProps<{ plant: Plant; suppliers: readonly Supplier[]; currency: string }>();
const emit = defineEmits<{ change: [packs: Pack[]] }>();
const known = computed(() => props.plant.packs?.[0]);
/** What was chosen while there is no price yet. */
const draft = ref<{ name?: SoldAs; supplier?: string }>({});
const isSold = (name: string | undefined): name is SoldAs => SOLD_AS.some((s) => s === name);
const name = computed(() => draft.value.name ?? (isSold(known.value?.name) ? known.value.name : 'cup'));
const supplier = computed(() => draft.value.supplier ?? known.value?.supplier ?? props.suppliers[0]?.id);

function change(part: { name?: SoldAs; supplier?: string; priceMinor?: number }): string | undefined {
  draft.value = { ...draft.value, name: part.name ?? draft.value.name, supplier: part.supplier ?? draft.value.supplier }; // prettier-ignore
  const priceMinor = part.priceMinor ?? known.value?.priceMinor;
  if (!supplier.value) return wording('packFields.noSupplier');
  if (priceMinor === undefined) return undefined;
  emit('change', [
    packOfPlant(props.plant, { name: name.value, supplier: supplier.value, priceMinor }),
    ...(props.plant.packs ?? []).slice(1),
  ]);
  return undefined;
}
</script>

<template>
  <v-select
    label="bought as"
    :items="[...SOLD_AS]"
    :model-value="name"
    data-test="sold-as"
    @update:model-value="(to: SoldAs) => void change({ name: to })"
  />
  <FigureField
    label="price of one"
    kind="money"
    :unit="currency"
    optional
    :value="known?.priceMinor"
    :apply="(priceMinor) => change({ priceMinor })"
    data-test="pack-price"
  />
  <v-select
    label="from"
    :items="suppliers.map((s) => ({ value: s.id, title: s.name }))"
    :model-value="supplier"
    @update:model-value="(to: string) => void change({ supplier: to })"
  />
</template>
