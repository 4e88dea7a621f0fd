<script setup lang="ts">
import { computed } from 'vue';
import type { CarePlan } from '../../../core/care/carePlan';
import type { Commission, Option } from '../../../core/commission/schema';
import FrontView from '../../drawing/FrontView.vue';
import { halfGrown } from '../../drawing/halfGrown';
import { longDay, shortDay } from '../../units/days';
import { fahrenheitFromCelsius } from '../../../core/units/temperature';
import { decimal, useFigures } from '../../units/figures';
import type { FieldView, ShownPlan } from '../../workers/planWorker';
import CareCalendar from './CareCalendar.vue';
import CareDays from './CareDays.vue';
import { stockWords } from './stockWords';
import { wording } from '../../words/wording';

/** What the client is left with: a page that somebody with no training can follow. */
const props = defineProps<{
  care: CarePlan;
  commission: Commission;
  option: Option;
  plan: ShownPlan;
  field: FieldView;
}>();
const f = useFigures();

const PICTURE_W = 236;
const grown = computed(() => halfGrown(props.commission, props.option, props.field));
/** A guide of one page has room for so many. */
const MOST_LATER = 6;
const k = computed(() => PICTURE_W / props.commission.vessel.innerMm.length);
const percent = (part: number) => `${Math.round(part * 100)} %`;
const litres = computed(() => f.volume(props.care.water.litres, 0));
/** Said only where the first change is another than the usual one. */
const first = computed(() => {
  const { first: change, share } = props.care.water;
  return change.share === share
    ? ''
    : `, the first time ${percent(change.share)}: ${f.volume(change.litres, 0)}`;
});
/** The tank's own temperature, on both scales: the guide is read by whoever keeps it. */
const warmth = computed(() => {
  const c = props.plan.visit.water.target.celsius;
  return `${decimal(c, 0)} °C (${decimal(fahrenheitFromCelsius(c), 0)} °F)`;
});
/** Days by which a change may fall beside its own. */
const slack = computed(() => props.commission.brief.care?.slackDays ?? 0);
/** What the change is mixed of, where the tap was measured. */
const mix = computed(() => {
  if (!props.plan.visit.water.tap.known) return '';
  const { tapColdL, tapHotL, roL } = props.care.water.recipe;
  const parts = [
    [tapColdL, 'cold'],
    [tapHotL, 'hot'],
    [roL, 'reverse-osmosis'],
  ] as const;
  const said = parts.filter(([l]) => l >= 0.5).map(([l, what]) => `${f.volume(l, 0)} ${what}`);
  return ` Mix ${said.join(', ')}.`;
});
const conditioner = computed(() => f.said(props.care.water.conditionerMl, 'mL', 0));
const change = computed(() => {
  const { unplug, refill } = props.care.guide;
  return wording('careGuide.change', {
    unplug: f.words(unplug),
    refill: f.words(refill),
    warmth: warmth.value,
    mix: mix.value,
    conditioner: conditioner.value,
  });
});
const dates = computed(() =>
  props.care.dates.map(({ from, to, what }) => ({
    days:
      from === to ? shortDay(from) : wording('careGuide.each', { from: shortDay(from), to: shortDay(to) }),
    what: f.words(what),
  })),
);
/** The day on which it was planted, where the water came weeks later. */
const dryFrom = computed(() => props.care.dryFrom && longDay(props.care.dryFrom));
/** For whom, and on which day. */
const planted = computed(() => {
  const day = longDay(props.care.buildDay);
  const { keeper } = props.commission.brief;
  if (dryFrom.value) {
    const both = { planted: dryFrom.value, day };
    return keeper ? wording('careGuide.plantedDryFor', { ...both, keeper }) : wording('careGuide.plantedDry', both); // prettier-ignore
  }
  return keeper ? wording('careGuide.plantedFor', { day, keeper }) : wording('careGuide.planted', { day });
});
const dose = computed(() => {
  const { mlADose, forLitres } = props.care.dosing;
  const litres = f.volume(forLitres, 0);
  return mlADose
    ? wording('careGuide.dose', { dose: f.said(mlADose, 'mL', 1), litres })
    : wording('careGuide.doseByLabel', { litres });
});
const timer = computed(() => {
  const { on, off, co2On, co2From } = props.care.light;
  if (!co2On) return wording('careGuide.light', { on, off });
  return co2From
    ? wording('careGuide.lightAndGasLater', { on, off, co2On, day: shortDay(co2From) })
    : wording('careGuide.lightAndGas', { on, off, co2On });
});
const madeFor = computed(() => {
  const { client } = props.commission.brief;
  const name = client?.name ?? props.commission.title;
  return client?.place
    ? wording('careGuide.madeForAt', { client: name, place: client.place })
    : wording('careGuide.madeFor', { client: name });
});
const phone = computed(() => props.commission.studio?.phone);
/** Where nothing is planted nothing is fed. */
const fed = computed(() => props.care.weeks.some((w) => w.days.some((d) => d.doses > 0)));
</script>

