<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Waypoint } from '../../../core/commission/schema';
import { LOAD_CONSTANT_KG } from '../../../core/site/lifting';
import { say } from '../../../core/words/text';
import { useCommission } from '../../document/commissionStore';
import { freshId } from '../../../core/edits/ids';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import { useFigures } from '../../units/figures';
import WordsField from '../../document/WordsField.vue';
import type { ShownPlan } from '../../workers/planWorker';
import { wording } from '../../words/wording';

/** The way from the van to the place as a line of points; each is held against what is carried in. */
const props = defineProps<{ carrying: ShownPlan['visit']['carrying'] }>();
const commission = useCommission();
const edit = useDocEdit();
const f = useFigures();

const route = computed(() => commission.document!.site?.route ?? []);
const chosen = ref<string>();
const point = computed(() => route.value.find((w) => w.id === chosen.value));
const troubled = computed(
  () => new Set(props.carrying.route.filter((r) => r.troubles.length > 0).map((r) => r.waypoint.id)),
);

const KINDS: Record<Waypoint['kind'], { name: string; start: Partial<Waypoint> }> = {
  door: { name: 'door', start: { widthMm: 820, heightMm: 2000 } },
  lift: { name: 'lift', start: { widthMm: 1100, depthMm: 1400, heightMm: 2100, loadKg: 450 } },
  stairs: { name: 'stairs', start: { widthMm: 900, heightMm: 2000, steps: 16 } },
  turn: { name: 'turn', start: { widthMm: 1000, depthMm: 1000 } },
};
function add(kind: Waypoint['kind']): void {
  const id = freshId(kind, route.value);
  edit.site('route', [...route.value, { id, kind, name: id.replace('-', ' '), ...KINDS[kind].start }]);
  chosen.value = id;
}
const set = (part: Partial<Waypoint>) =>
  edit.site('route', route.value.map((w) => (w.id === chosen.value ? { ...w, ...part } : w))); // prettier-ignore
function remove(): void {
  const left = route.value.filter((w) => w.id !== chosen.value);
  edit.site('route', left.length > 0 ? left : undefined);
}
const size = (w: Waypoint) =>
  [
    w.widthMm && w.kind === 'lift' && w.depthMm
      ? `${f.fromMm(w.widthMm)} × ${f.length(w.depthMm)}`
      : w.widthMm && `${f.length(w.widthMm)} wide`,
    w.steps && `${w.steps} steps`,
    w.loadKg && f.mass(w.loadKg),
  ].filter(Boolean);
const loads = computed(() =>
  props.carrying.loads
    .map((l) => `${l.what === 'stone' ? l.name : f.words(say(`load.${l.what}`))} ${f.mass(l.massKg)}`)
    .join(', '),
);
const team = computed(() => {
  const { says, multipliers } = props.carrying.team;
  const shown = multipliers
    .filter((m) => m.value < 0.995)
    .map((m) => `${f.words(say(`lift.${m.name}`))} ${m.value.toFixed(2)}`);
  return {
    says,
    how: wording('routeLine.lifting', {
      constant: f.said(LOAD_CONSTANT_KG, 'kg', 0),
      factors: shown.join(' × '),
    }),
  };
});
const troubles = computed(() =>
  props.carrying.findings.filter((x) => x.id.startsWith('route.') && x.id !== 'route.team'),
);
</script>

<template>
  <section>
    <header class="section-head">
      <h2>Into the room</h2>
    </header>
    <p class="quiet">{{ loads }}</p>
    <ol v-if="route.length" class="way">
      <li><span class="dot" /><b>Van</b></li>
      <li v-for="w in route" :key="w.id" :class="{ trouble: troubled.has(w.id), chosen: w.id === chosen }">
        <button
          class="plain"
          :aria-pressed="w.id === chosen"
          @click="chosen = w.id === chosen ? undefined : w.id"
        >
          <span class="dot" /><b>{{ w.name }}</b>
          <small v-for="s in size(w)" :key="String(s)">{{ s }}</small>
        </button>
      </li>
      <li><span class="dot" /><b>Place</b></li>
    </ol>
    <p v-else class="quiet">{{ wording('routeLine.empty') }}</p>
    <div v-if="point" class="figures">
      <WordsField label="Name" :value="point.name" :apply="(name) => set({ name })" />
      <FigureField
        label="clear width"
        kind="length"
        optional
        :value="point.widthMm"
        :apply="(mm) => set({ widthMm: mm })"
      />
      <FigureField
        v-if="point.kind !== 'turn'"
        label="clear height"
        kind="length"
        optional
        :value="point.heightMm"
        :apply="(mm) => set({ heightMm: mm })"
      />
      <FigureField
        v-if="point.kind === 'lift' || point.kind === 'turn'"
        :label="point.kind === 'turn' ? 'passage after it' : 'depth'"
        kind="length"
        optional
        :value="point.depthMm"
        :apply="(mm) => set({ depthMm: mm })"
        data-test="depth"
      />
      <FigureField
        v-if="point.kind === 'lift'"
        label="rated load"
        kind="mass"
        optional
        :value="point.loadKg"
        :apply="(kg) => set({ loadKg: kg })"
      />
      <FigureField
        v-if="point.kind === 'stairs'"
        label="steps"
        kind="plain"
        optional
        :value="point.steps"
        :apply="(n) => set({ steps: n })"
      />
      <button class="act" @click="remove">Take away</button>
    </div>
    <div v-if="commission.document!.brief.co2" class="figures">
      <FigureField
        label="CO2 cylinder"
        kind="mass"
        optional
        :value="commission.document!.site?.cylinderKg"
        :apply="(kg) => edit.site('cylinderKg', kg)"
      />
    </div>
    <p class="adds">
      <button
        v-for="(k, kind) in KINDS"
        :key="kind"
        class="act"
        :data-test="`add-${kind}`"
        @click="add(kind)"
      >
        + {{ k.name }}
      </button>
    </p>
    <p v-for="(t, i) in troubles" :key="i" class="says">
      <b>{{ f.words(t.says) }}</b>
    </p>
    <p class="says">{{ f.words(team.says) }} <span class="quiet">{{ team.how }}</span></p>
  </section>
</template>

<style scoped>
.way {
  list-style: none;
  display: flex;
  margin: 10px 0 6px;
  padding: 0;
  gap: 0;
}
.way li {
  flex: 1;
  min-width: 0;
  font-size: 12px;
  line-height: 1.3;
  padding-right: 8px;
  border-top: 2px solid var(--clay-2);
}
.way li:last-child {
  border-color: transparent;
}
.way button {
  width: 100%;
  min-height: 44px;
  vertical-align: top;
}
.dot {
  display: block;
  width: 12px;
  height: 12px;
  margin-top: -7px;
  border: 2px solid var(--clay);
  border-radius: 4px;
  background: var(--paper);
}
.trouble {
  border-color: var(--warn) !important;
}
.trouble .dot {
  background: var(--warn);
  border-color: var(--warn);
}
.chosen b {
  color: var(--celadon);
}
small {
  display: block;
  font-size: 12px;
  color: var(--ink-2);
}
</style>
