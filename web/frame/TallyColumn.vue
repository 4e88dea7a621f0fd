<script setup lang="ts">
import { NOW } from '../../core/commission/scapes';
import { isUsualPointLoad } from '../../core/site/floorLoad';
import { gearOf, paidBeside } from '../../core/gear/gear';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import type { Finding } from '../../core/words/finding';
import { waterLineL } from '../../core/vessel/litres';
import { unpricedWords } from '../../core/takeoff/cost';
import type { TakeOffLine } from '../../core/takeoff/line';
import type { ShownPlan } from '../workers/planWorker';
import { useCommission } from '../document/commissionStore';
import { may } from '../document/people';
import { money, useFigures } from '../units/figures';
import FindingList from './FindingList.vue';
import { openLine } from './openLine';
import { wording } from '../words/wording';

const props = defineProps<{
  plan: ShownPlan | undefined;
  findings: Finding[];
  /** In a sheet of its own, on a telephone. */
  sheet?: boolean;
}>();
const emit = defineEmits<{ show: [finding: Finding] }>();
const commission = useCommission();
const router = useRouter();
const f = useFigures();

interface Row {
  key: string;
  name: string;
  text: string;
  unit: string;
  below?: string;
  line?: string;
}

/** A row for a take-off line: what is measured, and the packs below it. */
function rowOf(line: TakeOffLine, name: string): Row {
  const measured = line.kind === 'plants' ? line.needed : line.measured;
  return {
    key: line.id,
    name,
    ...f.shown(measured.value, measured.unit, 1),
    below: line.packWords ? f.words(line.packWords) : line.priced ? 'nothing to buy' : 'no pack known',
    line: line.id,
  };
}

const NAMES: Record<string, string> = {
  soil: 'Soil',
  base: 'Base',
  sand: 'Sand',
  gravel: 'Gravel',
  filler: 'Filler',
};
const HARD: Record<string, string> = { wood: 'Wood', ware: 'Pots' };
const rows = computed<Row[]>(() => {
  const plan = props.plan;
  const doc = commission.document;
  if (!plan || !doc) return [];
  const kindOf = (id: string) => doc.catalogue.materials.find((m) => m.id === id)?.kind;
  const lines = plan.takeOff.lines;
  const substrate = lines
    .filter((l) => l.kind === 'substrate')
    .map((l) => rowOf(l, NAMES[kindOf(l.id) ?? ''] ?? f.words(l.name)));
  const stone = lines
    .filter((l) => l.kind === 'hardscape')
    .map((l) => rowOf(l, HARD[kindOf(l.id) ?? ''] ?? 'Stone'));
  const plants = lines.filter((l) => l.kind === 'plants');
  const plugs = plants.reduce((sum, l) => sum + l.needed.value, 0);
  const packs = plants.reduce((sum, l) => sum + l.packs.reduce((n, p) => n + p.count, 0), 0);
  const s = plan.survey;
  const open = unpricedWords(plan.takeOff);
  const budget = doc.brief.budgetMinor;
  const { gas, lots } = paidBeside({ brief: doc.brief, gear: gearOf(doc) });
  return [
    {
      key: 'water',
      name: 'Water',
      ...f.shown(s.freeWaterL, 'L', 1),
      // Of the vessel alone, and therefore there in the frame in which its edge moves; the rest follows.
      below: `${f.volume(waterLineL(doc.vessel))} to the line`,
    },
    ...substrate,
    ...stone,
    ...(plants.length
      ? [
          {
            key: 'plants',
            name: 'Plants',
            ...f.shown(plugs, 'plug'),
            below: wording('tallyColumn.plants', { packs, species: plants.length }),
            line: plants[0].id,
          },
        ]
      : []),
    {
      key: 'floor',
      name: 'On the floor',
      ...f.shown(s.floorKg, 'kg', 0),
      // As a whole no more than people and furniture bring: nothing to ask, and still nothing that is called safe.
      below: isUsualPointLoad(s.floorKg)
        ? wording('tallyColumn.asFurniture', { pressure: f.said(s.floorKnPerM2, 'kN/m²', 1) })
        : `${f.said(s.floorKnPerM2, 'kN/m²', 1)}: ask a structural engineer`,
    },
    // What stands there is bought by nobody.
    ...(s.optionId === NOW || !may('prices')
      ? []
      : [
          {
            key: 'cost',
            name: 'Material',
            text: money(plan.order.totalMinor, doc.currency, true),
            unit: budget ? `of ${money(budget, doc.currency, true)}` : '',
            below: [gas ? wording('tallyColumn.gasSet', { gas: money(gas, doc.currency, true) }) : '', lots ? wording('tallyColumn.lots', { lots: money(lots, doc.currency, true) }) : '', open ? f.words(open) : ''].filter(Boolean).join('; ') || undefined, // prettier-ignore
          },
        ]),
  ];
});

function open(row: Row): void {
  if (row.line) openLine.value = row.line;
  void router.push(`/c/${commission.id}/${row.key === 'floor' ? 'vessel' : 'take-off'}`);
}
</script>

<template>
  <aside class="tally screen-only" :class="{ sheet }" aria-label="Tally" data-test="tally">
    <ul>
      <li v-for="row in rows" :key="row.key">
        <button class="plain row" :data-row="row.key" title="Show the workings" @click="open(row)">
          <span class="line"
            ><span class="name">{{ row.name }}</span>
            <span><b>{{ row.text }}</b> <span class="unit">{{ row.unit }}</span></span></span
          >
          <span v-if="row.below" class="below">{{ row.below }}</span>
        </button>
      </li>
    </ul>
    <FindingList v-if="plan" :findings="findings" @show="emit('show', $event)" />
  </aside>
</template>

<style scoped>
.tally {
  width: var(--tally);
  flex: none;
  background: var(--paper);
  border-left: 1px solid var(--rule);
  padding: 14px 18px 24px;
  overflow-y: auto;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0 0 16px;
}
.row {
  display: block;
  width: 100%;
  border-bottom: 1px solid var(--rule);
  padding: 6px 0 7px;
}
.row:hover .name {
  color: var(--celadon);
}
.line {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.name {
  font-size: 12px;
  color: var(--ink-2);
}
.line b {
  font-size: 15px;
  font-weight: 600;
}
.below {
  display: block;
  text-align: right;
  font-size: 12px;
  color: var(--ink-2);
  line-height: 1.3;
}
@media (max-width: 1150px) {
  .tally {
    width: 226px;
    padding: 12px 14px 20px;
  }
}
@media (max-width: 700px) {
  .tally {
    display: none;
  }
  .tally.sheet {
    display: block;
    width: auto;
    border: 0;
    padding: 14px 20px 24px;
  }
  .row {
    min-height: 44px;
  }
}
</style>
