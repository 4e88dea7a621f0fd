<script setup lang="ts">
import { computed, ref, toRef } from 'vue';
import { broughtBack, duplicated, putAside, reordered } from '../../../core/commission/options';
import { NOW, scapesOf } from '../../../core/commission/scapes';
import FrontView from '../../drawing/FrontView.vue';
import { halfGrown } from '../../drawing/halfGrown';
import { useCommission } from '../../document/commissionStore';
import WordsField from '../../document/WordsField.vue';
import BetweenOptions from './BetweenOptions.vue';
import { useOptionFigures } from '../../frame/optionFigures';
import { useOptionPlans } from '../../frame/optionPlans';
import { useSteadySize } from '../../drawing/steadySize';
import { wording } from '../../words/wording';

/** Two options, one choice: the same figures of each, side by side, to be decided over or printed. */
const commission = useCommission();
const doc = computed(() => commission.document!);
const plans = useOptionPlans(toRef(commission, 'id'), toRef(commission, 'document'));
const area = ref<HTMLElement>();
const { width } = useSteadySize(area);

const PHONE_PX = 640;
/** Beside the names of the rows, which on a telephone stand above them. */
const columnPx = computed(() => {
  const n = scapesOf(doc.value).length;
  if (width.value < PHONE_PX) return Math.max(60, width.value / n - 16);
  return Math.min(420, Math.max(200, (width.value - 130) / n - 16));
});
const k = computed(() => (columnPx.value - 6) / doc.value.vessel.innerMm.length);
const highPx = computed(() => doc.value.vessel.innerMm.height * k.value + 6);
const figures = useOptionFigures();
const columns = computed(() =>
  scapesOf(doc.value).map((option) => {
    const found = plans.value[option.id];
    return { option, found, figures: found ? figures(found.plan, option, doc.value) : [] };
  }),
);
const rows = computed(
  () => columns.value.find((c) => c.figures.length > 0)?.figures.map((r) => r.name) ?? [],
);
/** Whether the options differ in a row: what is the same for all is set quieter. */
const differs = (i: number) =>
  new Set(columns.value.filter((c) => c.option.id !== NOW).map((c) => c.figures[i]?.text)).size > 1;
const rename = (id: string) => (title: string) =>
  commission.tryEdit(`option title ${id}`, (d) => ({
    ...d,
    options: d.options.map((o) => (o.id === id ? { ...o, title } : o)),
  }));
function copy(id: string): void {
  commission.endStep();
  commission.edit(`copy ${id}`, (d) => duplicated(d, id).document);
}
const move = (id: string, by: number) => commission.edit(`move ${id}`, (d) => reordered(d, id, by));
function aside(id: string): void {
  commission.endStep();
  commission.edit(`aside ${id}`, (d) => putAside(d, id));
  if (commission.optionId === id) commission.optionId = doc.value.chosen;
}
const back = (id: string) => commission.edit(`back ${id}`, (d) => broughtBack(d, id));
function choose(id: string): void {
  commission.endStep();
  commission.edit(`choose ${id}`, (d) => ({ ...d, chosen: id }));
  commission.optionId = id;
}
/** Drawn when it is asked for: two perspectives take a moment. */
const between = ref(false);
const print = () => window.print();
</script>

