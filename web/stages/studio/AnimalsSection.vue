<script setup lang="ts">
import { computed, ref } from 'vue';
import { ANIMAL_KINDS } from '../../../core/commission/catalogueSchema';
import type { Animal } from '../../../core/commission/schema';
import { SPECIES } from '../../../core/livestock/species';
import { useEntries } from '../../document/catalogue/entries';
import ListFile from '../../document/catalogue/ListFile.vue';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import AnimalCard from './AnimalCard.vue';
import EntryColumn from './EntryColumn.vue';

/** Animals of the studio beside those that everybody has: what is known of each is judged in every commission. */
const f = useFigures();
const { q, rows, total, said, load, more, add, keep, drop } = useEntries('animals');
const chosen = ref<string>();
const current = computed(() => rows.value?.find((a) => a.id === chosen.value));

const known = (a: Animal) =>
  [
    a.kind,
    ...(a.adultMm ? [f.length(a.adultMm)] : []),
    ...(a.tempC ? [a.tempC.map((c) => f.temperature(c, 0)).join(' to ')] : []),
  ].join(', ');
</script>

<template>
  <section class="two">
    <EntryColumn
      v-model:q="q"
      v-model:chosen="chosen"
      title="Animals"
      :what="wording('animalsSection.what', { count: SPECIES.length })"
      one="animal"
      :kinds="ANIMAL_KINDS"
      :rows="rows"
      :total="total"
      :add="(name, kind) => add({ name, kind: kind as Animal['kind'] })"
      @more="more"
    >
      <template #row="{ entry }"><span class="quiet">{{ known(entry) }}</span></template>
      <p class="quiet below">
        <ListFile list="animals" @says="(words) => (said = words)" @taken="load" />
      </p>
    </EntryColumn>
    <AnimalCard
      v-if="current"
      :key="current.id"
      :animal="current"
      @change="keep"
      @drop="(drop(current), (chosen = undefined))"
    />
    <p v-else class="quiet aside">{{ wording('entryColumn.choose') }}</p>
    <p v-if="said" class="says" role="status" data-test="animals-said">{{ said }}</p>
  </section>
</template>

<style scoped src="./section.css"></style>
