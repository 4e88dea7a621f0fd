<script setup lang="ts">
import { computed, ref } from 'vue';
import { SPECIES } from '../../../core/livestock/species';
import type { Animal } from '../../../core/commission/schema';
import { useEntries } from '../../document/catalogue/entries';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import AnimalCard from './AnimalCard.vue';

/** Animals of the studio beside those that everybody has: what is known of each is judged in every commission. */
const f = useFigures();
const { q, rows, total, said, more, add: addEntry, keep, drop } = useEntries('animals');
const chosen = ref<string>();
const current = computed(() => rows.value?.find((a) => a.id === chosen.value));

const fresh = ref('');
const kind = ref<Animal['kind']>('fish');
async function add(): Promise<void> {
  const name = fresh.value.trim();
  if (name === '') return;
  const id = await addEntry({ kind: kind.value, name });
  if (!id) return;
  [fresh.value, q.value, chosen.value] = ['', name, id];
}
const known = (a: Animal) => [
  a.kind,
  ...(a.adultMm ? [f.length(a.adultMm)] : []),
  ...(a.tempC ? [`${f.temperature(a.tempC[0], 0)} to ${f.temperature(a.tempC[1], 0)}`] : []),
];
</script>

<template>
  <section class="two">
    <div>
      <h2>Animals</h2>
      <p class="quiet">{{ wording('animalsSection.what', { count: SPECIES.length }) }}</p>
      <label class="search"
        ><input
          v-model="q"
          type="search"
          aria-label="Find an animal"
          placeholder="Find an animal"
          maxlength="200"
      /></label>
      <form class="add" @submit.prevent="add">
        <v-text-field v-model="fresh" label="a new one: its name" data-test="new-animal" />
        <v-select v-model="kind" label="kind" :items="['fish', 'shrimp', 'snail']" />
        <button class="solid" data-test="add-own-animal">Add</button>
      </form>
      <ul v-if="rows" data-test="animal-rows">
        <li v-for="a in rows" :key="a.id">
          <button class="row" :class="{ on: a.id === chosen }" :data-animal="a.id" @click="chosen = a.id">
            <b>{{ a.name }}</b> <span class="quiet">{{ known(a).join(', ') }}</span>
          </button>
        </li>
      </ul>
      <button v-if="rows && rows.length < total" class="act" @click="more">
        {{ wording('materialsSection.more', { shown: rows.length, total }) }}
      </button>
    </div>
    <AnimalCard
      v-if="current"
      :key="current.id"
      :animal="current"
      @change="keep"
      @drop="(drop(current), (chosen = undefined))"
    />
    <p v-else class="quiet aside">{{ wording('materialsSection.choose') }}</p>
    <p v-if="said" class="says" role="status" data-test="animals-said">{{ said }}</p>
  </section>
</template>

<style scoped src="./section.css"></style>
