<script setup lang="ts">
import { useTimeoutFn, useTitle } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { clockOf } from '../../../core/calendar/clock';
import { dayPlus } from '../../../core/calendar/day';
import type { DueSort } from '../../../core/staging/sorts';
import { WEEKS_AHEAD_DAYS } from '../../../core/pipeline/glance';
import type { Clash, Week, WeekItem } from '../../../core/staging/week';
import { api } from '../../document/api';
import { dayName, longDay, shortDay, today } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** The studio's week: what must be ordered, fetched, received, made ready, built and visited, each one press from its place. */
useTitle('Week · Utsuwa');
const f = useFigures();
const from = ref(today());
const week = shallowRef<Week & { unknown: number }>();
const fault = ref('');
let asked = 0;
/** How soon it is asked for again while commissions are still being worked out, ms. */
const AGAIN_MS = 1_200;
const again = useTimeoutFn(() => void load(), AGAIN_MS, { immediate: false });

async function load(): Promise<void> {
  const turn = ++asked;
  again.stop();
  try {
    const found = await api.week(from.value, today());
    if (turn !== asked) return;
    week.value = found;
    fault.value = '';
    if (found.unknown > 0) again.start();
  } catch (error) {
    if (turn !== asked) return;
    fault.value = error instanceof Error ? error.message : String(error);
  }
}
watch(from, load, { immediate: true });

const SORTS: Record<DueSort, string> = {
  order: wording('week.order'),
  fetch: wording('week.fetch'),
  receive: wording('week.receive'),
  ready: wording('week.ready'),
  build: wording('week.build'),
  visit: wording('week.visit'),
  question: wording('week.question'),
};
/** Where each is seen to. */
const PLACES: Record<DueSort, string> = {
  order: 'order',
  fetch: 'run-sheet',
  receive: 'order',
  ready: 'run-sheet',
  build: 'run-sheet',
  visit: 'build',
  question: 'log',
};
const hours = ({ hands }: WeekItem) =>
  hands ? `${clockOf('00:00', hands.fromMin)}–${clockOf('00:00', hands.toMin)}` : '';
/** A line stays itself while others come in round it: a press that began on one never ends on another. */
const keyOf = (i: WeekItem) => JSON.stringify(i);
const who = ({ hands }: WeekItem) => (hands ? hands.names.join(', ') : '');
const CLASHES = { tubs: 'week.tubs', bays: 'week.bays', hands: 'week.hands' } as const;
function clashWords(c: Clash): string {
  const titles = c.titles.join(', ');
  if (c.kind === 'person') return wording('week.person', { who: c.who, titles });
  if (c.kind === 'ro')
    return wording('week.ro', { needs: f.volume(c.litres, 0), has: f.volume(c.has, 0), titles });
  return wording(CLASHES[c.kind], { needs: c.needs, has: c.has, titles });
}
/** As far as it is known. */
const last = computed(() => dayPlus(today(), WEEKS_AHEAD_DAYS - 7));
const go = (days: number) => (from.value = dayPlus(from.value, days));
</script>

