<script setup lang="ts">
import { computed } from 'vue';
import type { BuildPlan } from '../../../core/buildDay/buildPlan';
import type { Scheduled } from '../../../core/buildDay/schedule';
import type { SittingPlan } from '../../../core/buildDay/sittingPlan';
import { RATES } from '../../../core/buildDay/rates';
import { sittingTitle } from '../../../core/sittings/sittings';
import { HOSE_L_PER_MIN } from '../../../core/filling/filling';
import { weekDay } from '../../units/days';
import { useFigures } from '../../units/figures';
import FindingList from '../../frame/FindingList.vue';
import { wording } from '../../words/wording';

/** What fixes the length of the sitting that is looked at, what is wrong with any, what comes later, and what to mind. */
const props = defineProps<{ build: BuildPlan; sitting: SittingPlan }>();
const f = useFigures();

const shortName = ({ short, title }: Scheduled) => f.words(short ?? title);
const chain = computed(() =>
  props.sitting.chain.map((id) => shortName(props.sitting.tasks.find((t) => t.id === id)!)),
);
const hours = computed(() => `${Math.floor(props.sitting.doneMin / 60)} h ${props.sitting.doneMin % 60} min`);
/** Each caution once, with the steps it stands at. */
const cautions = computed(() => {
  const map = new Map<string, string[]>();
  for (const t of props.sitting.tasks) {
    const says = t.caution && f.words(t.caution);
    if (says) map.set(says, [...(map.get(says) ?? []), shortName(t)]);
  }
  return [...map].map(([says, at]) => ({
    says,
    at: at.length > 2 ? `${at[0]} and ${at.length - 1} more` : at.join(', '),
  }));
});
const rates = computed(() => [
  ['Plug', `${Math.round(RATES.plug * 60)}`, 's'],
  ['Piece set', `${RATES.setPerPiece}`, wording('dayNotes.perKg', { setPerKg: RATES.setPerKg })],
  ['Soil', `${RATES.pourPerL}`, 'min a litre'],
  ['Joint', `${RATES.jointFibre}`, 'min'],
  ['Fill', f.shown(HOSE_L_PER_MIN, 'L/min', 0).text, f.shown(HOSE_L_PER_MIN, 'L/min', 0).unit],
]);
</script>

<template>
  <aside class="notes">
    <slot />
    <header>
      <h2>Longest chain</h2>
      <span class="quiet">{{ hours }}</span>
    </header>
    <p class="chain"><b>{{ chain.join(' → ') }}</b> {{ wording('dayNotes.saved') }}</p>
    <FindingList v-if="build.findings.length" :findings="build.findings" />
    <section v-for="(v, n) in build.visits" :key="n" class="visit" data-test="visit">
      <header>
        <h2>{{ weekDay(v.day) }}</h2>
        <span class="quiet"
          >{{ v.sitting ? f.words(sittingTitle(v.sitting)) : wording('dayNotes.visit') }},
          {{ v.minutes }} min</span
        >
      </header>
      <p v-for="(t, i) in v.tasks" :key="i"><b>{{ f.words(t.title) }}</b> {{ f.words(t.detail) }}</p>
    </section>
    <h2>At these steps</h2>
    <p v-for="c in cautions" :key="c.says" class="caution"><b>{{ c.at }}.</b> {{ c.says }}</p>
    <header>
      <h2>Rates</h2>
      <span class="quiet">common practice</span>
    </header>
    <dl>
      <template v-for="[name, value, unit] in rates" :key="name"
        ><dt>{{ name }}</dt>
        <dd><b>{{ value }}</b> <span class="unit">{{ unit }}</span></dd></template
      >
    </dl>
  </aside>
</template>

<style scoped>
.notes {
  width: 272px;
  flex: none;
  background: var(--paper);
  border-left: 1px solid var(--rule);
  padding: 16px 18px 24px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.chain {
  border-left: 3px solid var(--celadon);
  padding-left: 10px;
  margin: 8px 0 18px;
}
.chain b {
  display: block;
  font-weight: 600;
  margin-bottom: 3px;
}
.visit {
  border-left: 3px solid var(--water-line);
  padding: 0 0 2px 10px;
  margin: 4px 0 14px;
}
.visit p {
  margin: 4px 0;
  font-size: 12.5px;
  line-height: 1.36;
}
.caution {
  background: var(--warn-wash);
  padding: 8px 10px;
  margin: 8px 0;
  font-size: 12.5px;
  line-height: 1.36;
}
h2 {
  margin-top: 6px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  margin: 6px 0;
}
dt,
dd {
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
  margin: 0;
}
dt {
  color: var(--ink-2);
  font-size: 12px;
}
dd {
  text-align: right;
}
@media (max-width: 1150px) {
  .notes {
    width: 226px;
    padding: 14px;
  }
}
@media (max-width: 700px) {
  .notes {
    width: auto;
    border: 0;
  }
}
</style>
