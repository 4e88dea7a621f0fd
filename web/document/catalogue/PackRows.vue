<script setup lang="ts">
import { soldBy } from '../../../core/catalogue/materialFields';
import { packOfListed, type Listed } from '../../../core/catalogue/listed';
import { packOfMaterial, USUAL_LEAD_DAYS } from '../../../core/edits/packs';
import type { Material, Pack, Supplier } from '../../../core/commission/schema';
import { ref } from 'vue';
import { wording } from '../../words/wording';
import OfferSearch from './OfferSearch.vue';
import FigureField from '../FigureField.vue';
import WordsField from '../WordsField.vue';

/** What a material is sold in, pack by pack: size, price, who has it and how long it takes. */
const props = defineProps<{ material: Material; suppliers: readonly Supplier[]; currency: string }>();
const emit = defineEmits<{ change: [packs: Pack[]] }>();
const UNITS: readonly Pack['unit'][] = ['L', 'kg', 'piece', 'mL', 'g', 'm'];

const set = (i: number, part: Partial<Pack>) =>
  emit(
    'change',
    props.material.packs!.map((p, n) => (n === i ? { ...p, ...part } : p)),
  );
const drop = (i: number) =>
  emit(
    'change',
    props.material.packs!.filter((_, n) => n !== i),
  );

/** A pack that is being typed: it is one once it has a size and a price. */
const size = ref<number>();
const supplier = ref<string>();
const from = () => supplier.value ?? props.suppliers[0]?.id;
function priced(priceMinor: number | undefined): string | undefined {
  const has = from();
  if (!has) return wording('packFields.noSupplier');
  if (priceMinor === undefined || size.value === undefined) return wording('packRows.noSize');
  emit('change', [
    ...(props.material.packs ?? []),
    packOfMaterial(props.material, { size: size.value, priceMinor, supplier: has }),
  ]);
  size.value = undefined;
  return undefined;
}
/** A line of a price list: the pack of that article, in the place of one that is there already. */
function listed(offer: Listed): void {
  const have = props.material.packs ?? [];
  const usual = { size: size.value ?? 1, unit: soldBy(props.material.kind), leadDays: USUAL_LEAD_DAYS };
  const pack = packOfListed(offer, usual);
  const isSame = (p: Pack) => p.id === pack.id && p.supplier === pack.supplier;
  emit('change', have.some(isSame) ? have.map((p) => (isSame(p) ? pack : p)) : [...have, pack]);
}
const sellers = () => props.suppliers.map((s) => ({ value: s.id, title: s.name }));
</script>

<template>
  <div class="packs">
    <div v-for="(p, i) in material.packs ?? []" :key="p.id" class="pack" data-test="pack">
      <WordsField
        label="sold as"
        :value="p.name"
        :apply="(name) => void set(i, { name: name || undefined })"
      />
      <FigureField label="holds" kind="plain" :value="p.size" :apply="(v) => void set(i, { size: v! })" />
      <v-select
        label="of"
        :items="[...UNITS]"
        :model-value="p.unit"
        @update:model-value="(unit: Pack['unit']) => set(i, { unit })"
      />
      <FigureField
        label="price"
        kind="money"
        :unit="currency"
        :value="p.priceMinor"
        :apply="(v) => void set(i, { priceMinor: v! })"
      />
      <v-select
        label="from"
        class="from"
        :items="sellers()"
        :model-value="p.supplier"
        @update:model-value="(to: string) => set(i, { supplier: to })"
      />
      <FigureField
        label="takes"
        kind="plain"
        unit="days"
        :value="p.leadDays"
        :apply="(v) => void set(i, { leadDays: v! })"
      />
      <button class="plain quiet" aria-label="Take this pack away" @click="drop(i)">×</button>
    </div>
    <div :key="material.packs?.length ?? 0" class="pack" data-test="new-pack">
      <FigureField
        label="a pack holds"
        kind="plain"
        :unit="soldBy(material.kind)"
        optional
        :value="size"
        :apply="(v) => void (size = v)"
        data-test="pack-size"
      />
      <v-select
        label="from"
        :items="sellers()"
        :model-value="from()"
        data-test="pack-from"
        @update:model-value="(to: string) => (supplier = to)"
      />
      <FigureField
        label="and costs"
        kind="money"
        :unit="currency"
        optional
        :value="undefined"
        :apply="priced"
        data-test="pack-costs"
      />
    </div>
    <OfferSearch :suppliers="suppliers" :currency="currency" :begin="material.name" @choose="listed" />
  </div>
</template>

<style scoped>
.pack {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: end;
}
.pack > * {
  flex: 1 1 54px;
  min-width: 52px;
}
/* A seller is known by its whole name. */
.pack > .from {
  flex: 3 1 132px;
}
.pack > button {
  flex: none;
  min-width: 32px;
  min-height: 32px;
}
</style>
