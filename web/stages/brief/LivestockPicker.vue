<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { keepKeys } from '../../design/commands';
import type { Stock } from '../../../core/commission/schema';
import type { NewAnimal } from './newAnimal';
import { withAnimal, withSpecies } from '../../../core/edits/animals';
import { asSpecies, speciesIn } from '../../../core/livestock/known';
import { commonNames, isCalled } from '../../../core/catalogue/commonNames';
import { SPECIES, type Species } from '../../../core/livestock/species';
import { useCommission } from '../../document/commissionStore';
import { useDocEdit } from '../../document/docEdit';
import { useStudio } from '../../document/studioStore';
import KeepAnimal from './KeepAnimal.vue';
import FigureField from '../../document/FigureField.vue';
import { useFigures } from '../../units/figures';
import AnimalForm from './AnimalForm.vue';
import type { ShownPlan } from '../../workers/planWorker';
import { wording } from '../../words/wording';

/** Animals wished for, each as its band of temperature beside the tank's own, and what speaks against it. */
const props = defineProps<{ visit?: ShownPlan['visit'] }>();
const commission = useCommission();
const edit = useDocEdit();
const f = useFigures();
const stock = computed(() => commission.document!.brief.livestock ?? []);
/** Scapes that are broken down, out of which animals may come. */
const scapes = computed(() => [
  { value: '', title: wording('livestockPicker.anywhere') },
  ...(commission.document!.brief.brokenDown ?? []).map(({ id, name }) => ({ value: id, title: name })),
]);
const rescape = computed(() => commission.document!.brief.rescape !== undefined);

const W = 190;
const [LOW, HIGH] = [15, 32];
const X = (c: number) => ((c - LOW) / (HIGH - LOW)) * W;
const targetC = computed(() => props.visit?.water.target.celsius);
const shared = computed(() => props.visit?.livestock.tempC);

const rows = computed(() =>
  stock.value.flatMap((entry, i) => {
    const s = speciesIn(commission.document!, entry.species);
    if (!s) return [];
    const warmth = (props.visit?.livestock.findings ?? []).filter((x) => x.unit === '°C');
    const against = warmth.filter((x) => x.at.animals?.includes(s.id));
    return [{ entry, i, s, outside: against.some((x) => x.severity !== 'note') }];
  }),
);
const typed = ref('');
const chosen = ref<string | null>(null);
const studio = useStudio();
void studio.load();
/** Those that everybody has, and the studio's own. */
const all = computed(() => [...SPECIES, ...(studio.studio?.catalogue.animals ?? []).map(asSpecies)]);
const items = computed(() =>
  all.value.map((s) => ({ value: s.id, title: s.name, props: { subtitle: about(s) } })),
);
const warmth = (s: Species) => s.tempC.map((c) => f.temperature(c, 0)).join(' to ');
function about(s: Species): string {
  const called = commonNames(s.name);
  return `${called ? `${called}: ` : ''}${s.kind}, ${f.length(s.adultMm)}, ${warmth(s)}, GH ${s.gh.map((d) => f.hardness(d)).join(' to ')}, in ${s.group === 1 ? 'single' : `groups of ${s.group}`}`;
}
function add(id: string | null): void {
  chosen.value = null;
  // The field writes the name that was taken into itself, after this: the next one begins empty.
  void nextTick(() => (typed.value = ''));
  if (!id) return;
  const own = studio.studio?.catalogue.animals?.find((a) => a.id === id);
  edit.edit(`animal ${id}`, (d) => (own ? withAnimal(d, own) : withSpecies(d, id)));
}
/** What was typed and is on no list: it can be added with what is known of it. */
const adding = ref('');
const strange = computed(() => {
  const words = typed.value.trim();
  const known = all.value.some((s) => isCalled(s.name, words));
  return words.length > 2 && !known ? words : '';
});
function addOwn(animal: NewAnimal): void {
  edit.edit(`animal ${animal.name}`, (d) => withAnimal(d, animal));
  adding.value = '';
  typed.value = '';
}
const set = (i: number, part: Partial<Stock>) =>
  edit.brief('livestock', stock.value.map((x, n) => (n === i ? { ...x, ...part } : x))); // prettier-ignore
function remove(i: number): void {
  const left = stock.value.filter((_, n) => n !== i);
  edit.brief('livestock', left.length > 0 ? left : undefined);
}
</script>

