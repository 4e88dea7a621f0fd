<script setup lang="ts">
import { materialCost } from '../../../core/takeoff/cost';
import { computed } from 'vue';
import { endsOf, type BuildPlan } from '../../../core/buildDay/buildPlan';
import { firstToOrder } from '../../../core/ordering/order';
import { ofFirstVisit } from '../../../core/pipeline/firstVisit';
import { daylightOf, MOST_LIGHT_HOURS } from '../../../core/light/photoperiod';
import { useCommission } from '../../document/commissionStore';
import { daysAway, longDay, shortDay, weekDay } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import FindingList from '../../frame/FindingList.vue';
import type { ShownPlan } from '../../workers/planWorker';
import { useFrame } from '../../frame/planKey';
import { wording } from '../../words/wording';

/** Sentences that say what follows from the answers, and what does not fit them. */
const commission = useCommission();
const { plan } = useFrame();
const f = useFigures();

/** When the gas comes on and goes off, and from which day. */
function co2Words({ co2On, co2From, on }: ShownPlan['care']['light']): string {
  if (!co2On) return '';
  return co2From
    ? wording('briefFollows.co2Later', { co2On, on, day: shortDay(co2From) })
    : wording('briefFollows.co2', { co2On, on });
}

/** Where the work is done in sittings, when the first of them is. */
const daysWords = ({ earlier }: BuildPlan) =>
  earlier.length > 0
    ? wording('briefFollows.sittings', { count: earlier.length, day: weekDay(earlier[0].day) })
    : '';
const follows = computed(() => {
  const p = plan.value;
  const doc = commission.document;
  if (!p || !doc) return [];
  const first = firstToOrder(p.order);
  const soak = p.build.beforehand[0];
  const week = p.care.weeks[0];
  const { budgetMinor } = doc.brief;
  return [
    {
      about: 'Order',
      says: first
        ? wording('briefFollows.orderBy', {
            supplier: first.name,
            day: longDay(first.orderBy),
            away: daysAway(first.orderBy),
          })
        : wording('briefFollows.nothingToOrder'),
    },
    { about: 'Before', says: soak ? `${f.words(soak.title)}: ${shortDay(soak.day)}.` : '' },
    {
      about: 'Build day',
      says: `${daysWords(p.build)}${p.build.crew.map(f.words).join(' and ')}, from ${p.build.startTime}; ${f.words(endsOf(p.build))}.`,
    },
    {
      about: 'Light',
      says: wording(
        daylightOf(doc.brief) === 'window' && !doc.brief.care?.lightHours
          ? 'briefFollows.lightByWindow'
          : 'briefFollows.light',
        { hours: week.hours, percent: Math.round(week.outputShare * 100), most: MOST_LIGHT_HOURS },
      ),
    },
    {
      about: 'Gas',
      says: doc.brief.co2 ? co2Words(p.care.light) : wording('briefFollows.noCo2'),
    },
    {
      about: 'Keeper',
      says: wording('briefFollows.upkeep', {
        first: week.minutes,
        last: p.care.weeks[7].minutes,
        litres: f.volume(week.days[0].change?.litres ?? p.care.water.litres, 0),
      }),
    },
    {
      about: 'Material',
      says: wording(budgetMinor ? 'briefFollows.costAndBudget' : 'briefFollows.cost', {
        cost: f.words(materialCost(p.takeOff, doc.currency, p.order.totalMinor)),
        budget: money(budgetMinor ?? 0, doc.currency),
      }),
    },
  ].filter((s) => s.says);
});
const findings = computed(
  () => plan.value?.findings.filter((n) => ofFirstVisit(n) || n.id.startsWith('order.')) ?? [],
);
</script>

<template>
  <aside class="follows">
    <h2>What follows</h2>
    <dl>
      <template v-for="s in follows" :key="s.about"
        ><dt>{{ s.about }}</dt>
        <dd>{{ s.says }}</dd></template
      >
    </dl>
    <FindingList :findings="findings" />
  </aside>
</template>

<style scoped>
.follows {
  border-left: 3px solid var(--celadon);
  padding-left: 20px;
  align-self: start;
  position: sticky;
  top: 10px;
  max-height: calc(100vh - 84px);
  overflow-y: auto;
}
dl {
  margin: 8px 0 20px;
  display: grid;
  grid-template-columns: 72px 1fr;
  gap: 8px 10px;
}
dt {
  color: var(--ink-2);
  font-size: 12px;
  padding-top: 1px;
}
dd {
  margin: 0;
}
@media (max-width: 1150px) {
  .follows {
    padding-left: 14px;
  }
  dl {
    grid-template-columns: 1fr;
    gap: 1px;
  }
  dd {
    padding-bottom: 7px;
  }
}
</style>
