<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core';
import { ref, shallowRef, watch } from 'vue';
import { eachMinor, type Listed } from '../../../core/catalogue/listed';
import { money } from '../../units/figures';
import { wording } from '../../words/wording';
import { prices } from '../prices';

/** Every line of every price list, found by words; one that is pressed is handed on. */
const props = defineProps<{
  suppliers: readonly { id: string; name: string }[];
  currency: string;
  begin?: string;
}>();
const emit = defineEmits<{ choose: [offer: Listed] }>();
const TYPED_MS = 120;
const q = ref(props.begin ?? '');
const found = shallowRef<{ offers: Listed[]; total: number }>();
let turn = 0;
async function look(): Promise<void> {
  const own = ++turn;
  const answer = q.value.trim() === '' ? undefined : await prices.search(q.value).catch(() => undefined);
  if (own === turn) found.value = answer;
}
watch(q, useDebounceFn(look, TYPED_MS));
/** Without any list there is nothing to be found by whatever word. */
const hasLists = ref(true);
async function opened(event: Event): Promise<void> {
  if (!(event.target as HTMLDetailsElement).open) return;
  await look();
  hasLists.value = await prices.lists().then(({ lists }) => lists.length > 0, () => true); // prettier-ignore
}
const nameOf = (id: string) => props.suppliers.find((s) => s.id === id)?.name ?? id;
const holds = (o: Listed) =>
  o.size === null ? wording('offerSearch.unsaid') : `${o.size} ${o.unit === 'piece' ? '×' : o.unit}`;
function each(o: Listed): string {
  const minor = o.size === 1 ? undefined : eachMinor(o);
  return minor === undefined
    ? ''
    : wording('offerSearch.each', { money: money(minor, props.currency), unit: o.unit! });
}
</script>

<template>
  <details class="search" data-test="offer-search" @toggle="opened">
    <summary class="act">{{ wording('offerSearch.title') }}</summary>
    <p v-if="!hasLists" class="quiet">{{ wording('offerSearch.none') }}</p>
    <v-text-field v-else v-model="q" :label="wording('offerSearch.find')" data-test="offer-words" />
    <p v-if="found && hasLists" class="quiet" role="status">
      {{ wording('offerSearch.total', { total: found.total }) }}
    </p>
    <ul v-if="found">
      <li v-for="o in found.offers" :key="`${o.supplier}/${o.article}`">
        <button class="plain" :data-offer="o.article" @click="emit('choose', o)">
          <span>{{ o.name }}</span>
          <span class="quiet">{{ nameOf(o.supplier) }}, {{ holds(o) }}</span>
          <b>{{ money(o.priceMinor, currency) }}</b>
          <small v-if="each(o)">{{ each(o) }}</small>
        </button>
      </li>
    </ul>
  </details>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 320px;
  overflow: auto;
}
button {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  align-content: center;
  gap: 0 12px;
  width: 100%;
  min-height: 44px;
  text-align: left;
  border-bottom: 1px solid var(--rule);
  font-variant-numeric: tabular-nums;
}
button:hover {
  background: var(--ash);
}
b {
  margin-left: auto;
  font-weight: 500;
}
</style>
