<script setup lang="ts">
import { computed } from 'vue';
import { startTimeOf } from '../../../core/commission/usual';
import { OCCASIONS } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import { useDocEdit } from '../../document/docEdit';
import { useStudio } from '../../document/studioStore';
import DayField from '../../document/DayField.vue';
import FigureField from '../../document/FigureField.vue';
import PictureStrip from '../../document/PictureStrip.vue';
import { useFrame } from '../../frame/planKey';
import { clockTyped } from '../../units/dayInput';
import WordsField from '../../document/WordsField.vue';
import AskedRow from './AskedRow.vue';
import BriefFollows from './BriefFollows.vue';
import BrokenDownList from './BrokenDownList.vue';
import ClientData from './ClientData.vue';
import LivestockPicker from './LivestockPicker.vue';
import OwnedList from './OwnedList.vue';
import { TOPICS } from './questions';
import RescapeAnswer from './RescapeAnswer.vue';
import RoomPlan from './RoomPlan.vue';
import SchoolsAnswer from './SchoolsAnswer.vue';
import TickButtons from './TickButtons.vue';
import UpkeepBar from './UpkeepBar.vue';
import { wording } from '../../words/wording';
import { percentOf, shareOf } from '../../../core/units/quantity';
import { inCurrency } from '../../../core/edits/currency';
import CurrencyField from '../../document/CurrencyField.vue';

/** The first visit, in the order in which one talks; what follows stands beside it. */
const commission = useCommission();
const edit = useDocEdit();
const studio = useStudio();
void studio.load();
const { plan } = useFrame();
const doc = computed(() => commission.document!);
const brief = computed(() => doc.value.brief);

const setClient = (key: 'name' | 'place' | 'contact') => (value: string) =>
  edit.edit(`client ${key}`, (d) => ({
    ...d,
    brief: { ...d.brief, client: { name: '', ...d.brief.client, [key]: value } },
  }));
/** The house's hours; the other of the two stands for itself until it is typed. */
function setHours(i: 0 | 1, text: string): string | undefined {
  if (!text.trim()) return edit.site('hours', undefined);
  const hours: [string, string] = [...(doc.value.site?.hours ?? (['08:00', '18:00'] as [string, string]))];
  hours[i] = clockTyped(text);
  return edit.site('hours', hours);
}
const setTitle = (title: string) => edit.edit('title', (d) => ({ ...d, title }));
function setName(i: number, name: string): string | undefined {
  const names = Array.from(
    { length: brief.value.crew },
    (_, n) => brief.value.crewNames?.[n] ?? `Person ${n + 1}`,
  );
  return edit.brief('crewNames', names.map((old, n) => (n === i ? name : old))); // prettier-ignore
}
function setOccasion([kind]: (typeof OCCASIONS)[number][]): void {
  edit.brief('occasion', kind ? { ...brief.value.occasion, kind } : undefined);
}

