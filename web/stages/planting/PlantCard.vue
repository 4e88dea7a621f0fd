<script setup lang="ts">
import { computed } from 'vue';
import { NOW } from '../../../core/commission/scapes';
import { withHeld } from '../../../core/edits/plantings';
import { heldBy } from '../../../core/commission/usual';
import type { Pack, Plant, Planting } from '../../../core/commission/schema';
import { floatingCount, floatingShare, type Planted } from '../../../core/planted/planted';
import { reasonsAgainst, type Spot } from '../../../core/planted/livesHere';
import type { Hide } from '../../../core/planting/picked';
import { mostSpacingMm } from '../../../core/planting/spacing';
import type { Finding } from '../../../core/words/finding';
import { useCommission } from '../../document/commissionStore';
import FigureField from '../../document/FigureField.vue';
import ThingNotes from '../../document/ThingNotes.vue';
import SittingField from '../../document/SittingField.vue';
import { useFigures } from '../../units/figures';
import HideJoints from './HideJoints.vue';
import { livesWords } from './livesWords';
import { ownWords } from './ownWords';
import PlantComesFrom from './PlantComesFrom.vue';
import KeepForStudio from './KeepForStudio.vue';
import PackFields from '../../document/catalogue/PackFields.vue';
import type { SettleGround } from './usePlantings';
import SubstituteList from '../../frame/plants/SubstituteList.vue';
import WaysOut from './WaysOut.vue';
import { wording } from '../../words/wording';

/** One planting: what is typed of it, what it has where it stands, and why it is happy there or not. */
const props = defineProps<{
  planting: Planting;
  /** All that is planted, this one among it. */
  parts: readonly Planted[];
  findings: readonly Finding[];
  thinnestMm?: number;
  /** Some light is known. */
  lit: boolean;
  /** What there is at the spot last touched on the plan. */
  here?: Spot & { spot: boolean };
  /** Plants that it could be instead. */
  plants: readonly Plant[];
  /** Plantings that lie on the same ground. */
  sharing: readonly Planting[];
  /** Plantings of the same plant that touch it. */
  joinable: readonly string[];
  /** The pointer sets portions on stone and wood. */
  picking: boolean;
}>();
defineEmits<{
  remove: [];
  become: [plant: string];
  mirror: [];
  settle: [how: SettleGround];
  split: [];
  behind: [mm: number];
  join: [id: string];
  pick: [];
  hide: [at: Hide];
  forget: [];
  packed: [packs: Pack[]];
}>();
const commission = useCommission();
/** What stands there is there: nobody is asked where it comes from. */
const isNow = computed(() => commission.optionId === NOW);
const f = useFigures();
const doc = computed(() => commission.document!);
const part = computed(() => props.parts.find((p) => p.id === props.planting.id));
/** What it has where it stands: what takes its place has to live with that. */
const spot = computed(() => props.here && { ...props.here, dli: part.value?.meanDli ?? props.here.dli });
const pieces = computed(() => [
  { value: '', title: 'nothing yet' },
  ...(commission.option?.pieces ?? []).map((p) => ({ value: p.id, title: p.id })),
]);
const HELD = [
  { value: 'glue', title: 'by dots of gel' },
  { value: 'tie', title: 'tied with thread' },
  { value: 'wedge', title: 'wedged into gaps' },
  { value: 'grown', title: 'grown onto it already' },
] as const;
const STANDS = [
  { value: '', title: 'evenly scattered' },
  { value: 'rows', title: 'in rows' },
  { value: 'twos', title: 'in twos' },
  { value: 'threes', title: 'in threes' },
];
const SPLITS = computed(() => {
  const [few, usual, many] = part.value?.splits ?? [0, 0, 0];
  return [
    { value: 'coarse', title: `${few}, coarsely` },
    { value: 'usual', title: `${usual}, as usual` },
    { value: 'fine', title: `${many}, finely` },
  ];
});
const hold = (held: NonNullable<Planting['held']>) =>
  commission.tryEditOption(`planting held ${props.planting.id}`, (o) => withHeld(o, props.planting.id, held));
const change = (key: string, to: Partial<Planting>) =>
  commission.tryEditOption(`planting ${key} ${props.planting.id}`, (o) => ({
    ...o,
    plants: o.plants.map((p) => (p.id === props.planting.id ? { ...p, ...to } : p)),
  }));
