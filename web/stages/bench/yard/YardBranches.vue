<script setup lang="ts">
import { computed, ref } from 'vue';
import { branchFault, limbsOf, type Branch } from '../../../../core/yard/branches';
import FigureField from '../../../document/FigureField.vue';
import { useFigures } from '../../../units/figures';
import { limbsDrawn } from './limbsDrawn';
import { wording } from '../../../words/wording';

/** Wood by its branches, measured with tape and calliper; drawn from the front and from above while it is typed. */
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ branches: [branches: Branch[]] }>();
const f = useFigures();
const rows = ref<Branch[]>([{ longMm: 400, thickMm: [60, 35], bearingDeg: 10, riseDeg: 25 }]);
const fault = computed(() => branchFault(rows.value));
const limbs = computed(() => (fault.value ? [] : limbsOf(rows.value)));

function add(): void {
  const [trunk] = rows.value;
  const n = rows.value.length;
  rows.value.push({
    from: 0,
    alongMm: Math.round(trunk.longMm * (n % 2 ? 0.5 : 0.75)),
    longMm: Math.round(trunk.longMm * 0.6),
    thickMm: [Math.round(trunk.thickMm[0] * 0.5), Math.round(trunk.thickMm[1] * 0.4)],
    bearingDeg: trunk.bearingDeg + (n % 2 ? 40 : -50),
    riseDeg: 45,
  });
}
function drop(i: number): void {
  // What left it leaves the trunk then.
  rows.value = rows.value
    .filter((_, n) => n !== i)
    .map((b) =>
      b.from === undefined ? b : { ...b, from: b.from === i ? 0 : b.from > i ? b.from - 1 : b.from },
    );
}
const set = (i: number, part: (b: Branch, v: number) => Partial<Branch>) => (v: number | undefined) => {
  rows.value[i] = { ...rows.value[i], ...part(rows.value[i], v ?? 0) };
  return undefined;
};
const name = (i: number) => (i === 0 ? 'trunk' : `branch ${i}`);
const parents = (i: number) => Array.from({ length: i }, (_, value) => ({ value, title: name(value) }));

const [W, H] = [330, 190];
const drawn = computed(() => (limbs.value.length > 0 ? limbsDrawn(limbs.value, W, H) : undefined));
function done(): void {
  emit(
    'branches',
    rows.value.map((b) => ({ ...b })),
  );
  open.value = false;
}
</script>

<template>
  <v-dialog v-model="open" width="860">
    <div class="dialog" role="dialog" aria-label="Wood by its branches" data-test="yard-branches">
      <h2>Wood by its branches</h2>
      <div v-if="drawn" class="drawn">
        <figure v-for="view in ['front', 'above'] as const" :key="view">
          <svg :width="W" :height="H" role="img" :aria-label="view">
            <g v-for="(q, i) in drawn[view]" :key="i">
              <polygon :points="q.points" />
              <circle v-for="(d, n) in q.discs" :key="n" :cx="d.x" :cy="d.y" :r="d.r" />
            </g>
          </svg>
          <figcaption class="quiet">
            {{
              view === 'front'
                ? wording('yardBranches.size', { long: f.length(drawn.longMm), high: f.length(drawn.highMm) })
                : `From above: ${f.length(drawn.deepMm)} deep`
            }}
          </figcaption>
        </figure>
      </div>
      <p v-else class="late" role="status">{{ f.words(fault!) }}</p>
      <div v-for="(b, i) in rows" :key="i" class="row" :data-branch="i">
        <b>{{ name(i) }}</b>
        <v-select v-if="i > 0" v-model="b.from" label="leaves" :items="parents(i)" />
        <span v-else class="quiet">from the root</span>
        <FigureField
          v-if="i > 0"
          label="along it"
          kind="length"
          :value="b.alongMm ?? 0"
          :apply="set(i, (_, v) => ({ alongMm: v }))"
        />
        <span v-else />
        <FigureField
          label="long"
          kind="length"
          :value="b.longMm"
          :apply="set(i, (_, v) => ({ longMm: v }))"
        />
        <FigureField
          label="thick"
          kind="length"
          :value="b.thickMm[0]"
          :apply="set(i, (r, v) => ({ thickMm: [v, r.thickMm[1]] }))"
        />
        <FigureField
          label="at its end"
          kind="length"
          :value="b.thickMm[1]"
          :apply="set(i, (r, v) => ({ thickMm: [r.thickMm[0], v] }))"
        />
        <FigureField
          label="towards"
          kind="degrees"
          :value="b.bearingDeg"
          :apply="set(i, (_, v) => ({ bearingDeg: v }))"
        />
        <FigureField
          label="rises"
          kind="degrees"
          :value="b.riseDeg"
          :apply="set(i, (_, v) => ({ riseDeg: v }))"
        />
        <button v-if="i > 0" class="act" @click="drop(i)">Away</button>
        <span v-else />
      </div>
      <p class="quiet">
        {{ wording('yardBranches.how') }}
      </p>
      <footer>
        <button class="act" data-test="add-branch" @click="add">Add a branch</button>
        <button class="solid" :disabled="!!fault" data-test="use-branches" @click="done">
          Use this skeleton
        </button>
        <button class="act" @click="open = false">Close</button>
      </footer>
    </div>
  </v-dialog>
</template>

<style scoped>
.drawn {
  display: flex;
  flex-wrap: wrap;
  gap: 26px;
}
figure {
  margin: 6px 0;
}
svg {
  background: var(--water);
}
polygon,
circle {
  fill: #6b4a35;
}
.row {
  display: grid;
  grid-template-columns: 74px 110px repeat(6, minmax(0, 1fr)) 48px;
  gap: 0 12px;
  align-items: end;
}
.row b,
.row > .quiet {
  padding-bottom: 8px;
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: repeat(3, 1fr);
  }
}
</style>
