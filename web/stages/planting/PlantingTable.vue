<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import type { Finding } from '../../../core/words/finding';
import type { Planted } from '../../../core/planted/planted';
import { shortDay } from '../../units/days';
import { money, useFigures } from '../../units/figures';

/** Every planting with its count, packs, price, light and the day on which it closes; sorted by any of them. */
const props = defineProps<{
  parts: readonly Planted[];
  findings: readonly Finding[];
  chosen?: string;
  currency: string;
  /** Some light is known. */
  lit: boolean;
}>();
defineEmits<{ choose: [id: string] }>();
const f = useFigures();
type Key = 'name' | 'count' | 'packs' | 'price' | 'light' | 'cover' | 'said';
const by = ref<Key>('name');
const up = ref(true);
const COLUMNS: [Key, string][] = [
  ['name', 'Planting'],
  ['count', 'plugs'],
  ['packs', 'packs'],
  ['price', 'price'],
  ['light', 'light, mol/m²/d'],
  ['cover', 'closes'],
  ['said', 'what is said of it'],
];
const rows = computed(() =>
  props.parts
    .map((p) => ({
      id: p.id,
      name: p.plant.name,
      colour: p.plant.colour,
      count: p.count,
      packs: p.planting.packs ?? p.packsNeeded,
      short: p.missing > 0,
      price: (p.planting.packs ?? p.packsNeeded) * (p.plant.packs?.[0]?.priceMinor ?? 0),
      light: p.meanDli,
      cover: p.cover?.days ?? (p.spacingMm === undefined ? -1 : Infinity),
      on: p.cover?.on,
      counted: p.spacingMm === undefined,
      findings: props.findings.filter((n) => n.at.plant === p.id),
    }))
    // The worst first, then what has most against it.
    .map((r) => ({ ...r, said: r.findings.reduce((sum, n) => sum - (n.severity === 'note' ? 1 : 100), 0) }))
    .sort(
      (a, b) => (a[by.value] < b[by.value] ? -1 : a[by.value] > b[by.value] ? 1 : 0) * (up.value ? 1 : -1),
    ),
);
const body = ref<HTMLElement>();
/** What was chosen in a view is brought into sight here, as soon as it has its row. */
watch(
  () => props.chosen !== undefined && props.parts.some((p) => p.id === props.chosen) && props.chosen,
  (id) =>
    id &&
    void nextTick(() =>
      body.value?.querySelector(`[data-planted="${id}"]`)?.scrollIntoView({ block: 'nearest' }),
    ),
);
function sort(key: Key): void {
  up.value = by.value === key ? !up.value : true;
  by.value = key;
}
</script>

<template>
  <table data-test="planting-table">
    <thead>
      <tr>
        <th
          v-for="[key, title] in COLUMNS"
          :key="key"
          :aria-sort="by === key ? (up ? 'ascending' : 'descending') : 'none'"
        >
          <button class="plain" @click="sort(key)">{{ title }}</button>
        </th>
      </tr>
    </thead>
    <tbody ref="body">
      <tr
        v-for="r in rows"
        :key="r.id"
        :class="{ chosen: r.id === chosen }"
        :data-planted="r.id"
        @click="$emit('choose', r.id)"
      >
        <td>
          <button class="plain" @click.stop="$emit('choose', r.id)">
            <i :style="{ background: r.colour }" /><em>{{ r.name }}</em>
          </button>
          <small v-if="rows.some((o) => o.name === r.name && o.id !== r.id)" class="quiet id">{{
            r.id
          }}</small>
        </td>
        <td class="fig">{{ r.count }}</td>
        <td class="fig" :class="{ late: r.short }">{{ r.packs }}</td>
        <td class="fig">{{ r.price ? money(r.price, currency, true) : '' }}</td>
        <td class="fig">{{ lit ? r.light.toFixed(1) : '' }}</td>
        <td>{{ r.on ? shortDay(r.on) : r.counted ? '' : 'does not close' }}</td>
        <td class="said" :class="{ late: r.findings.some((n) => n.severity !== 'note') }">
          {{ r.findings.map((n) => f.words(n.says)).join(' ') }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
/* Heads stand where they will whatever is said later: they are pressed to sort. */
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 12.5px;
  table-layout: fixed;
}
th:nth-child(1) {
  width: 24%;
}
th:nth-child(2),
th:nth-child(3) {
  width: 64px;
}
th:nth-child(4) {
  width: 76px;
}
th:nth-child(5) {
  width: 128px;
}
th:nth-child(6) {
  width: 106px;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--ink-2);
  border-bottom: 1px solid var(--rule);
  position: sticky;
  top: 0;
  background: var(--paper);
  white-space: nowrap;
}
th .plain {
  padding: 2px 8px 2px 0;
  white-space: nowrap;
}
th[aria-sort='ascending'] .plain::after {
  content: ' ↑';
}
th[aria-sort='descending'] .plain::after {
  content: ' ↓';
}
td {
  padding: 2px 10px 2px 0;
  border-bottom: 1px solid var(--rule);
  white-space: nowrap;
  cursor: pointer;
}
/* Above their figures. */
th:nth-child(n + 2):nth-child(-n + 5) {
  text-align: right;
  padding-right: 8px;
}
.fig {
  text-align: right;
  font-weight: 600;
  padding-right: 16px;
}
.said {
  white-space: normal;
  line-height: 1.25;
}
tr {
  /* The heads of the columns stay above it. */
  scroll-margin-top: 26px;
}
.chosen td {
  background: var(--celadon-wash);
}
i {
  display: inline-block;
  width: 10px;
  height: 10px;
  margin-right: 6px;
}
.id {
  margin-left: 6px;
}
.plain {
  text-align: left;
}
/* On a phone each planting is a block: its name, its figures under their heads, and what is said of it. */
@media (max-width: 700px) {
  table,
  thead,
  tbody {
    display: block;
  }
  tr {
    display: grid;
    grid-template-columns: 0.7fr 0.7fr 0.8fr 1.3fr 1.1fr;
  }
  th,
  td {
    width: auto !important;
    white-space: normal;
    border-bottom: 0;
    padding-right: 6px;
  }
  tr {
    border-bottom: 1px solid var(--rule);
    padding-bottom: 4px;
  }
  th:first-child {
    grid-column: 1 / 4;
  }
  th:last-child {
    grid-area: 1 / 4 / auto / -1;
  }
  td:first-child,
  td.said {
    grid-column: 1 / -1;
  }
  th .plain {
    white-space: normal;
  }
  th:nth-child(n + 2):nth-child(-n + 5),
  .fig {
    text-align: left;
  }
}
</style>
