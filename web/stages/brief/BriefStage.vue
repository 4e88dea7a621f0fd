<script setup lang="ts">
import { computed } from 'vue';
import { WATER_SCHOOLS, type Brief, type Commission } from '../../../core/commission/schema';
import { SCHOOLS } from '../../../core/care/waterSchools';
import { DOSING_RULES } from '../../../core/care/dosing';
import { useCommission } from '../../shell/commissionStore';
import FigureField from '../../shell/FigureField.vue';
import WordsField from '../../shell/WordsField.vue';
import BriefFollows from './BriefFollows.vue';

const commission = useCommission();
const doc = computed(() => commission.document!);
const brief = computed(() => doc.value.brief);

const set =
  <K extends keyof Brief>(key: K) =>
  (value: Brief[K] | undefined) =>
    commission.tryEdit(`brief ${String(key)}`, (d) => ({ ...d, brief: without(d.brief, key, value) }));

/** An answer that is taken back leaves no empty field behind. */
function without<K extends keyof Brief>(b: Brief, key: K, value: Brief[K] | undefined): Brief {
  const next = { ...b, [key]: value };
  if (value === undefined || value === '') delete next[key];
  return next;
}
const setClient = (key: 'name' | 'place' | 'contact') => (value: string) =>
  commission.tryEdit(`client ${key}`, (d) => ({
    ...d,
    brief: { ...d.brief, client: { name: '', ...d.brief.client, [key]: value } },
  }));
const setSchool = (key: 'water' | 'dosing') => (value: string) =>
  commission.tryEdit(
    `school ${key}`,
    (d) => ({ ...d, brief: { ...d.brief, schools: { ...d.brief.schools, [key]: value } } }) as Commission,
  );
const setTitle = (title: string) => commission.tryEdit('title', (d) => ({ ...d, title }));
function setName(i: number, name: string): string | undefined {
  return commission.tryEdit(`crew ${i}`, (d) => {
    const names = Array.from({ length: d.brief.crew }, (_, n) => d.brief.crewNames?.[n] ?? `Person ${n + 1}`);
    return { ...d, brief: { ...d.brief, crewNames: names.map((old, n) => (n === i ? name : old)) } };
  });
}

const WATER = WATER_SCHOOLS.map((value) => ({
  value,
  title: SCHOOLS[value].title,
  subtitle: SCHOOLS[value].rule,
}));
const DOSING = Object.entries(DOSING_RULES).map(([value, rule]) => ({ value, title: rule }));
const DAYLIGHT = [
  { value: 'none', title: 'none' },
  { value: 'indirect', title: 'indirect' },
  { value: 'window', title: 'beside a window' },
];
</script>

<template>
  <div class="brief">
    <header>
      <h1>Brief</h1>
      <p class="quiet">asked in the order of a first visit; every answer can wait</p>
    </header>
    <div class="columns">
      <div class="questions">
        <section>
          <h2>Who, and where</h2>
          <div class="pair">
            <WordsField label="Commission" :value="doc.title" :apply="setTitle" data-test="title" />
            <WordsField label="Client" :value="brief.client?.name" :apply="setClient('name')" />
            <WordsField label="Place" :value="brief.client?.place" :apply="setClient('place')" />
            <WordsField label="Contact" :value="brief.client?.contact" :apply="setClient('contact')" />
          </div>
          <WordsField
            label="Story or picture in mind"
            :lines="2"
            :value="brief.story"
            :apply="set('story')"
          />
        </section>
        <section>
          <h2>By when, and by whom</h2>
          <div class="four">
            <WordsField
              label="Build day"
              type="date"
              :value="brief.buildDay"
              :apply="set('buildDay')"
              data-test="build-day"
            />
            <WordsField
              label="From"
              type="time"
              :value="brief.startTime ?? '08:30'"
              :apply="set('startTime')"
            />
            <FigureField
              data-test="crew"
              label="Crew"
              kind="plain"
              unit="people"
              :value="brief.crew"
              :apply="(v) => set('crew')(v)"
            />
            <WordsField
              v-for="n in brief.crew"
              :key="n"
              :label="n === 1 ? 'Lead' : `Person ${n}`"
              :value="brief.crewNames?.[n - 1]"
              :apply="(name) => setName(n - 1, name)"
            />
          </div>
        </section>
        <section>
          <h2>Light, gas, money, time</h2>
          <div class="pair">
            <v-switch
              :model-value="brief.co2"
              label="Injected CO2"
              @update:model-value="(v) => set('co2')(Boolean(v))"
            />
            <v-select
              label="Daylight on the tank"
              :items="DAYLIGHT"
              :model-value="brief.daylight"
              @update:model-value="(v) => set('daylight')(v)"
            />
            <FigureField
              label="Budget for material"
              kind="money"
              :unit="doc.currency"
              optional
              :value="brief.budgetMinor"
              :apply="(v) => set('budgetMinor')(v)"
            />
            <WordsField label="Who will keep it" :value="brief.keeper" :apply="set('keeper')" />
            <FigureField
              label="Time they really have"
              kind="plain"
              unit="min a week"
              optional
              :value="brief.minutesAWeek"
              :apply="(v) => set('minutesAWeek')(v)"
            />
          </div>
        </section>
        <section>
          <h2>Schools</h2>
          <div class="pair">
            <v-select
              label="Water changes"
              :items="WATER"
              item-props
              :model-value="brief.schools?.water ?? 'taper'"
              @update:model-value="setSchool('water')"
            />
            <v-select
              label="Plant food"
              :items="DOSING"
              :model-value="brief.schools?.dosing ?? 'lean'"
              @update:model-value="setSchool('dosing')"
            />
          </div>
        </section>
      </div>
      <BriefFollows />
    </div>
  </div>
</template>

<style scoped>
.brief {
  padding: 18px 30px 40px;
  max-width: 1160px;
}
header {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
.columns {
  display: grid;
  grid-template-columns: 1fr 330px;
  gap: 44px;
  margin-top: 14px;
}
section {
  border-top: 1px solid var(--rule);
  padding: 12px 0 16px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px 26px;
  align-items: start;
  margin-top: 6px;
}
.four {
  display: grid;
  grid-template-columns: 1.3fr 1fr 1fr 1.2fr 1.2fr;
  gap: 4px 22px;
  margin-top: 6px;
}
@media (max-width: 1100px) {
  .columns {
    grid-template-columns: 1fr;
  }
  .four {
    grid-template-columns: repeat(3, 1fr);
  }
}
</style>