function setSpacing(mm: number | undefined): string | undefined {
  const most = mostSpacingMm(props.planting.region!);
  if (mm !== undefined && mm > most) return wording('plantCard.tooFar', { most: f.length(most) });
  return change('spacing', { spacingMm: mm });
}
const surfaceMm2 = computed(() => doc.value.vessel.innerMm.length * doc.value.vessel.innerMm.width);
/** Share of the surface under what floats, once each plug has its spread, in per cent. */
const floating = computed(() =>
  part.value ? Math.round(100 * floatingShare([part.value], surfaceMm2.value)) : 0,
);
/** So many portions as cover a share of the surface once grown. */
function setFloating(percent: number | undefined): string | undefined {
  if (!percent || percent < 1 || percent > 100) return wording('plantCard.outOfRange');
  return change('count', { count: floatingCount(part.value!.plant, percent / 100, surfaceMm2.value) });
}
/** What all its packs together gave when they were split. */
function setGave(plugs: number | undefined): string | undefined {
  const packs = props.planting.packs ?? part.value?.packsNeeded ?? 0;
  if (plugs !== undefined && packs < 1) return wording('plantCard.noPacks');
  return change('gave', { gave: plugs === undefined ? undefined : { packs, plugs } });
}
/** Why it would not live at the spot last touched, or that it does. */
const atSpot = computed(() => {
  if (!props.here?.spot || !part.value) return '';
  const against = reasonsAgainst(part.value.plant, props.here).map((t) => f.words(t));
  return wording('plantCard.atSpot', {
    dli: props.here.dli.toFixed(1),
    says: against.join(', ') || wording('plantCard.lives'),
  });
});
const shadedBy = computed(() => props.parts.find((p) => p.id === part.value?.shadedBy)?.plant.name);
const lives = computed(() => (part.value ? livesWords(part.value, props.lit, floating.value, shadedBy.value) : [])); // prettier-ignore
</script>

