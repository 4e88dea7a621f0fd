<script setup lang="ts" generic="E extends { id: string; name: string }">
import { ref } from 'vue';
import { wording } from '../../words/wording';

/** A list of the studio: searched by name, a new one by its name and kind, one of them chosen. */
const props = defineProps<{
  title: string;
  /** What the list is, in a sentence. */
  what: string;
  /** One of it: `material`. */
  one: string;
  kinds: readonly string[];
  /** What a new one mostly is; the first of its kinds where nothing is said. */
  mostly?: string;
  rows?: readonly E[];
  total: number;
  /** Answers with the id of the new one, or nothing where it was refused. */
  add: (name: string, kind: string) => Promise<string | undefined>;
}>();
defineEmits<{ more: [] }>();
const q = defineModel<string>('q', { required: true });
const chosen = defineModel<string>('chosen');

const fresh = ref('');
const kind = ref(props.mostly ?? props.kinds[0]);
async function put(): Promise<void> {
  const name = fresh.value.trim();
  if (name === '') return;
  const id = await props.add(name, kind.value);
  if (id) [fresh.value, q.value, chosen.value] = ['', name, id];
}
</script>

<template>
  <div>
    <h2>{{ title }}</h2>
    <p class="quiet">{{ what }}</p>
    <label class="search"
      ><input
        v-model="q"
        type="search"
        :aria-label="wording('entryColumn.find', { one })"
        :placeholder="wording('entryColumn.find', { one })"
        maxlength="200"
        :data-test="`find-${one}`"
    /></label>
    <form class="add" @submit.prevent="put">
      <v-text-field v-model="fresh" label="a new one: its name" :data-test="`new-${one}`" />
      <v-select v-model="kind" label="kind" :items="[...kinds]" :data-test="`new-${one}-kind`" />
      <button class="solid" :data-test="`add-${one}`">Add</button>
    </form>
    <slot name="empty" />
    <ul v-if="rows" :data-test="`${one}-rows`">
      <li v-for="e in rows" :key="e.id">
        <button class="row" :class="{ on: e.id === chosen }" :data-entry="e.id" @click="chosen = e.id">
          <b>{{ e.name }}</b> <slot name="row" :entry="e" />
        </button>
      </li>
    </ul>
    <button v-if="rows && rows.length < total" class="act" @click="$emit('more')">
      {{ wording('entryColumn.more', { shown: rows.length, total }) }}
    </button>
    <slot />
  </div>
</template>

<style scoped>
.search input {
  width: 100%;
}
.add {
  display: grid;
  grid-template-columns: 2fr 1fr auto;
  gap: 0 14px;
  align-items: center;
  margin-top: 12px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0;
}
.row {
  border: 0;
  background: none;
  font: inherit;
  color: inherit;
  cursor: pointer;
  display: flex;
  gap: 4px 12px;
  flex-wrap: wrap;
  width: 100%;
  min-height: 36px;
  padding: 6px 8px;
  text-align: left;
  border-bottom: 1px solid var(--rule);
}
.row:hover b {
  color: var(--celadon);
}
.row.on {
  background: var(--paper);
  border-left: 3px solid var(--clay);
}
</style>
