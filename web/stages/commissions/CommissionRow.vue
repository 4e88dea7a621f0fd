<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import type { Glance } from '../../../core/pipeline/glance';
import { useInView } from '../../design/inView';
import { api, type Listed } from '../../document/api';
import FileLink from '../../document/FileLink.vue';
import { may } from '../../document/people';
import { daysAway, longDay, shortDay, today } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import { useStudio } from '../../document/studioStore';
import { wording } from '../../words/wording';
import CommissionLook from './CommissionLook.vue';
import ScapeGlance from './ScapeGlance.vue';

const props = defineProps<{ row: Listed }>();
defineEmits<{ remove: []; restore: []; duplicate: [] }>();
const { fromMm, lengthUnit, words } = useFigures();
const studio = useStudio();

const size = computed(() =>
  [props.row.lengthMm, props.row.widthMm, props.row.heightMm].map(fromMm).join(' × '),
);

/** Worked out by the server for a row that is looked at, not for one that is scrolled past. */
const DWELL_MS = 350;
const el = ref<HTMLElement>();
const glance = shallowRef<Glance>();
let soon: ReturnType<typeof setTimeout> | undefined;
const { stop } = useInView(el, (isInView) => {
  clearTimeout(soon);
  if (isInView && !props.row.removedAt) soon = setTimeout(() => void fetched(), DWELL_MS);
});
onBeforeUnmount(() => clearTimeout(soon));
async function fetched(): Promise<void> {
  // Its materials have the colours; without an answer the row says what it said before.
  void studio.load();
  if (!may('glances')) return;
  glance.value = await api.glance(props.row.id, today()).catch(() => undefined);
  if (glance.value) stop();
}

const STANDING = {
  begun: 'commissionRow.standing.begun',
  drawn: 'commissionRow.standing.drawn',
  ordering: 'commissionRow.standing.ordering',
  ordered: 'commissionRow.standing.ordered',
  'in-care': 'commissionRow.standing.in-care',
  done: 'commissionRow.standing.done',
} as const;
const looked = ref(false);
/** Where it stands, and what of it is open. */
const stands = computed(() => {
  const g = glance.value;
  if (!g) return [];
  return [
    wording(STANDING[g.standing], { confirmed: g.confirmed, all: g.confirmed + g.toOrder }),
    ...(g.toSettle > 0 ? [wording('commissionRow.toSettle', { count: g.toSettle })] : []),
  ];
});
const cost = computed(() => {
  const g = glance.value;
  if (!g) return '';
  const open = g.unpriced > 0 ? wording('commissionRow.unpriced', { count: g.unpriced }) : '';
  return [money(g.costMinor, g.currency), open].filter(Boolean).join(', ');
});
const next = computed(() => {
  const due = glance.value?.next;
  return due && due.day !== props.row.buildDay
    ? { what: words(due.what), when: `${shortDay(due.day)}, ${daysAway(due.day)}`, late: due.day < today() }
    : undefined;
});
</script>

<template>
  <li ref="el">
    <router-link :to="`/c/${row.id}/bench`" class="plain main" @keydown.space.prevent="looked = !looked">
      <ScapeGlance :row="row" :glance="glance" />
      <span class="words"
        ><b>{{ row.title }}</b
        ><span class="quiet">{{
          [row.client !== row.title && row.client, row.place].filter(Boolean).join(', ')
        }}</span
        ><span class="quiet size">{{ size }} {{ lengthUnit }}</span
        ><span class="next" :class="{ late: next?.late }" data-test="next"
          ><b>{{ next?.what }}</b> {{ next?.when }}</span
        ></span
      >
      <span class="stands" data-test="stands"
        ><span v-for="line in stands" :key="line">{{ line }}</span
        ><span v-if="cost" class="quiet">{{ cost }}</span></span
      >
      <span class="day"
        ><b>{{ longDay(row.buildDay) }}</b
        ><span class="quiet">build day, {{ daysAway(row.buildDay) }}</span></span
      >
    </router-link>
    <span class="acts">
      <button v-if="row.removedAt" class="act" @click="$emit('restore')">Bring back</button>
      <template v-else-if="may('create')">
        <button
          class="act look"
          :aria-label="`Look at ${row.title}`"
          :aria-expanded="looked"
          :disabled="!glance"
          @click="looked = !looked"
        >
          {{ looked ? 'Close' : 'Look' }}
        </button>
        <FileLink :href="api.file(row.id, 'file')" :aria-label="`Export ${row.title}`">Export</FileLink>
        <button class="act" :aria-label="`Duplicate ${row.title}`" @click="$emit('duplicate')">
          Duplicate
        </button>
        <button class="act off" :aria-label="`Remove ${row.title}`" @click="$emit('remove')">Remove</button>
      </template>
    </span>
    <CommissionLook v-if="looked && glance" :row="row" :glance="glance" />
  </li>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
.main {
  flex: 1;
  min-width: 0;
  display: grid;
  grid-template-columns: 150px 1fr 158px 152px;
  align-items: center;
  gap: 20px;
  padding: 12px 0;
  color: var(--ink);
}
.main:hover .words b {
  color: var(--celadon);
}
.words,
.stands,
.day {
  display: flex;
  flex-direction: column;
}
.words b {
  font: 500 20px var(--title);
}
.stands {
  font-size: 13px;
}
/* There before the answer is, so that nothing moves when it comes. */
.next {
  min-height: 1.4em;
  font-size: 13px;
}
.next b {
  font: 600 13px var(--text);
}
.size {
  font-size: 12px;
}
.acts {
  display: flex;
  gap: 12px;
  padding-left: 16px;
}
.act.look {
  min-width: 42px;
  text-align: left;
}
.act.off {
  color: var(--ink-2);
  font-weight: 400;
}
/* On a tablet what can be done stands below: a title is read in one line. */
@media (max-width: 1150px) {
  .main {
    flex-basis: 100%;
  }
  .acts {
    width: 100%;
    justify-content: flex-end;
    gap: 22px;
    padding-bottom: 6px;
  }
}
@media (max-width: 900px) {
  .main {
    grid-template-columns: 1fr 150px;
  }
  .main svg,
  .stands,
  .size {
    display: none;
  }
}
@media (max-width: 700px) {
  li {
    display: block;
    padding: 10px 0;
  }
  .acts {
    padding: 8px 0 0;
    gap: 22px;
  }
  .main {
    grid-template-columns: 1fr;
    gap: 4px;
    padding: 0;
  }
  .day {
    flex-direction: row;
    gap: 10px;
    flex-wrap: wrap;
  }
}
</style>
