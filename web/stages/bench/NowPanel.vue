<script setup lang="ts">
import { computed } from 'vue';
import { NOW } from '../../../core/commission/scapes';
import { WHERETO, type Option, type Whereto } from '../../../core/commission/schema';
import type { DifferenceLine } from '../../../core/difference/difference';
import type { Shown } from '../../../core/difference/shown';
import {
  begunFromNow,
  broughtBackFromNow,
  withNowDrawn,
  withoutHeap,
  withWhereto,
} from '../../../core/edits/nowDrawn';
import { answered, type Answered } from '../../../core/resolved/answered';
import { speciesIn } from '../../../core/livestock/known';
import { useCommission } from '../../document/commissionStore';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import NowHeaps from './NowHeaps.vue';

/** The tank as it is now: begun, taken over into an option, and what becomes of each of its things there. */
const props = defineProps<{ option: Option; before?: Shown }>();
const commission = useCommission();
const f = useFigures();

const doc = computed(() => commission.document!);
const isNow = computed(() => props.option.id === NOW);
const target = computed(() => doc.value.options.find((o) => o.id === doc.value.chosen)!);
const amount = (l: DifferenceLine, n: number) =>
  l.unit === 'L' ? f.volume(n) : l.unit === 'kg' ? f.mass(n) : wording('nowPanel.plugs', { count: n });
const FATES = ['stays', 'moved', 'left'] as const;
const SAID = { stays: 'nowPanel.stays', moved: 'nowPanel.moved', left: 'nowPanel.left' } as const;
const WAYS = {
  wet: 'nowPanel.to.wet',
  dry: 'nowPanel.to.dry',
  tub: 'nowPanel.to.tub',
  waste: 'nowPanel.to.waste',
  stock: 'nowPanel.to.stock',
} as const satisfies Record<Whereto, string>;
/** Gear and animals are answered and not drawn: what becomes of them is changed where it was asked. */
const others = computed(() => answered(doc.value, (id) => speciesIn(doc.value, id)?.name ?? id));
const MEANWHILE = {
  client: 'nowPanel.to.client',
  waste: 'nowPanel.to.waste',
  stock: 'nowPanel.to.stock',
  stay: 'nowPanel.wait.stay',
  tubs: 'nowPanel.wait.tubs',
  elsewhere: 'nowPanel.wait.elsewhere',
} as const satisfies Record<NonNullable<Answered['says']>, string>;
const askedAt = (a: Answered) => `/c/${commission.id}/${a.of === 'gear' ? 'vessel' : 'brief'}`;
const groups = computed(() =>
  FATES.map((fate) => ({
    fate,
    lines: (props.before?.lines ?? []).filter((l) => l[fate] > 1e-9),
    others: others.value.filter((a) => a.fate === fate),
    waterL:
      fate === 'stays'
        ? (props.before?.waterStaysL ?? 0)
        : fate === 'left'
          ? (props.before?.waterGoesL ?? 0)
          : 0,
  })),
);
const isNothing = (g: (typeof groups.value)[number]) =>
  g.lines.length + g.others.length === 0 && g.waterL <= 0.05;
/** Litres, kilograms and plugs of a group, as far as there are any. */
const total = (lines: readonly DifferenceLine[], fate: (typeof FATES)[number]) =>
  (['L', 'kg', 'plug'] as const)
    .flatMap((unit) => {
      const own = lines.filter((l) => l.unit === unit);
      const sum = own.reduce((n, l) => n + l[fate], 0);
      return sum > 0 ? [amount(own[0], sum)] : [];
    })
    .join(' · ');
const rest = (l: DifferenceLine) => l.left < l.there - 1e-9;

function draw(): void {
  commission.endStep();
  commission.edit('draw now', withNowDrawn);
  commission.optionId = NOW;
}
function begin(): void {
  const { now } = doc.value;
  const { id } = target.value;
  if (!now) return;
  commission.endStep();
  commission.optionId = id;
  commission.editOption(`begin ${id} from now`, (o) => begunFromNow(o, now));
}
const goes = (l: DifferenceLine, to: string) =>
  commission.editOption(`whereto ${l.of} ${l.id}`, (o) => withWhereto(o, l, (to || undefined) as Whereto | undefined)); // prettier-ignore
function out(l: DifferenceLine): void {
  commission.endStep();
  commission.editOption(`out ${l.id}`, (o) => withoutHeap(o, l.id));
}
function back(l: DifferenceLine): void {
  commission.endStep();
  commission.editOption(`keep ${l.of} ${l.id}`, (o) => broughtBackFromNow(o, doc.value.now!, l));
}
</script>