<template>
  <div>
    <v-autocomplete
      v-model:search="typed"
      :model-value="chosen"
      :items="items"
      item-props="props"
      :custom-filter="(_, words, item) => isCalled(item!.raw.title, words)"
      label="Add an animal by its name"
      hide-no-data
      clear-on-select
      data-test="add-animal"
      @update:model-value="add"
      @keydown="keepKeys"
    />
    <p v-if="strange && !adding">
      <button class="act" data-test="animal-strange" @mousedown.prevent @click="adding = strange">
        Add “{{ strange }}” with what you know
      </button>
    </p>
    <AnimalForm v-if="adding" :name="adding" @add="addOwn" @cancel="adding = ''" />
    <table v-if="rows.length">
      <thead>
        <tr>
          <th>animal</th>
          <th>how many</th>
          <th>
            <span class="scale" :style="{ width: `${W}px` }"
              ><i v-for="c in [16, 20, 24, 28, 32]" :key="c" :style="{ left: `${X(c)}px` }">{{
                f.scale('temperature').out(c)
              }}</i
              ><em>{{ f.scale('temperature').unit }}</em></span
            >
          </th>
          <td />
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.s.id" :data-animal="r.s.id">
          <td>
            <i>{{ r.s.name }}</i><br /><small class="quiet"
              ><template v-if="commonNames(r.s.name)">{{ commonNames(r.s.name).split(', ')[0] }}, </template
              >{{ f.length(r.s.adultMm) }}, {{ r.s.zone }}</small
            >
          </td>
          <td class="count">
            <FigureField
              label=""
              :aria-label="`how many ${r.s.name}`"
              kind="plain"
              :value="r.entry.count"
              :apply="(n) => set(r.i, { count: n! })"
            />
            <FigureField
              v-if="!r.entry.present"
              label="from day"
              kind="plain"
              optional
              :value="r.entry.laterDays"
              :apply="(n) => set(r.i, { laterDays: n || undefined })"
            />
            <v-select
              v-if="!r.entry.present && scapes.length > 1"
              :label="wording('livestockPicker.outOf')"
              :items="scapes"
              :model-value="r.entry.from ?? ''"
              data-test="animal-from"
              @update:model-value="(from: string) => set(r.i, { from: from || undefined })"
            />
            <label v-if="!r.entry.present" class="there"
              ><input
                type="checkbox"
                :checked="r.entry.undecided"
                :aria-label="`${r.s.name} is not decided`"
                @change="set(r.i, { undecided: !r.entry.undecided || undefined })"
              />
              not decided</label
            >
            <label v-if="rescape" class="there"
              ><input
                type="checkbox"
                :checked="r.entry.present"
                data-test="present"
                @change="set(r.i, { present: !r.entry.present })"
              />
              lives in it</label
            >
            <label v-if="rescape && r.entry.present" class="there"
              ><input
                type="checkbox"
                :checked="r.entry.leaves"
                :aria-label="`${r.s.name} leaves`"
                @change="set(r.i, { leaves: !r.entry.leaves || undefined })"
              />
              leaves</label
            >
          </td>
          <td>
            <svg :width="W" height="26" role="img" :aria-label="warmth(r.s)">
              <rect
                v-if="shared"
                :x="X(shared[0])"
                :width="Math.max(1, X(shared[1]) - X(shared[0]))"
                height="26"
                class="shared"
              />
              <rect
                :x="X(r.s.tempC[0])"
                y="8"
                :width="X(r.s.tempC[1]) - X(r.s.tempC[0])"
                height="10"
                :class="r.outside ? 'outside' : 'band'"
              />
              <path v-if="targetC" :d="`M${X(targetC)} 0 V26`" class="target" />
            </svg>
          </td>
          <td>
            <button class="act" :aria-label="`Without ${r.s.name}`" @click="remove(r.i)">Take away</button>
            <KeepAnimal :id="r.s.id" />
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length && targetC" class="quiet">
      {{ wording('livestockPicker.lineTank', { target: f.temperature(targetC) })
      }}<template v-if="shared">{{
        wording('livestockPicker.shared', {
          from: f.temperature(shared[0], 0),
          to: f.temperature(shared[1], 0),
        })
      }}</template
      ><template v-else>{{ wording('livestockPicker.nothingShared') }}</template>.
    </p>
  </div>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 400;
  font-size: 12px;
  color: var(--ink-2);
}
td {
  border-top: 1px solid var(--rule);
  padding: 3px 12px 3px 0;
  line-height: 1.25;
}
@media (max-width: 700px) {
  thead {
    display: none;
  }
  table,
  tbody {
    display: block;
  }
  tr {
    display: grid;
    grid-template-columns: 1fr 110px;
    align-items: center;
    border-top: 1px solid var(--rule);
  }
  td {
    border: 0;
  }
}
.count {
  width: 110px;
}
.there {
  font-size: 12px;
  white-space: nowrap;
}
.scale {
  position: relative;
  display: block;
  height: 16px;
}
.scale i {
  position: absolute;
  font-style: normal;
  transform: translateX(-50%);
}
.scale em {
  position: absolute;
  left: 100%;
  padding-left: 6px;
  font-style: normal;
}
.band {
  fill: var(--celadon);
}
.outside {
  fill: var(--warn);
}
.shared {
  fill: var(--celadon-wash);
}
.target {
  stroke: var(--ink);
  stroke-width: 1.5;
}
</style>