const OCCASION_TICKS = OCCASIONS.map((value) => ({ value, title: value }));
const GAS = [
  { value: 'yes', title: 'With CO2' },
  { value: 'no', title: 'Without' },
] as const;
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
      <p class="quiet">{{ wording('briefStage.how') }}</p>
      <router-link class="act" :to="`/c/${commission.id}/visit-sheet`" data-test="visit-sheet"
        >Visit sheet on paper</router-link
      >
    </header>
    <nav aria-label="Topics" class="topics">
      <a v-for="t in TOPICS" :key="t.id" class="plain" :href="`#${t.id}`">{{ t.title }}</a>
    </nav>
    <div class="columns">
      <div class="questions">
        <section id="who">
          <h2>Who, and where</h2>
          <AskedRow id="client">
            <div class="pair">
              <WordsField label="Commission" :value="doc.title" :apply="setTitle" data-test="title" />
              <WordsField
                label="Client"
                :value="brief.client?.name"
                :apply="setClient('name')"
                data-test="client"
              />
              <WordsField label="Place" :value="brief.client?.place" :apply="setClient('place')" />
              <WordsField label="Contact" :value="brief.client?.contact" :apply="setClient('contact')" />
            </div>
          </AskedRow>
        </section>
        <section id="why">
          <h2>Why now, and by when</h2>
          <AskedRow id="occasion">
            <TickButtons
              label="Occasion"
              :choices="OCCASION_TICKS"
              :chosen="brief.occasion ? [brief.occasion.kind] : []"
              @change="setOccasion"
            />
            <div v-if="brief.occasion" class="pair">
              <DayField
                label="On"
                :value="brief.occasion.day"
                :apply="(day) => edit.brief('occasion', { ...brief.occasion!, day: day || undefined })"
                data-test="occasion-day"
              />
              <WordsField
                label="Of what"
                :value="brief.occasion.note"
                :apply="(note) => edit.brief('occasion', { ...brief.occasion!, note: note || undefined })"
              />
            </div>
          </AskedRow>
          <AskedRow id="build">
            <div class="four">
              <DayField
                label="Build day"
                :value="brief.buildDay"
                :apply="(day) => edit.brief('buildDay', day)"
                data-test="build-day"
              />
              <WordsField
                label="From"
                :value="startTimeOf(brief)"
                :apply="(t) => edit.brief('startTime', clockTyped(t))"
              />
              <FigureField
                label="Crew"
                kind="plain"
                unit="people"
                :value="brief.crew"
                :apply="(n) => edit.brief('crew', n)"
                data-test="crew"
              />
              <FigureField
                label="Pace"
                kind="plain"
                unit="% of usual minutes"
                optional
                :value="percentOf(brief.pace)"
                :apply="(p) => edit.brief('pace', shareOf(p))"
                data-test="pace"
              />
              <WordsField
                label="House open from"
                :value="doc.site?.hours?.[0]"
                :apply="(t) => setHours(0, t)"
                data-test="house-from"
              />
              <WordsField label="until" :value="doc.site?.hours?.[1]" :apply="(t) => setHours(1, t)" />
              <WordsField
                v-for="n in brief.crew"
                :key="n"
                :label="n === 1 ? 'Lead' : `Person ${n}`"
                :value="brief.crewNames?.[n - 1]"
                :apply="(name) => setName(n - 1, name)"
                list="people"
              />
              <datalist id="people">
                <option v-for="p in studio.studio?.people" :key="p" :value="p" />
              </datalist>
            </div>
          </AskedRow>
        </section>
        <section id="rescape">
          <h2>New, or a running tank</h2>
          <AskedRow id="rescape"><RescapeAnswer /></AskedRow>
          <AskedRow id="brokenDown"><BrokenDownList /></AskedRow>
        </section>
        <section id="story">
          <h2>Story and pictures</h2>
          <AskedRow id="story">
            <WordsField
              label="In their words"
              :lines="2"
              :value="brief.story"
              :apply="(s) => edit.brief('story', s)"
            />
          </AskedRow>
          <PictureStrip
            title="Reference pictures"
            :subjects="['story', 'owned']"
            :hint="wording('briefStage.picturesKept')"
          />
        </section>
        <section id="seats">
          <h2>Seats</h2>
          <AskedRow id="seats">
            <RoomPlan>
              <AskedRow id="window" />
            </RoomPlan>
            <v-select
              v-if="!brief.window"
              class="half"
              label="Daylight, without a window"
              :items="DAYLIGHT"
              :model-value="brief.daylight"
              @update:model-value="(v) => edit.brief('daylight', v)"
            />
          </AskedRow>
        </section>
        <section id="animals">
          <h2>Animals</h2>
          <AskedRow id="livestock"><LivestockPicker :visit="plan?.visit" /></AskedRow>
        </section>
        <section id="keeping">
          <h2>Keeping it</h2>
          <AskedRow id="keeper">
            <div class="pair">
              <WordsField
                label="Who will keep it"
                :value="brief.keeper"
                :apply="(k) => edit.brief('keeper', k)"
              />
              <FigureField
                label="Time they really have"
                kind="plain"
                unit="min a week"
                optional
                :value="brief.minutesAWeek"
                :apply="(v) => edit.brief('minutesAWeek', v)"
                data-test="minutes"
              />
            </div>
            <UpkeepBar v-if="plan" :care="plan.care" :promised="brief.minutesAWeek" />
          </AskedRow>
          <AskedRow id="co2">
            <TickButtons
              label="CO2"
              :choices="GAS"
              :chosen="[brief.co2 ? 'yes' : 'no']"
              @change="(c) => edit.brief('co2', c[0] === 'yes')"
            />
            <FigureField
              v-if="brief.co2"
              class="half"
              label="What the set costs"
              kind="money"
              :unit="doc.currency"
              optional
              :value="brief.co2CostMinor"
              :apply="(v) => edit.brief('co2CostMinor', v)"
            />
          </AskedRow>
          <AskedRow id="schools"><SchoolsAnswer /></AskedRow>
        </section>
        <section id="money">
          <h2>Money, and what is there</h2>
          <AskedRow id="budget">
            <FigureField
              class="half"
              label="Budget for material"
              kind="money"
              :unit="doc.currency"
              optional
              :value="brief.budgetMinor"
              :apply="(v) => edit.brief('budgetMinor', v)"
            />
            <CurrencyField
              label="in"
              :value="doc.currency"
              data-test="currency"
              @change="(code) => commission.edit('currency', (d) => inCurrency(d, code))"
            />
          </AskedRow>
          <AskedRow id="owned"><OwnedList /></AskedRow>
        </section>
        <ClientData />
      </div>
      <BriefFollows />
    </div>
  </div>
</template>

<style scoped>
.brief {
  padding: 16px 30px 40px;
  max-width: 1160px;
}
header {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
header .act {
  margin-left: auto;
}
.topics {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  color: var(--ink-2);
  margin-top: 2px;
}
.topics a {
  padding: 6px 0;
}
.topics a:hover {
  color: var(--celadon);
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  gap: 36px;
  margin-top: 6px;
}
.questions > section {
  border-top: 1px solid var(--rule);
  padding: 10px 0 10px;
  scroll-margin-top: 10px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 26px;
  padding-top: 4px;
  align-items: end;
}
.half {
  max-width: 300px;
}
.four {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 6px 22px;
  padding-top: 4px;
}
@media (max-width: 1150px) {
  .brief {
    padding: 16px 18px 40px;
  }
  .columns {
    grid-template-columns: minmax(0, 1fr) 244px;
    gap: 20px;
  }
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 700px) {
  header {
    flex-wrap: wrap;
  }
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
  .four {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