<template>
  <main class="week">
    <header>
      <router-link to="/" class="mark">Utsuwa</router-link>
      <h1>{{ wording('week.title') }}</h1>
      <p class="quiet">{{ longDay(from) }}</p>
      <nav :aria-label="wording('week.title')">
        <button class="act" :disabled="from <= today()" data-test="week-before" @click="go(-7)">
          {{ wording('week.before') }}
        </button>
        <button class="act" :disabled="from === today()" @click="from = today()">
          {{ wording('week.today') }}
        </button>
        <button class="act" :disabled="from >= last" data-test="week-after" @click="go(7)">
          {{ wording('week.after') }}
        </button>
        <a class="act" href="/api/week/feed.ics">{{ wording('week.feed') }}</a>
      </nav>
    </header>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <p class="quiet unknown">
      <span v-if="week?.unknown" role="status">{{ wording('week.unknown', { count: week.unknown }) }}</span>
    </p>
    <section v-if="week?.late.length" class="overdue" data-test="late">
      <h2>{{ wording('week.late') }}</h2>
      <ul>
        <li v-for="i in week.late" :key="keyOf(i)">
          <router-link :to="`/c/${i.id}/${PLACES[i.sort]}`" class="plain item" :data-sort="i.sort">
            <em>{{ SORTS[i.sort] }}</em> <b>{{ i.title }}</b> {{ f.words(i.what) }}
            <span class="quiet">{{ shortDay(i.day) }}</span>
          </router-link>
        </li>
      </ul>
    </section>
    <div v-if="week" class="days">
      <section v-for="d in week.days" :key="d.day" :data-day="d.day" :class="{ now: d.day === today() }">
        <h2>{{ dayName(d.day) }} <span>{{ shortDay(d.day) }}</span></h2>
        <p v-for="(c, n) in d.clashes" :key="n" class="clash" :data-clash="c.kind">{{ clashWords(c) }}</p>
        <ul>
          <li v-for="i in d.items" :key="keyOf(i)">
            <router-link :to="`/c/${i.id}/${PLACES[i.sort]}`" class="plain item" :data-sort="i.sort">
              <em>{{ SORTS[i.sort] }}</em>
              <span v-if="i.hands" class="hours">{{ hours(i) }} {{ who(i) }}</span>
              <b>{{ i.title }}</b>
              <span>{{ f.words(i.what) }}</span>
            </router-link>
          </li>
        </ul>
        <p v-if="d.items.length === 0" class="quiet">{{ wording('week.none') }}</p>
      </section>
    </div>
  </main>
</template>

<style scoped>
/* Its place is kept: what is pressed below would move when everything is known. */
.unknown {
  min-height: 19px;
}
.week {
  height: 100vh;
  overflow: auto;
  padding: 24px max(26px, calc((100vw - 1320px) / 2)) 50px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 10px;
}
.mark {
  font-size: 18px;
  color: inherit;
  text-decoration: none;
}
nav {
  margin-left: auto;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
.days {
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  gap: 0;
}
.days > section {
  border-right: 1px solid var(--rule);
  padding: 8px 10px 20px;
  min-height: 300px;
}
.days > section:last-child {
  border-right: 0;
}
.now {
  background: var(--paper);
}
h2 {
  font: 500 17px var(--title);
}
h2 span {
  font: 400 13px var(--text);
  color: var(--ink-2);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.item {
  display: flex;
  flex-direction: column;
  color: inherit;
  text-decoration: none;
  padding: 6px 0 6px 8px;
  margin: 4px 0;
  border-left: 4px solid var(--clay-2);
  line-height: 1.25;
  font-size: 13.5px;
  min-height: 44px;
}
.item:hover b {
  text-decoration: underline;
  text-decoration-color: var(--rule);
}
.item em {
  font-style: normal;
  font-size: 12px;
  color: var(--ink-2);
}
.item[data-sort='build'] {
  border-color: var(--celadon);
  background: var(--celadon-wash);
}
.item[data-sort='receive'] {
  border-color: var(--water-line);
}
.hours {
  font-variant-numeric: tabular-nums;
}
.clash,
.overdue .item {
  border-left: 4px solid var(--warn);
}
.clash {
  background: var(--warn-wash);
  padding: 4px 8px;
  font-size: 13px;
  line-height: 1.3;
}
.overdue {
  padding: 10px 0;
}
.overdue .item {
  flex-direction: row;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: baseline;
  min-height: 0;
}
@media (max-width: 900px) {
  .days {
    grid-template-columns: minmax(0, 1fr);
  }
  .days > section {
    border-right: 0;
    border-bottom: 1px solid var(--rule);
    min-height: 0;
    padding: 8px 0 10px;
  }
  nav {
    margin-left: 0;
  }
}
</style>
