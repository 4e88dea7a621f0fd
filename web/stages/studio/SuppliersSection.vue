<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { useEntries } from '../../document/catalogue/entries';
import { useLocalForm } from '../../document/localForm';
import WordsField from '../../document/WordsField.vue';
import type { KeptList } from '../../../core/catalogue/priceList';
import { prices } from '../../document/prices';
import { useStudio } from '../../document/studioStore';
import DayButtons from './DayButtons.vue';
import { may } from '../../document/people';
import PriceList from './PriceList.vue';
import SupplierTerms from './SupplierTerms.vue';
import { wording } from '../../words/wording';

/** Who the studio buys from, and on which days they deliver. */
useLocalForm();
const { rows, said, add: addEntry, keep, drop } = useEntries('suppliers');
const studio = useStudio();
const fresh = ref('');
const lists = shallowRef<KeptList[]>([]);
const known = async () => void (lists.value = await prices.lists().then((a) => a.lists, () => lists.value)); // prettier-ignore
void known();
/** Its prices are in the catalogue too. */
const taken = () => Promise.all([known(), studio.again()]);

async function add(): Promise<void> {
  const name = fresh.value.trim();
  if (name === '') return;
  if (await addEntry({ name, days: ['mon', 'tue', 'wed', 'thu', 'fri'] })) fresh.value = '';
}
const mayTakeLists = computed(() => may('priceLists'));
</script>

<template>
  <section class="suppliers">
    <h2>Suppliers</h2>
    <p class="quiet">{{ wording('suppliersSection.what') }}</p>
    <form class="add" @submit.prevent="add">
      <v-text-field v-model="fresh" label="a new supplier: its name" data-test="new-supplier" />
      <button class="solid" data-test="add-supplier">Add</button>
    </form>
    <ul v-if="rows">
      <li v-for="s in rows" :key="s.id" :data-supplier="s.id">
        <WordsField label="name" :value="s.name" :apply="(name) => void keep({ ...s, name })" />
        <DayButtons
          :days="s.days"
          :label="`${s.name} delivers on`"
          @change="(days) => void keep({ ...s, days })"
        />
        <button class="act" @click="drop(s)">Take away</button>
        <SupplierTerms :supplier="s" :currency="studio.studio?.currency ?? 'GBP'" @keep="(x) => void keep(x)">
          <PriceList
            v-if="mayTakeLists"
            :supplier="s.id"
            :currency="studio.studio?.currency ?? 'GBP'"
            :kept="lists.find((l) => l.id === s.id)"
            @taken="taken"
          />
        </SupplierTerms>
      </li>
    </ul>
    <p v-if="rows?.length === 0" class="quiet">{{ wording('suppliersSection.empty') }}</p>
    <p v-if="said" class="says" role="status" data-test="suppliers-said">{{ said }}</p>
  </section>
</template>

<style scoped>
.suppliers {
  max-width: 900px;
}
.add {
  display: flex;
  gap: 16px;
  align-items: center;
  max-width: 460px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
li > :first-child {
  flex: 1 1 240px;
}
</style>
