<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { LIVES_ON, type Shelf, type ShelfEntry } from '../../../core/stock/shelf';
import { soldBy } from '../../../core/catalogue/materialFields';
import { onShelf } from '../../../core/stock/onShelf';
import { api } from '../../document/api';
import { useEntries } from '../../document/catalogue/entries';
import DayField from '../../document/DayField.vue';
import FigureField from '../../document/FigureField.vue';
import { useLocalForm } from '../../document/localForm';
import { useStudio } from '../../document/studioStore';
import WordsField from '../../document/WordsField.vue';
import { shortDay, today } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** What the studio has itself: opened bags, bottles, plants in its own tanks; and which commissions are going to take of it. */
useLocalForm();
const studio = useStudio();
const f = useFigures();
const { q, rows, total, said, more, add, keep, drop } = useEntries('shelf');
const reserved = shallowRef<Shelf['reserved']>([]);
watch(rows, () => void api.shelf(today()).then((s) => (reserved.value = s.reserved), () => undefined), { immediate: true }); // prettier-ignore

const things = computed(() => {
  const { materials = [], plants = [] } = studio.studio?.catalogue ?? {};
  return [
    ...plants.map((p) => ({ value: p.id, title: p.name, unit: 'plug' as const })),
    ...materials
      .filter((m) => m.kind !== 'equipment')
      .map((m) => ({ value: m.id, title: m.name, unit: soldBy(m.kind) as ShelfEntry['unit'] })),
  ];
});
const fresh = ref<string | null>(null);
async function put(): Promise<void> {
  const thing = things.value.find((t) => t.value === fresh.value);
  if (!thing) return;
  const entry = { name: thing.title, of: thing.value, amount: 0, unit: thing.unit, since: today() };
  if (await add(entry)) fresh.value = null;
}
const UNITS: readonly ShelfEntry['unit'][] = ['L', 'kg', 'g', 'mL', 'piece', 'plug'];
const set = (e: ShelfEntry, part: Partial<ShelfEntry>) => void keep({ ...e, ...part });
const LIVES: Record<(typeof LIVES_ON)[number], string> = {
  snails: wording('shelf.snails'),
  algae: wording('shelf.algae'),
};
function setLives(e: ShelfEntry, what: (typeof LIVES_ON)[number], isThere: boolean): void {
  const left = (e.livesOn ?? []).filter((x) => x !== what);
  const all = isThere ? [...left, what] : left;
  set(e, { livesOn: all.length > 0 ? all : undefined });
}
/** Who is going to take of it. */
const wanted = (e: ShelfEntry) =>
  reserved.value
    .filter((r) => r.of === e.of)
    .map((r) => wording('shelf.wanted', { amount: f.said(r.amount, r.unit), title: r.title, day: shortDay(r.on) })); // prettier-ignore
/** What is left when they have, counted over everything of the kind. */
function freeOf(e: ShelfEntry): string {
  const first = reserved.value.find((r) => r.of === e.of);
  if (!first) return '';
  const { has, reserved: taken } = onShelf({ entries: rows.value ?? [], reserved: reserved.value }, first);
  const left = f.said(Math.abs(has - taken), first.unit);
  return wording(has < taken ? 'shelf.short' : 'shelf.free', { amount: left });
}
</script>

<template>
  <section class="shelf">
    <h2>{{ wording('shelf.title') }}</h2>
    <p class="quiet">{{ wording('shelf.what') }}</p>
    <form class="add" @submit.prevent="put">
      <v-autocomplete v-model="fresh" :label="wording('shelf.new')" :items="things" data-test="new-shelf" />
      <button class="solid" data-test="add-shelf">Add</button>
    </form>
    <label v-if="total > 12 || q" class="search"
      ><input
        v-model="q"
        type="search"
        :aria-label="wording('shelf.find')"
        :placeholder="wording('shelf.find')"
    /></label>
    <ul>
      <li v-for="e in rows ?? []" :key="e.id" :data-shelf="e.of">
        <div class="figures">
          <b>{{ e.name }}</b>
          <FigureField
            :label="wording('shelf.amount')"
            kind="plain"
            :value="e.amount"
            :apply="(amount) => set(e, { amount: amount! })"
            data-test="shelf-amount"
          />
          <v-select
            label="in"
            :items="[...UNITS]"
            :model-value="e.unit"
            @update:model-value="(unit: ShelfEntry['unit']) => set(e, { unit })"
          />
          <WordsField
            :label="wording('shelf.where')"
            :value="e.where"
            :apply="(where) => set(e, { where: where || undefined })"
            data-test="shelf-where"
          />
          <DayField
            :label="wording('shelf.since')"
            :value="e.since"
            past
            :apply="(day) => set(e, { since: day || undefined })"
          />
          <DayField
            :label="wording('shelf.keeps')"
            :value="e.keepsUntil"
            :apply="(day) => set(e, { keepsUntil: day || undefined })"
          />
        </div>
        <p class="row">
          <v-switch
            v-for="what in e.unit === 'plug' ? LIVES_ON : []"
            :key="what"
            :label="LIVES[what]"
            :model-value="e.livesOn?.includes(what) ?? false"
            @update:model-value="(x) => setLives(e, what, Boolean(x))"
          />
          <span v-for="w in wanted(e)" :key="w">{{ w }}</span>
          <b v-if="freeOf(e)" data-test="shelf-free">{{ freeOf(e) }}</b>
          <button class="act off" @click="drop(e)">Take away</button>
        </p>
      </li>
    </ul>
    <button v-if="(rows?.length ?? 0) < total" class="act" @click="more">
      {{ wording('entryColumn.more', { shown: rows?.length ?? 0, total }) }}
    </button>
    <p v-if="rows?.length === 0 && !q" class="quiet">{{ wording('shelf.empty') }}</p>
    <p v-if="said" class="says" role="status" data-test="shelf-said">{{ said }}</p>
  </section>
</template>

<style scoped>
.shelf {
  max-width: 980px;
}
.add {
  display: flex;
  gap: 16px;
  align-items: center;
  max-width: 520px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  border-bottom: 1px solid var(--rule);
  padding: 8px 0;
}
.figures {
  grid-template-columns: 1.6fr repeat(2, minmax(70px, 0.6fr)) 1.2fr 1fr 1fr;
  align-items: end;
}
.figures > b {
  padding-bottom: 8px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0 20px;
  align-items: center;
}
.row > * {
  flex: none;
}
.off {
  margin-left: auto;
}
@media (max-width: 700px) {
  .figures {
    grid-template-columns: 1fr 1fr;
  }
  .figures > b {
    grid-column: 1 / -1;
  }
}
</style>
