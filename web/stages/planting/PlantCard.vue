<script setup lang="ts">
import { computed } from 'vue';
import { dliOf } from '../../../core/catalogue/knownPlants';
import { plantingOrigin } from '../../../core/commission/origin';
import type { Plant, Planting } from '../../../core/commission/schema';
import { trimmingsOf } from '../../../core/planted/grown';
import type { Planted } from '../../../core/planted/planted';
import type { Finding } from '../../../core/words/finding';
import { useCommission } from '../../document/commissionStore';
import FigureField from '../../document/FigureField.vue';
import OriginField from '../../document/OriginField.vue';
import { shortDay } from '../../units/days';
import { useFigures } from '../../units/figures';
import WaysOut from './WaysOut.vue';

/** One planting: what is typed of it, what it has where it stands, and why it is happy there or not. */
const props = defineProps<{
  planting: Planting;
  part?: Planted;
  findings: readonly Finding[];
  thinnestMm?: number;
  /** Some light is known. */
  lit: boolean;
  /** Plants that it could be instead. */
  plants: readonly Plant[];
  /** Plantings that lie on the same ground. */
  sharing: readonly Planting[];
}>();
defineEmits<{ remove: []; become: [plant: string]; mirror: []; settle: [how: 'share' | 'leave'] }>();
const commission = useCommission();
const f = useFigures();
const doc = computed(() => commission.document!);
const pieces = computed(() => [
  { value: '', title: 'nothing yet' },
  ...(commission.option?.pieces ?? []).map((p) => ({ value: p.id, title: p.id })),
]);
const FORMS = [
  { value: 'tissue', title: 'tissue culture' },
  { value: 'emersed', title: 'grown above water' },
  { value: 'running', title: 'out of a running tank' },
];
const SPLITS = computed(() => {
  const [few, usual, many] = props.part?.splits ?? [0, 0, 0];
  return [
    { value: 'coarse', title: `coarsely, ${few} a pack` },
    { value: 'usual', title: `as usual, ${usual} a pack` },
    { value: 'fine', title: `finely, ${many} a pack` },
  ];
});
const change = (key: string, part: Partial<Planting>) =>
  commission.tryEditOption(`planting ${key} ${props.planting.id}`, (o) => ({
    ...o,
    plants: o.plants.map((p) => (p.id === props.planting.id ? { ...p, ...part } : p)),
  }));
/** Share of the surface under what floats, once each plug has its spread, in per cent. */
const floating = computed(() => {
  const { length, width } = doc.value.vessel.innerMm;
  const p = props.part;
  const each = Math.PI * ((p?.plant.spreadMm ?? 40) / 2) ** 2;
  return Math.min(100, Math.round(((p?.count ?? 0) * each * 100) / (length * width)));
});
/** So many portions as cover a share of the surface once grown. */
function setFloating(percent: number | undefined): string | undefined {
  if (!percent || percent < 1 || percent > 100) return 'must be from 1 to 100';
  const { length, width } = doc.value.vessel.innerMm;
  const each = Math.PI * ((props.part?.plant.spreadMm ?? 40) / 2) ** 2;
  return change('count', { count: Math.max(1, Math.round((percent * length * width) / 100 / each)) });
}
/** What it has against what it wants, in one line each. */
const lives = computed(() => {
  const p = props.part;
  if (!p) return [];
  const [least, good] = dliOf(p.plant);
  const lit =
    p.spots.length > 0
      ? `${p.leastDli.toFixed(1)} to ${p.mostDli.toFixed(1)}, mean ${p.meanDli.toFixed(1)}`
      : `${p.meanDli.toFixed(1)} on the mean of the bed`;
  const trims = trimmingsOf(p);
  return [
    props.lit
      ? `Light ${lit} mol/m²/d; lives from ${least}, well with ${good}`
      : `Wants ${least} to ${good} mol/m²/d of light; no lamp is listed yet, its dates are for the right one`,
    ...(p.speedMmS === undefined ? [] : [`Water moves ${p.speedMmS.toFixed(0)} mm/s`]),
    ...(p.cover
      ? [
          `Closes about ${shortDay(p.cover.on)} (week ${Math.ceil(p.cover.from / 7)} to ${Math.ceil(p.cover.to / 7)})`,
        ]
      : p.spacingMm === undefined
        ? []
        : ['Does not close here']),
    ...(p.plant.roots === 'float'
      ? [
          `Covers about ${floating.value} % of the surface once grown; what stands below has so much less light`,
        ]
      : []),
    ...(p.trims.length > 0
      ? [`First trim after ${p.trims[0]} days${trims ? `, then ${trims} plugs of its own each` : ''}`]
      : []),
  ];
});
</script>