<template>
  <article class="guide on-paper" data-test="care-guide">
    <header>
      <div>
        <h1>Your tank, the first eight weeks</h1>
        <p>
          {{ planted }}
          {{ f.words(care.says) }} <span data-skip>{{ wording('careGuide.howToRead') }}</span>
        </p>
      </div>
      <svg :width="PICTURE_W + 4" :height="commission.vessel.innerMm.height * k + 4" aria-hidden="true">
        <g transform="translate(2 2)">
          <FrontView
            :vessel="commission.vessel"
            :option="option"
            :materials="commission.catalogue.materials"
            :field="field"
            :survey="plan.survey"
            :k="k"
            :plants="grown"
          />
          <path
            :d="`M0 0 V ${commission.vessel.innerMm.height * k} H ${PICTURE_W} V 0`"
            fill="none"
            stroke="#23211e"
            stroke-width="1.6"
          />
        </g>
      </svg>
    </header>
    <template v-if="dryFrom">
      <h2>{{ wording('careGuide.dryTitle') }}</h2>
      <p data-test="dry-weeks">
        {{ wording('careGuide.dry', { planted: dryFrom, day: longDay(care.buildDay) }) }}
      </p>
    </template>
    <CareCalendar :care="care" data-skip />
    <CareDays
      :care="care"
      :notes="[...(fed ? [dose] : []), ...(care.stock ? [stockWords(care.stock, f.words)] : [])]"
    />
    <p class="key" data-skip>
      <span
        ><svg width="20" height="14">
          <rect x="1" y="5" width="18" height="8" fill="#a9c7d4" />
          <path d="M1 0 V13 H19 V0" fill="none" stroke="#23211e" /></svg
        >take out {{ percent(care.water.share) }}: {{ litres }}{{ first }}</span
      >
      <span><b class="t">T</b>{{ wording('careGuide.test') }}</span>
      <span v-if="fed"><i class="dot" />{{ dose }}</span>
      <span v-if="care.stock" class="gate">{{ stockWords(care.stock, f.words) }}</span>
    </p>
    <div class="texts">
      <section>
        <h2>Changing {{ litres }}</h2>
        <p>
          {{ change }}
          <template v-if="slack">{{ wording('careGuide.slack', { days: slack }) }}</template>
        </p>
      </section>
      <section>
        <h2>Light{{ care.light.co2On ? ' and gas' : '' }}</h2>
        <p>
          {{ timer }} {{ wording('careGuide.lightStays') }}
          <template v-if="care.light.co2On">{{ wording('careGuide.bottle') }}</template>
        </p>
      </section>
      <section>
        <h2>Dates to keep</h2>
        <p v-for="e in dates" :key="`${e.days} ${e.what}`"><b>{{ e.days }}</b> {{ e.what }}</p>
      </section>
      <section v-if="care.later.length" data-test="care-later">
        <h2>After the eight weeks</h2>
        <p v-for="e in care.later.slice(0, MOST_LATER)" :key="`${e.day} ${f.words(e.what)}`">
          <b>{{ shortDay(e.day) }}</b> {{ f.words(e.what) }}
        </p>
      </section>
      <section v-if="care.supplies.length" data-test="care-supplies">
        <h2>What it uses up</h2>
        <p v-for="s in care.supplies" :key="s.kind">{{ f.words(s.says) }}</p>
      </section>
      <section>
        <h2>Do not worry about</h2>
        <p>{{ f.words(care.guide.passes) }}</p>
        <p>{{ wording('careGuide.panes') }}</p>
      </section>
      <section>
        <h2>Ring us when</h2>
        <p>
          {{ wording('careGuide.ringUs') }}
          <b v-if="phone">{{ phone }}</b>
        </p>
      </section>
      <section>
        <h2>{{ commission.studio?.name ?? 'The studio' }}</h2>
        <p v-if="commission.studio?.address">{{ commission.studio.address }}</p>
        <p>{{ madeFor }} {{ wording('careGuide.heavy') }}</p>
      </section>
    </div>
  </article>
</template>

<style scoped>
.guide {
  border: 1px solid var(--rule);
  padding: 30px 34px 26px;
  max-width: 800px;
  margin: 0 auto;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 30px;
}
h1 {
  font-size: 29px;
  margin-bottom: 8px;
}
header p {
  font-size: 13.5px;
  color: #544d45;
  max-width: 430px;
}
.key {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  font-size: 12px;
  margin: 8px 0 14px;
  align-items: center;
}
.key span {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
.t {
  background: #42715e;
  color: #fff;
  font-size: 10px;
  padding: 0 4px;
  line-height: 15px;
}
.dot {
  width: 8px;
  height: 8px;
  border-radius: 50%;
  background: #b08968;
}
.gate {
  color: #2f5a49;
  font-weight: 600;
}
.texts {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 14px 30px;
}
.texts h2 {
  font-size: 16px;
  margin-bottom: 3px;
}
.texts p {
  font-size: 12.5px;
  line-height: 1.42;
}
section {
  break-inside: avoid;
}
@media print {
  .guide {
    border: 0;
    padding: 0;
    max-width: none;
  }
  .texts p,
  header p {
    font-size: 10.5pt;
  }
}
@media (max-width: 760px) {
  .guide {
    padding: 16px;
  }
  header {
    flex-direction: column;
  }
  .texts {
    grid-template-columns: 1fr;
  }
}
</style>
