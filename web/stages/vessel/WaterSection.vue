<script setup lang="ts">
import { computed } from 'vue';
import { useCommission } from '../../document/commissionStore';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import StackedBar from '../../drawing/StackedBar.vue';
import { useFigures } from '../../units/figures';
import { usePreferences } from '../../units/preferences';
import type { ShownPlan } from '../../workers/planWorker';
import RoBars from './RoBars.vue';
import { wording } from '../../words/wording';

/** What the first fill and every change are mixed of, from tap, RO and hot water. */
const props = defineProps<{ visit: ShownPlan['visit']; care: ShownPlan['care'] }>();
const commission = useCommission();
const preferences = usePreferences();
const edit = useDocEdit();
const f = useFigures();
const site = computed(() => commission.document!.site);
const tap = computed(() => site.value?.tap);
const water = computed(() => props.visit.water);

const WIDTH = 320;
const parts = computed(() => {
  const r = water.value.first;
  return [
    { name: 'cold', value: r.tapColdL, fill: 'var(--water-2)' },
    { name: 'hot', value: r.tapHotL, fill: 'var(--sand)' },
    { name: 'RO', value: r.roL, fill: '#b9d0d9' },
  ]
    .filter((p) => p.value > 0.05)
    .map((p) => ({
      ...p,
      key: p.name,
      says: `${p.name} ${Math.round((p.value / r.litres) * 100)} %, ${f.volume(p.value, 0)}`,
    }));
});
const gives = computed(() => {
  const { first: r, target, fillMin, cans } = water.value;
  const treated = f.volume(r.tapColdL + r.tapHotL, 0);
  const minerals = [
    r.gypsumG > 0.5 && `${f.said(r.gypsumG, 'g', 0)} gypsum`,
    r.bicarbonateG > 0.5 && `${f.said(r.bicarbonateG, 'g', 0)} bicarbonate`,
  ].filter(Boolean);
  const change = wording('waterSection.change', { mix: mixOf(props.care.water.recipe) });
  if (r.litres < 0.5) return [wording('waterSection.oldWater'), change];
  return [
    wording('waterSection.gives', {
      gh: f.hardness(r.gh),
      kh: f.hardness(r.kh),
      warmth: f.temperature(r.celsius),
      wantedGh: f.hardness(target.gh),
      wantedKh: f.hardness(target.kh),
      wantedWarmth: f.temperature(target.celsius),
      because: f.words(target.because),
    }),
    minerals.length > 0
      ? wording('waterSection.minerals', { minerals: minerals.join(', ') })
      : wording('waterSection.noMinerals'),
    ...(r.warmRoToC ? [wording('waterSection.warmRo', { warmth: f.temperature(r.warmRoToC, 0) })] : []),
    change,
    cans
      ? wording('waterSection.fillingByCans', {
          minutes: Math.round(fillMin),
          cans,
          can: f.volume(10, 0),
          tap: treated,
        })
      : wording('waterSection.filling', { minutes: Math.round(fillMin), tap: treated }),
  ];
});
/** The parts of a recipe in words. */
function mixOf(r: ShownPlan['care']['water']['recipe']): string {
  const list = [
    [r.tapColdL, 'cold'],
    [r.tapHotL, 'hot'],
    [r.roL, 'RO'],
  ] as const;
  return list.flatMap(([l, what]) => (l > 0.05 ? [`${f.volume(l, 0)} ${what}`] : [])).join(', ');
}
const DISINFECTANTS = ['none', 'chlorine', 'chloramine'];
const HARDNESS = [
  { value: 'degree', title: '°d' },
  { value: 'ppm', title: 'mg/L as CaCO3' },
  { value: 'mmol', title: 'mmol/L' },
];
/** A unit is one by its output: without it there is none, and storage waits until it was said. */
const setOutput = (litresPerHour: number | undefined) =>
  edit.site(
    'ro',
    litresPerHour === undefined ? undefined : { storageL: 0, ...site.value?.ro, litresPerHour },
  );
/** The studio's unit is wanted by other commissions too: the week looks at all of them. */
const setOfStudio = (ofStudio: boolean) =>
  site.value?.ro && edit.site('ro', { ...site.value.ro, ofStudio: ofStudio || undefined });
const setStorage = (storageL: number | undefined) =>
  site.value?.ro
    ? edit.site('ro', { ...site.value.ro, storageL: storageL ?? 0 })
    : wording('waterSection.roUnitMissing');
</script>

