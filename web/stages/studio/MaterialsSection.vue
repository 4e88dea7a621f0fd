<script setup lang="ts">
import { computed, ref } from 'vue';
import { MATERIAL_KINDS } from '../../../core/commission/catalogueSchema';
import type { Material } from '../../../core/commission/schema';
import { api } from '../../document/api';
import { useEntries } from '../../document/catalogue/entries';
import { useStudio } from '../../document/studioStore';
import { money } from '../../units/figures';
import { wording } from '../../words/wording';
import ListFile from '../../document/catalogue/ListFile.vue';
import MaterialCard from './MaterialCard.vue';

/** What the studio builds with: found by name, changed in place, priced pack by pack. */
const studio = useStudio();
const { q, rows, total, said, load, more, attempt, add: addEntry, keep, drop } = useEntries('materials');
const chosen = ref<string>();
const current = computed(() => rows.value?.find((m) => m.id === chosen.value));
const currency = computed(() => studio.studio?.currency ?? '');
const suppliers = computed(() => studio.studio?.catalogue.suppliers ?? []);

const fresh = ref('');
const kind = ref<Material['kind']>('stone');
async function add(): Promise<void> {
  const name = fresh.value.trim();
  if (name === '') return;
  const id = await addEntry({ kind: kind.value, name });
  if (!id) return;
  [fresh.value, q.value, chosen.value] = ['', name, id];
}
const startSet = () =>
  attempt(async () => {
    const { added } = await api.addStartSet();
    said.value = wording('materialsSection.started', { added });
    await Promise.all([load(), studio.again()]);
  });
const priceOf = (m: Material) =>
  m.packs?.length
    ? m.packs.map((p) => `${p.size} ${p.unit} ${money(p.priceMinor, currency.value)}`).join(', ')
    : '';
</script>

<template>
  <section class="two">
    <div>
      <h2>Materials</h2>
      <p class="quiet">{{ wording('materialsSection.what') }}</p>
      <label class="search"
        ><input
          v-model="q"
          type="search"
          aria-label="Find a material"
          placeholder="Find a material"
          maxlength="200"
          data-test="find-material"
      /></label>
      <form class="add" @submit.prevent="add">
        <v-text-field v-model="fresh" label="a new one: its name" data-test="new-material" />
        <v-select v-model="kind" label="kind" :items="[...MATERIAL_KINDS]" data-test="new-material-kind" />
        <button class="solid" data-test="add-material">Add</button>
      </form>
      <div v-if="total === 0 && !q && rows" class="empty" data-test="no-materials">
        <p>{{ wording('materialsSection.empty') }}</p>
        <button class="solid" data-test="start-set" @click="startSet">Take the start set</button>
      </div>
      <ul v-if="rows" data-test="material-rows">
        <li v-for="m in rows" :key="m.id">
          <button class="row" :class="{ on: m.id === chosen }" :data-material="m.id" @click="chosen = m.id">
            <b>{{ m.name }}</b> <span class="quiet">{{ m.kind }}</span>
            <span class="price" :class="{ quiet: !m.packs?.length }">{{ priceOf(m) || 'no price' }}</span>
          </button>
        </li>
      </ul>
      <button v-if="rows && rows.length < total" class="act" @click="more">
        {{ wording('materialsSection.more', { shown: rows.length, total }) }}
      </button>
      <p class="quiet below">
        <ListFile list="materials" @says="(words) => (said = words)" @taken="load" />
        <button v-if="total > 0" class="act" data-test="start-set-again" @click="startSet">
          Add what is missing of the start set
        </button>
      </p>
    </div>
    <MaterialCard
      v-if="current"
      :key="current.id"
      :material="current"
      :suppliers="suppliers"
      :currency="currency"
      @change="keep"
      @drop="(drop(current), (chosen = undefined))"
    />
    <p v-else class="quiet aside">{{ wording('materialsSection.choose') }}</p>
    <p v-if="said" class="says" role="status" data-test="materials-said">{{ said }}</p>
  </section>
</template>

<style scoped src="./section.css"></style>
