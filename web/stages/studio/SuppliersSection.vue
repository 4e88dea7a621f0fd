<script setup lang="ts">
import { ref } from 'vue';
import type { Supplier } from '../../../core/commission/schema';
import { useEntries } from '../../document/catalogue/entries';
import { useLocalForm } from '../../document/localForm';
import WordsField from '../../document/WordsField.vue';
import { useStudio } from '../../document/studioStore';
import SupplierTerms from './SupplierTerms.vue';
import { wording } from '../../words/wording';

/** Who the studio buys from, and on which days they deliver. */
useLocalForm();
const { rows, said, add: addEntry, keep, drop } = useEntries('suppliers');
const studio = useStudio();
const fresh = ref('');
const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;

async function add(): Promise<void> {
  const name = fresh.value.trim();
  if (name === '') return;
  if (await addEntry({ name, days: ['mon', 'tue', 'wed', 'thu', 'fri'] })) fresh.value = '';
}
/** Without any day said, every day is one. */
const delivers = (s: Supplier, day: (typeof DAYS)[number]) => !s.days || s.days.includes(day);
function toggle(s: Supplier, day: (typeof DAYS)[number]): void {
  const days = DAYS.filter((d) => (d === day ? !delivers(s, d) : delivers(s, d)));
  void keep({ ...s, days });
}
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
        <span class="days" role="group" :aria-label="`${s.name} delivers on`">
          <button
            v-for="d in DAYS"
            :key="d"
            class="day"
            :class="{ on: delivers(s, d) }"
            :aria-pressed="delivers(s, d)"
            @click="toggle(s, d)"
          >
            {{ d }}
          </button>
        </span>
        <button class="act" @click="drop(s)">Take away</button>
        <SupplierTerms
          :supplier="s"
          :currency="studio.studio?.currency ?? 'GBP'"
          @keep="(x) => void keep(x)"
        />
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
.days {
  display: flex;
  flex-wrap: wrap;
}
.day {
  background: none;
  font: inherit;
  cursor: pointer;
  min-width: 44px;
  min-height: 36px;
  border: 1px solid var(--rule);
  color: var(--ink-2);
}
.day.on {
  background: var(--paper);
  color: var(--ink);
  font-weight: 600;
  border-bottom: 3px solid var(--clay);
}
</style>