<template>
  <section class="card" data-test="planting-card">
    <header>
      <b><i>{{ part?.plant.name ?? planting.plant }}</i></b
      ><span class="quiet">{{ planting.id }}</span>
      <button class="act" data-test="take-away" @click="$emit('remove')">Take away</button>
    </header>
    <div v-if="planting.region" class="acts">
      <button class="act" data-test="mirror-region" @click="$emit('mirror')">Mirror</button>
      <button class="act" data-test="split-region" @click="$emit('split')">Cut in two</button>
      <button v-for="id in joinable" :key="id" class="act" :data-join="id" @click="$emit('join', id)">
        Join {{ id }}
      </button>
    </div>
    <p v-if="sharing.length" class="on" data-test="on">
      Lies on {{ sharing.map((p) => p.id).join(', ') }}:
      <button class="act" data-test="share-ground" @click="$emit('settle', 'share')">share the ground</button>
      <button class="act" data-test="leave-ground" @click="$emit('settle', 'leave')">
        leave it to {{ sharing.length > 1 ? 'the others' : 'the other' }}
      </button>
      <button class="act" data-test="take-ground" @click="$emit('settle', 'take')">
        take it from {{ sharing.length > 1 ? 'the others' : 'the other' }}
      </button>
    </p>
    <p v-if="part" data-test="planting-count">
      <b class="fig">{{ f.said(part.count, 'plug') }}</b
      ><template v-if="planting.region">
        {{ ' ' + wording('plantCard.alongSlope', { area: f.said(part.netM2, 'm²', 3) }) }}</template
      >{{ ownWords(part) }},
      {{ f.said(planting.packs ?? part.packsNeeded, 'pack') }}
    </p>
    <WaysOut
      v-if="part && part.missing > 0"
      :part="part"
      :currency="doc.currency"
      @take="(w) => (w.kind === 'behind' ? $emit('behind', w.figure) : change(w.kind, w.part))"
    />
    <SubstituteList
      v-if="part && spot && !isNow"
      :part="part"
      :plants="plants"
      :spot="spot"
      @become="(to) => $emit('become', to)"
    />
    <p v-for="n in findings" :key="n.id" class="late">
      {{ f.words(n.says) }} <span class="quiet">{{ f.words(n.because) }}</span>
    </p>
    <p v-for="l in lives" :key="l" class="quiet">{{ l }}</p>
    <p v-if="atSpot" class="quiet" data-test="at-spot">{{ atSpot }}</p>
    <p v-if="thinnestMm !== undefined" class="quiet">Thinnest soil {{ f.length(thinnestMm) }}</p>
    <HideJoints
      v-if="part?.plant.roots === 'epiphyte' && !planting.region"
      :planting="planting"
      :picking="picking"
      @pick="$emit('pick')"
      @hide="$emit('hide', $event)"
      @forget="$emit('forget')"
    />
    <div v-if="part && part.packsNeeded > 0 && !part.plant.packs?.length" class="fields" data-test="no-pack">
      <p class="late whole">{{ wording('plantCard.noPack') }}</p>
      <PackFields
        :plant="part.plant"
        :suppliers="doc.catalogue.suppliers"
        :currency="doc.currency"
        @change="(packs) => $emit('packed', packs)"
      />
    </div>
    <KeepForStudio v-if="part" :plant="part.plant" />
    <div class="fields">
      <v-autocomplete
        label="plant"
        class="whole"
        :items="plants.map((p) => ({ value: p.id, title: p.name }))"
        :model-value="planting.plant"
        data-test="become"
        @update:model-value="(id: string | null) => id && $emit('become', id)"
      />
      <template v-if="planting.region">
        <FigureField
          label="plugs apart"
          kind="length"
          :value="planting.spacingMm ?? part?.spacingMm"
          :apply="setSpacing"
          data-test="spacing"
        />
        <v-select
          label="stand"
          :items="STANDS"
          :model-value="planting.set ?? ''"
          data-test="stands"
          @update:model-value="(set) => change('set', { set: (set || undefined) as Planting['set'] })"
        />
        <FigureField
          label="of the ground"
          kind="plain"
          unit="%"
          :value="Math.round((planting.share ?? 1) * 100)"
          :apply="(v) => change('share', { share: v! >= 100 ? undefined : v! / 100 })"
          data-test="share"
        />
      </template>
      <template v-else>
        <FigureField
          label="portions"
          kind="plain"
          :value="planting.count"
          :apply="(v) => change('count', { count: v })"
          data-test="portions"
        />
        <FigureField
          v-if="part?.plant.roots === 'float'"
          label="of the surface"
          kind="plain"
          unit="%"
          :value="floating"
          :apply="setFloating"
          data-test="floating"
        />
        <v-select
          v-else
          label="on"
          :items="pieces"
          :model-value="planting.on ?? ''"
          data-test="planted-on"
          @update:model-value="(on) => change('on', { on: on || undefined, at: undefined })"
        />
      </template>
      <FigureField
        label="packs at hand"
        kind="plain"
        optional
        :value="planting.packs"
        :usual="part?.packsNeeded"
        :apply="(v) => change('packs', { packs: v })"
        data-test="packs"
      />
      <FigureField
        label="plugs of your own"
        kind="plain"
        optional
        :value="planting.ownPlugs"
        :apply="(v) => change('own', { ownPlugs: v || undefined })"
        data-test="own-plugs"
      />
      <v-select
        v-if="part && part.splits[2] > part.splits[0]"
        label="a pack split into"
        :items="SPLITS"
        :model-value="planting.splits ?? 'usual'"
        @update:model-value="
          (splits) => change('splits', { splits: splits === 'usual' ? undefined : splits })
        "
      />
      <v-select
        v-if="part?.plant.habit === 'stem'"
        label="stems"
        :items="[
          { value: false, title: 'whole' },
          { value: true, title: 'halved, both planted' },
        ]"
        :model-value="planting.halved ?? false"
        data-test="halved"
        @update:model-value="(halved) => change('halved', { halved: halved || undefined })"
      />
      <v-select
        v-if="part?.plant.roots === 'epiphyte'"
        label="held"
        :items="HELD"
        :model-value="heldBy(planting)"
        data-test="held"
        @update:model-value="hold"
      />
      <PlantComesFrom :planting="planting" :is-now="isNow" @change="change" />
      <FigureField
        label="goes in after"
        kind="plain"
        unit="days"
        optional
        :value="planting.laterDays"
        :apply="(v) => change('later', { laterDays: v || undefined })"
        data-test="later"
      />
      <SittingField
        v-if="!isNow"
        :value="planting.sitting"
        @change="(sitting) => change('sitting', { sitting })"
      />
      <FigureField
        :label="wording('sittingField.inWater')"
        kind="length"
        optional
        :value="planting.inWaterMm"
        :apply="(inWaterMm) => change('inWater', { inWaterMm: inWaterMm || undefined })"
        data-test="in-water"
      />
      <FigureField
        :label="wording('sittingField.aDay')"
        kind="plain"
        unit="plugs"
        optional
        :value="planting.aDay"
        :apply="(aDay) => change('aDay', { aDay: aDay || undefined })"
        data-test="a-day"
      />
      <FigureField
        label="its packs gave"
        kind="plain"
        unit="plugs"
        optional
        :value="planting.gave?.plugs"
        :apply="setGave"
        data-test="gave"
      />
      <ThingNotes :about="{ of: 'plants', id: planting.id }" />
    </div>
  </section>
</template>

<style scoped>
.card {
  padding: 8px 12px;
  border-top: 2px solid var(--celadon);
  overflow-y: auto;
  /* What is pressed stays where it is when what is said grows longer. */
  scrollbar-gutter: stable;
}
header,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: baseline;
}
header .act,
.acts .act {
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
  margin-top: 6px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(124px, 1fr));
  gap: 0 12px;
  align-items: end;
}
</style>