<template>
  <section class="card" data-test="planting-card">
    <header>
      <b
        ><i>{{ part?.plant.name ?? planting.plant }}</i></b
      ><span class="quiet">{{ planting.id }}</span>
      <button v-if="planting.region" class="act" data-test="mirror-region" @click="$emit('mirror')">
        Mirror
      </button>
      <button class="act" @click="$emit('remove')">Take away</button>
    </header>
    <p v-if="part">
      <b class="fig">{{ f.said(part.count, 'plug') }}</b><template v-if="planting.region">
        on {{ f.said(part.netM2, 'm²', 3) }} along the slope</template
      >, {{ f.said(part.packsNeeded, 'pack') }}
    </p>
    <WaysOut
      v-if="part && part.missing > 0"
      :part="part"
      :currency="doc.currency"
      @take="(w) => change(w.kind, w.part)"
    />
    <p v-if="sharing.length" class="on" data-test="on">
      Lies on {{ sharing.map((p) => p.id).join(', ') }}:
      <button class="act" data-test="share-ground" @click="$emit('settle', 'share')">share the ground</button>
      <button class="act" data-test="leave-ground" @click="$emit('settle', 'leave')">
        leave it to the other
      </button>
    </p>
    <p v-for="n in findings" :key="n.id" class="late">
      {{ f.words(n.says) }} <span class="quiet">{{ f.words(n.because) }}</span>
    </p>
    <p v-for="l in lives" :key="l" class="quiet">{{ l }}</p>
    <p v-if="thinnestMm !== undefined" class="quiet">Thinnest soil {{ f.length(thinnestMm) }}</p>
    <div class="fields">
      <v-autocomplete
        label="plant"
        class="whole"
        :items="plants.map((p) => ({ value: p.id, title: p.name }))"
        :model-value="planting.plant"
        data-test="become"
        @update:model-value="(id: string | null) => id && $emit('become', id)"
      />
      <FigureField
        v-if="planting.region"
        label="plugs apart"
        kind="length"
        :value="planting.spacingMm"
        :apply="(v) => change('spacing', { spacingMm: v })"
        data-test="spacing"
      />
      <FigureField
        v-else
        label="portions"
        kind="plain"
        :value="planting.count"
        :apply="(v) => change('count', { count: v })"
        data-test="portions"
      />
      <FigureField
        v-if="part?.plant.roots === 'float'"
        label="covers of the surface"
        kind="plain"
        unit="%"
        :value="floating"
        :apply="setFloating"
        data-test="floating"
      />
      <v-select
        v-else-if="!planting.region"
        label="on"
        :items="pieces"
        :model-value="planting.on ?? ''"
        data-test="planted-on"
        @update:model-value="(on) => change('on', { on: on || undefined })"
      />
      <FigureField
        label="packs at hand"
        kind="plain"
        optional
        :value="planting.packs"
        :apply="(v) => change('packs', { packs: v })"
        data-test="packs"
      />
      <v-select
        v-if="part && part.splits[2] > part.splits[0]"
        label="split"
        :items="SPLITS"
        :model-value="planting.splits ?? 'usual'"
        @update:model-value="
          (splits) => change('splits', { splits: splits === 'usual' ? undefined : splits })
        "
      />
      <FigureField
        v-if="planting.region"
        label="its share of the ground"
        kind="plain"
        unit="%"
        :value="Math.round((planting.share ?? 1) * 100)"
        :apply="(v) => change('share', { share: v! >= 100 ? undefined : v! / 100 })"
        data-test="share"
      />
      <OriginField
        :origin="plantingOrigin(doc.brief, planting)"
        @change="(origin) => change('origin', { origin })"
      />
      <v-select
        label="comes as"
        :items="FORMS"
        :model-value="planting.form"
        clearable
        @update:model-value="(form) => change('form', { form: form ?? undefined })"
      />
      <FigureField
        label="goes in after"
        kind="plain"
        unit="days"
        optional
        :value="planting.laterDays"
        :apply="(v) => change('later', { laterDays: v || undefined })"
        data-test="later"
      />
    </div>
  </section>
</template>

<style scoped>
.card {
  padding: 8px 12px;
  border-top: 2px solid var(--celadon);
  overflow-y: auto;
}
header {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
header .act {
  padding: 0;
}
header .quiet {
  margin-right: auto;
}
.whole {
  grid-column: 1 / -1;
}
p {
  margin: 2px 0;
  line-height: 1.3;
  font-size: 12.5px;
}
.on .act {
  padding: 0;
  margin-right: 8px;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 12px;
  align-items: end;
}
</style>