<template>
  <section>
    <header class="section-head">
      <h2>Water</h2>
      <span class="quiet">
        tap GH {{ f.hardness(water.tap.gh) }}, KH {{ f.hardness(water.tap.kh) }},
        {{ f.temperature(water.tap.coldC, 0) }}<template v-if="!water.tap.known"> (taken as usual)</template>
      </span>
    </header>
    <StackedBar :parts="parts" :width="WIDTH" label="Parts of the first fill" data-test="recipe" />
    <p v-for="s in gives" :key="s" class="says">{{ s }}</p>
    <RoBars v-if="care.ro" :ro="care.ro" />
    <p
      v-for="x in [...water.findings, ...care.findings.filter((y) => y.id === 'water.ro')]"
      :key="x.id"
      class="says"
    >
      <b>{{ f.words(x.says) }}</b> {{ f.words(x.because) }}
    </p>
    <details>
      <summary class="act">Tap, target, RO, distances</summary>
      <div class="figures">
        <FigureField
          label="tap GH"
          kind="hardness"
          optional
          :value="tap?.gh"
          :apply="(d) => edit.tap('gh', d)"
          data-test="tap-gh"
        />
        <FigureField
          label="tap KH"
          kind="hardness"
          optional
          :value="tap?.kh"
          :apply="(d) => edit.tap('kh', d)"
          data-test="tap-kh"
        />
        <FigureField
          label="tap pH"
          kind="plain"
          optional
          :value="tap?.ph"
          :apply="(p) => edit.tap('ph', p)"
        />
        <FigureField
          label="nitrate"
          kind="plain"
          unit="mg/L"
          optional
          :value="tap?.nitrateMgL"
          :apply="(n) => edit.tap('nitrateMgL', n)"
        />
        <v-select
          label="Treated with"
          clearable
          :items="DISINFECTANTS"
          :model-value="tap?.disinfectant"
          @update:model-value="(x) => edit.tap('disinfectant', x ?? undefined)"
        />
        <FigureField
          label="cold, winter"
          kind="temperature"
          optional
          :value="tap?.winterC"
          :apply="(c) => edit.tap('winterC', c)"
          data-test="tap-winter"
        />
        <FigureField
          label="cold, summer"
          kind="temperature"
          optional
          :value="tap?.summerC"
          :apply="(c) => edit.tap('summerC', c)"
        />
        <FigureField
          label="hot tap"
          kind="temperature"
          hot
          optional
          :value="tap?.hotC"
          :apply="(c) => edit.tap('hotC', c)"
        />
        <FigureField
          label="hot at once"
          kind="volume"
          optional
          :value="tap?.hotL"
          :apply="(l) => edit.tap('hotL', l)"
          data-test="hot-at-once"
        />
        <v-select v-model="preferences.hardness" label="Hardness in" :items="HARDNESS" />
        <FigureField
          label="target GH"
          kind="hardness"
          optional
          :value="site?.target?.gh"
          :apply="(d) => edit.target('gh', d)"
        />
        <FigureField
          label="target KH"
          kind="hardness"
          optional
          :value="site?.target?.kh"
          :apply="(d) => edit.target('kh', d)"
        />
        <FigureField
          label="target"
          kind="temperature"
          optional
          :value="site?.target?.tempC"
          :apply="(c) => edit.target('tempC', c)"
          data-test="target-c"
        />
        <FigureField
          label="RO makes"
          kind="flow"
          optional
          :value="site?.ro?.litresPerHour"
          :apply="setOutput"
          data-test="ro"
        />
        <FigureField
          label="RO storage"
          kind="volume"
          optional
          :value="site?.ro?.storageL"
          :apply="setStorage"
        />
        <label v-if="site?.ro" class="tick"
          ><input
            type="checkbox"
            :checked="site.ro.ofStudio"
            data-test="ro-of-studio"
            @change="setOfStudio(($event.target as HTMLInputElement).checked)"
          />
          {{ wording('waterSection.ofStudio') }}</label
        >
        <FigureField
          label="to the tap"
          kind="distance"
          optional
          :value="site?.tapM"
          :apply="(m) => edit.site('tapM', m)"
        />
        <FigureField
          label="to the drain"
          kind="distance"
          optional
          :value="site?.drainM"
          :apply="(m) => edit.site('drainM', m)"
        />
        <v-select
          label="Carried by"
          :items="['hose', 'cans']"
          :model-value="site?.carry ?? 'hose'"
          @update:model-value="(c) => edit.site('carry', c)"
        />
      </div>
      <p class="quiet">
        {{ wording('waterSection.hotWater') }}
      </p>
    </details>
  </section>
</template>
