<script setup lang="ts">
import { computed } from 'vue';
import { partsInOrder, type Planted } from '../../../core/planted/planted';
import { plugsOfGroup } from '../../../core/planting/arranged';
import { paceOf } from '../../../core/commission/usual';
import { preparationOf } from '../../../core/planting/preparation';
import { diamonds } from '../../drawing/diamonds';
import PlanView from '../../drawing/PlanView.vue';
import { useCommission } from '../../document/commissionStore';
import { useFrame } from '../../frame/planKey';
import { longDay } from '../../units/days';
import { useFigures } from '../../units/figures';
import { ownWords } from './ownWords';
import { wording } from '../../words/wording';

/** To print: every plug where it goes, numbered in planting order, with what is prepared first. */
const commission = useCommission();
const { plan, field, planted } = useFrame();
const f = useFigures();
const doc = computed(() => commission.document!);
const vessel = computed(() => doc.value.vessel);
const option = computed(() => commission.option!);
const shown = computed(() => (planted.value?.optionId === option.value.id ? planted.value : undefined));
const school = computed(() => (doc.value.brief.schools?.planting === 'transition' ? 'transition' : 'front'));
const rows = computed(() => (shown.value ? partsInOrder(shown.value) : []).filter((p) => p.count > 0));
const preparation = computed(() => preparationOf(rows.value, paceOf(commission.document!.brief)));
const PAGE_PX = 660;
const k = computed(() => PAGE_PX / vessel.value.innerMm.length);
const W = computed(() => vessel.value.innerMm.width);
/** Every number is written where there is room for it; else every fifth and the first. A group has one label. */
const dots = computed(() =>
  rows.value.flatMap((p) => {
    const each = plugsOfGroup(p.planting.set);
    const close = (p.spacingMm ?? 40) * Math.sqrt(each) * k.value < 15;
    const count = p.spots.length / 3;
    return Array.from({ length: count }, (_, i) => ({
      no: p.firstNo + i,
      x: p.spots[i * 3] * k.value,
      y: (W.value - p.spots[i * 3 + 1]) * k.value,
      colour: p.plant.colour ?? '#4f7f6b',
      said: i % each === 0 && (!close || i === 0 || (p.firstNo + i) % 5 < each),
      label: span(p.firstNo + i, p.firstNo + Math.min(count, i + each) - 1),
      bare: i >= p.plugsAtHand,
    }));
  }),
);
/** Root tabs, as diamonds among the plugs. */
const TAB_PX = 2.2;
const tabs = computed(() => rows.value.flatMap((p) => Array.from(p.tabs)));
const tabMarks = computed(() => diamonds(tabs.value, k.value, W.value, TAB_PX));
const span = (first: number, last: number) => (last > first ? `${first}–${last}` : String(first));
/** A label stands to the right of its plug; at the right glass, where it would be cut off, to the left. */
const LABEL_PX = 26;
const beside = (x: number) => (x + LABEL_PX < PAGE_PX ? { x: x + 2.4 } : { x: x - 2.4, 'text-anchor': 'end' }); // prettier-ignore
/** From the first to the last of its plugs. */
function numbers({ firstNo, spots }: Planted): string {
  return spots.length === 0 ? 'by eye' : span(firstNo, firstNo + spots.length / 3 - 1);
}
const SET = { rows: ', in rows', twos: ', in twos', threes: ', in threes' };
/** How far apart they stand, and how where that is not evenly. */
const apart = ({ spacingMm, planting }: Planted) =>
  spacingMm === undefined ? '' : `${f.length(spacingMm)}${planting.set ? SET[planting.set] : ''}`;
const print = () => window.print();
</script>

<template>
  <article class="out on-paper">
    <p class="screen-only bar">
      <router-link class="act" :to="`/c/${commission.id}/planting`">Back to planting</router-link>
      <button class="solid" @click="print">Print</button>
    </p>
    <p v-if="!shown || !plan || !field" class="quiet">{{ wording('plantingPlan.working') }}</p>
    <template v-else>
      <header>
        <h1>Planting plan</h1>
        <p>
          {{ doc.title }} · {{ option.title }} · {{ longDay(doc.brief.buildDay) }} ·
          {{ wording(school === 'front' ? 'plantingPlan.fromFront' : 'plantingPlan.transitionFirst') }}
        </p>
      </header>
      <svg
        class="plugs"
        :width="PAGE_PX"
        :height="W * k + 4"
        :viewBox="`0 0 ${PAGE_PX} ${W * k + 4}`"
        data-test="plan-plugs"
      >
        <PlanView
          :vessel="vessel"
          :option="option"
          :materials="doc.catalogue.materials"
          :field="field"
          :survey="plan.survey"
          :k="k"
        >
          <rect :width="PAGE_PX" :height="W * k" fill="#fff" opacity="0.72" />
        </PlanView>
        <path
          v-if="tabs.length"
          :d="tabMarks"
          class="tab"
          data-test="plan-tabs"
          :data-count="tabs.length / 3"
        />
        <g v-for="d in dots" :key="d.no">
          <circle
            data-plug
            :cx="d.x"
            :cy="d.y"
            :r="d.bare ? 2.4 : 1.8"
            :fill="d.bare ? 'none' : d.colour"
            :stroke="d.bare ? '#b84d12' : 'none'"
          />
          <text v-if="d.said" v-bind="beside(d.x)" :y="d.y - 1.6">{{ d.label }}</text>
        </g>
      </svg>
      <p v-if="tabs.length">{{ wording('plantingPlan.tabs', { count: tabs.length / 3 }) }}</p>
      <table data-test="plan-rows">
        <thead>
          <tr>
            <th>Nos.</th>
            <th>Plant</th>
            <th>plugs</th>
            <th>packs</th>
            <th>apart</th>
            <th>prepare</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="p in rows" :key="p.id">
            <td>{{ numbers(p) }}</td>
            <td>
              <i :style="{ background: p.plant.colour }" /><em>{{ p.plant.name }}</em
              ><template v-if="p.planting.on">, on {{ p.planting.on }}</template>
            </td>
            <td>
              {{ p.count }}{{ ownWords(p)
              }}<template v-if="p.missing">, <b>{{ p.missing }} missing</b></template>
            </td>
            <td>{{ p.planting.packs ?? p.packsNeeded }}</td>
            <td>{{ apart(p) }}</td>
            <td>
              {{
                preparation.rows
                  .get(p.id)
                  ?.map((t) => f.words(t))
                  .join(', ')
              }}
            </td>
          </tr>
        </tbody>
      </table>
      <p>
        {{
          wording('plantingPlan.tools', {
            tools: preparation.tools.map((t) => f.words(t)).join(', '),
            minutes: Math.round(preparation.minutes),
          })
        }}
      </p>
    </template>
  </article>
</template>

<style scoped>
.plugs {
  max-width: 100%;
  height: auto;
}
.out {
  max-width: 720px;
  padding: 18px 30px 40px;
  min-height: 100%;
}
.bar {
  display: flex;
  gap: 18px;
  align-items: center;
}
.tab {
  fill: #8a6a4f;
}
svg text {
  font: 500 6.5px var(--text);
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 12.5px;
  margin: 10px 0;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--ink-2);
}
td:first-child,
td:nth-child(5) {
  white-space: nowrap;
}
td,
th {
  border-bottom: 1px solid #ddd6c9;
  padding: 3px 8px 3px 0;
}
i {
  display: inline-block;
  width: 9px;
  height: 9px;
  margin-right: 5px;
}
</style>