<template>
  <div ref="area" class="options">
    <header>
      <h1>Options</h1>
      <p class="quiet">{{ wording('optionsSheet.chosen') }}</p>
      <button class="act screen-only print" @click="print">Print</button>
    </header>
    <div class="table" :style="{ '--options': columns.length }">
      <table>
        <thead>
          <tr>
            <td />
            <th
              v-for="(c, i) in columns"
              :key="c.option.id"
              :data-option="c.option.id"
              :class="{ chosen: c.option.id === doc.chosen }"
            >
              <div v-if="c.option.id === NOW" class="title now">{{ wording('scapeTabs.now') }}</div>
              <div v-else class="title">
                <b>{{ c.option.id.toUpperCase() }}</b
                ><WordsField
                  label=""
                  :aria-label="`Name of option ${c.option.id.toUpperCase()}`"
                  :value="c.option.title"
                  :apply="rename(c.option.id)"
                />
              </div>
              <p v-if="c.option.id === NOW" class="acts quiet">{{ wording('optionsSheet.now') }}</p>
              <p v-else class="acts screen-only">
                <span v-if="c.option.id === doc.chosen" class="alive" data-test="chosen">chosen</span>
                <button v-else class="act" data-test="choose" @click="choose(c.option.id)">Choose</button>
                <button class="act" data-test="duplicate" @click="copy(c.option.id)">Duplicate</button>
                <button
                  class="act"
                  :disabled="i === columns.length - doc.options.length"
                  aria-label="Further left"
                  @click="move(c.option.id, -1)"
                >
                  ←
                </button>
                <button
                  class="act"
                  :disabled="i === columns.length - 1"
                  aria-label="Further right"
                  @click="move(c.option.id, 1)"
                >
                  →
                </button>
                <button
                  class="act"
                  :disabled="doc.options.length === 1"
                  data-test="aside"
                  @click="aside(c.option.id)"
                >
                  Put aside
                </button>
              </p>
              <!-- Its place is kept until it is drawn. -->
              <div :style="{ width: `${columnPx}px`, height: `${highPx}px` }">
                <svg
                  v-if="c.found"
                  :width="columnPx"
                  :height="highPx"
                  role="img"
                  :aria-label="`${c.option.title} from the front`"
                >
                  <g transform="translate(3 2)">
                    <FrontView
                      :vessel="doc.vessel"
                      :option="c.option"
                      :materials="doc.catalogue.materials"
                      :field="c.found.field"
                      :survey="c.found.plan.survey"
                      :plants="halfGrown(doc, c.option, c.found.field)"
                      :k="k"
                    />
                    <path
                      :d="`M0 0 V ${doc.vessel.innerMm.height * k} H ${doc.vessel.innerMm.length * k} V 0`"
                      class="glass"
                    />
                  </g>
                </svg>
              </div>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(name, i) in rows" :key="name" :class="{ same: !differs(i) }">
            <th scope="row">{{ name }}</th>
            <td v-for="c in columns" :key="c.option.id">
              <b>{{ c.figures[i]?.text }}</b> <span class="quiet">{{ c.figures[i]?.below }}</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <button
      v-if="columns.length > 1 && rows.length > 0"
      class="act screen-only"
      :aria-expanded="between"
      data-test="show-between"
      @click="between = !between"
    >
      {{ between ? 'Without the view from the seat' : 'From the seat, one over the other' }}
    </button>
    <BetweenOptions v-if="between && columns.length > 1" :doc="doc" :plans="plans" :width="width" />
    <section v-if="doc.shelved?.length" class="screen-only">
      <h2>Put aside</h2>
      <p v-for="o in doc.shelved" :key="o.id">
        {{ o.id.toUpperCase() }} {{ o.title }}
        <button class="act" data-test="bring-back" @click="back(o.id)">Bring back</button>
      </p>
    </section>
  </div>
</template>

<style scoped>
.options {
  padding: 16px 24px 30px;
}
header {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
.print {
  margin-left: auto;
}
.table {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  margin-top: 8px;
}
thead th {
  vertical-align: top;
  text-align: left;
  font-weight: 400;
  padding: 6px 8px 8px;
  border-top: 3px solid transparent;
}
thead .chosen {
  border-color: var(--celadon);
}
.title.now {
  font: 500 18px var(--title);
  padding: 4px 0;
}
.title {
  display: flex;
  align-items: baseline;
  gap: 8px;
}
.acts {
  display: flex;
  gap: 12px;
  align-items: baseline;
  flex-wrap: wrap;
}
.glass {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
svg {
  display: block;
  overflow: visible;
}
thead td {
  min-width: 130px;
  border: 0;
}
tbody th {
  text-align: left;
  font-weight: 400;
  color: var(--ink-2);
  white-space: nowrap;
  padding: 5px 14px 5px 0;
  vertical-align: top;
}
td {
  border-top: 1px solid var(--rule);
  padding: 5px 8px;
  vertical-align: top;
  max-width: 420px;
}
.same b {
  font-weight: 400;
}
@media (max-width: 700px) {
  .options {
    padding: 12px 16px 30px;
  }
  header {
    flex-wrap: wrap;
  }
  table {
    width: 100%;
  }
  tr {
    display: grid;
    grid-template-columns: repeat(var(--options), minmax(0, 1fr));
  }
  thead td {
    min-width: 0;
  }
  tbody th,
  thead td:first-child {
    grid-column: 1 / -1;
    border-top: 1px solid var(--rule);
    padding: 5px 0 0;
  }
  td {
    border: 0;
    overflow-wrap: anywhere;
  }
}
</style>