<template>
  <div class="now" data-test="now-panel">
    <div v-if="!doc.now" class="start">
      <p>{{ wording(doc.brief.rescape ? 'nowPanel.none' : 'nowPanel.newBuild') }}</p>
      <button class="act" data-test="draw-now" @click="draw">Draw what stands there</button>
    </div>
    <template v-else-if="isNow"
      ><div class="start">
        <p>{{ wording('nowPanel.drawing') }}</p>
        <button class="act" data-test="begin-from-now" @click="begin">
          {{ wording('nowPanel.begin', { option: target.title || target.id.toUpperCase() }) }}
        </button>
      </div>
      <NowHeaps :heaps="doc.now.heaps ?? []"
    /></template>
    <template v-else-if="before">
      <section
        v-for="g in groups"
        :key="g.fate"
        :class="[g.fate, { none: isNothing(g) }]"
        :data-fate="g.fate"
      >
        <h2>{{ wording(SAID[g.fate]) }} <span class="quiet">{{ total(g.lines, g.fate) }}</span></h2>
        <p v-if="isNothing(g)" class="quiet">{{ wording('nowPanel.nothing') }}</p>
        <ul tabindex="0" :aria-label="wording(SAID[g.fate])">
          <li v-for="l in g.lines" :key="`${l.of} ${l.id}`" :data-line="l.id">
            <b>{{ l.id }}</b>
            <span class="name" :title="f.words(l.name)">{{ f.words(l.name) }}</span>
            <span class="figure">{{ amount(l, l[g.fate]) }}</span>
            <button v-if="g.fate === 'stays' && l.of === 'heaps'" class="act" @click="out(l)">
              Take out
            </button>
            <template v-if="g.fate === 'left'">
              <select
                :value="l.to ?? ''"
                :aria-label="wording('nowPanel.whereto', { id: l.id })"
                :class="{ open: !l.to }"
                @change="goes(l, ($event.target as HTMLSelectElement).value)"
              >
                <option value="">{{ wording('nowPanel.open') }}</option>
                <option v-for="to in WHERETO" :key="to" :value="to">
                  {{ wording(WAYS[to]) }}
                </option>
              </select>
              <button v-if="!rest(l)" class="act" :data-keep="l.id" @click="back(l)">Keep</button>
            </template>
          </li>
          <li v-if="g.waterL > 0.05" class="other" data-answered="water">
            <span />
            <router-link class="name" :to="`/c/${commission.id}/brief`">{{
              wording('nowPanel.water')
            }}</router-link>
            <span class="figure">{{ f.volume(g.waterL) }}</span>
          </li>
          <li v-for="a in g.others" :key="`${a.of} ${a.id}`" class="other" :data-answered="a.id">
            <b>{{ a.of === 'animals' ? a.count : '' }}</b>
            <router-link class="name" :to="askedAt(a)" :title="a.name">{{ a.name }}</router-link>
            <small v-if="a.says" class="quiet">{{ wording(MEANWHILE[a.says]) }}</small>
          </li>
        </ul>
      </section>
    </template>
  </div>
</template>

<style scoped>
.now {
  display: flex;
  gap: 24px;
  height: 100%;
  padding: 8px 18px 0;
}
.start {
  flex: 0 1 620px;
  padding-top: 6px;
}
.start .act {
  margin-top: 8px;
}
section {
  flex: 1 1 200px;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
section.left {
  flex: 2.2 1 420px;
}
section.none {
  flex: 0 0 140px;
}
h2 {
  font: 500 16px var(--title);
  border-bottom: 1px solid var(--rule);
  padding-bottom: 2px;
  white-space: nowrap;
}
h2 span {
  font: 400 13px var(--text);
  margin-left: 8px;
}
ul {
  list-style: none;
  overflow-y: auto;
  min-height: 0;
  flex: 1;
  margin: 0;
  padding: 2px 0 6px;
}
li {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr) auto;
  align-items: baseline;
  gap: 0 8px;
  padding: 2px 0;
  font-size: 13.5px;
}
.stays li {
  grid-template-columns: 44px minmax(0, 1fr) auto auto;
}
.left li {
  grid-template-columns: 44px minmax(0, 1fr) auto 152px 40px;
}
.now li.other {
  grid-template-columns: 44px minmax(0, 1fr) auto;
}
.other .name {
  color: inherit;
  text-decoration: underline;
  text-decoration-color: var(--rule);
}
.stays .other small {
  grid-column: 2 / -1;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.figure {
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
select {
  border-bottom: 1px solid var(--rule);
  background: var(--paper);
  font: inherit;
  color: var(--ink);
  width: 100%;
}
select.open {
  color: var(--warn);
}
@media (max-width: 700px) {
  .now {
    flex-direction: column;
    height: auto;
    gap: 10px;
  }
  section,
  section.left,
  section.none {
    flex: none;
  }
  .left li {
    grid-template-columns: 44px minmax(0, 1fr) auto;
  }
  .left select {
    grid-column: 2;
    min-height: 44px;
  }
}
</style>
