<script setup lang="ts">
import { materialCost } from '../../../core/takeoff/cost';
import { computed } from 'vue';
import { endsOf } from '../../../core/buildDay/buildPlan';
import { firstToOrder } from '../../../core/ordering/order';
import { ofFirstVisit } from '../../../core/pipeline/firstVisit';
import { daylightOf, MOST_LIGHT_HOURS } from '../../../core/light/photoperiod';
import { useCommission } from '../../document/commissionStore';
import { daysAway, longDay, shortDay } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import FindingList from '../../frame/FindingList.vue';
import { useFrame } from '../../frame/planKey';

/** Sentences that say what follows from the answers, and what does not fit them. */
const commission = useCommission();
const { plan } = useFrame();
const f = useFigures();

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
        ? `${first.name} must have the order by ${longDay(first.orderBy)}, ${daysAway(first.orderBy)}.`
        : 'Nothing to order yet: the bench is empty.',
    },
    { about: 'Before', says: soak ? `${f.words(soak.title)}: ${shortDay(soak.day)}.` : '' },
    {
      about: 'Build day',
      says: `${p.build.crew.map(f.words).join(' and ')}, from ${p.build.startTime}; ${f.words(endsOf(p.build))}.`,
    },
    {
      about: 'Light',
      says: `${week.hours} h at ${Math.round(week.outputShare * 100)} % in week 1${daylightOf(doc.brief) === 'window' && !doc.brief.care?.lightHours ? ', an hour less for the window' : ''}; never more than ${MOST_LIGHT_HOURS} h in the first months.`,
    },
    {
      about: 'Gas',
      says: doc.brief.co2
        ? `On at ${p.care.light.co2On}, before the light at ${p.care.light.on}, off with it${p.care.light.co2From ? `; from ${shortDay(p.care.light.co2From)} on` : ''}.`
        : 'None. Plants that need it are found on the Planting stage.',
    },
    {
      about: 'Keeper',
      says: `${week.minutes} min of work in week 1, ${p.care.weeks[7].minutes} in week 8: ${f.volume(week.days[0].change?.litres ?? p.care.water.litres, 0)} a change.`,
    },
    {
      about: 'Material',
      says: `${f.words(materialCost(p.takeOff, doc.currency))}${budgetMinor ? `, ${money(budgetMinor, doc.currency)} agreed` : ''}, from the bench as it is now.`,
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
