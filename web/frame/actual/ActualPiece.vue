<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import type { Candidate, Piece } from '../../../core/commission/schema';
import { materialOf, supplierOf } from '../../../core/commission/lookup';
import { withApproved, withCandidateChanged, withDeclined, withoutCandidate, withoutTried, withTried } from '../../../core/edits/candidates'; // prettier-ignore
import { differsWords } from '../../../core/findings/candidateFindings';
import { sizeMmOf } from '../../../core/hardscape/extent';
import type { Trial } from '../../../core/pipeline/trial';
import { soldBy } from '../../../core/catalogue/materialFields';
import { differences, knownOf, standingOf, type Standing } from '../../../core/yard/candidate';
import { api } from '../../document/api';
import { useCommission } from '../../document/commissionStore';
import DayField from '../../document/DayField.vue';
import FigureField from '../../document/FigureField.vue';
import { useLocalForm } from '../../document/localForm';
import { usePhotograph } from '../../document/photograph';
import WordsField from '../../document/WordsField.vue';
import { today } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import { useFrame } from '../planKey';
import FoundTests from './FoundTests.vue';
import TrialSheet from './TrialSheet.vue';

/** One actual piece: what is known of it, what it changes on the bench, whether it is taken, and how it came. */
const props = defineProps<{ candidate: Candidate; piece: Piece }>();
const commission = useCommission();
const { plan, scapeWork } = useFrame();
const f = useFigures();
const doc = computed(() => commission.document!);
const standing = computed(() => standingOf(props.candidate));
const STANDING: Record<Standing, string> = {
  asked: wording('actual.asked'),
  offered: wording('actual.offered'),
  approved: wording('actual.approved'),
  arrived: wording('actual.arrived'),
  declined: wording('actual.declined'),
};
const known = computed(() => knownOf(props.candidate));
const set = (part: Partial<Candidate>) =>
  commission.tryEdit(`${props.candidate.id} ${Object.keys(part)[0]}`, (d) =>
    withCandidateChanged(d, props.candidate.id, part),
  );

/** Sizes are one thing: typed one after the other, each taken when its field is left, and known once all three are there. */
useLocalForm();
const sizes = ref<(number | undefined)[]>([...(known.value.sizeMm ?? [])]);
watch(
  () => known.value.sizeMm,
  (now) => (sizes.value = [...(now ?? sizes.value)]),
);
const SIDES = [wording('actual.long'), wording('actual.wide'), wording('actual.high')];
const isMeasuring = ref(false);
const measures = computed(() => isMeasuring.value || standing.value === 'arrived');
function setSize(i: number, mm: number | undefined): string | undefined {
  sizes.value = [0, 1, 2].map((k) => (k === i ? mm : sizes.value[k]));
  const [x, y, z] = sizes.value;
  if (x === undefined || y === undefined || z === undefined) return undefined;
  const sizeMm: [number, number, number] = [x, y, z];
  return set(measures.value ? { measured: { ...props.candidate.measured, sizeMm } } : { sizeMm });
}
function setMass(massKg: number | undefined): string | undefined {
  const { measured, sizeMm } = props.candidate;
  const whole = measured?.sizeMm ?? sizeMm;
  if (!measures.value || !whole) return set({ massKg });
  return set({ measured: { sizeMm: whole, ...(massKg === undefined ? {} : { massKg }) } });
}

/** What it changes, of the scape as it was last planned. */
const trial = shallowRef<Trial>();
watch(
  [plan, () => props.candidate],
  async ([now, candidate]) => {
    const isOpen = known.value.sizeMm !== undefined && standing.value !== 'declined';
    const found = isOpen ? await scapeWork.trial(candidate).catch(() => undefined) : undefined;
    if (plan.value === now) trial.value = found;
  },
  { immediate: true },
);
function act(key: string, change: Parameters<typeof commission.edit>[1]): void {
  commission.endStep();
  commission.edit(`${key} ${props.candidate.id}`, change);
}
const { id } = props.candidate;
const tryIt = () => trial.value && act('tried', (d) => withTried(d, id, trial.value!.as));
const isWeighed = computed(() => soldBy(materialOf(doc.value, props.candidate.material).kind) === 'kg');
const needsMass = computed(() => isWeighed.value && known.value.massKg === undefined);
/** Said yes to, it stands on the bench at once; in a shop one has it in the hand. */
function takeIt(): void {
  const { as } = trial.value!;
  const { sizeMm, massKg } = props.candidate;
  const measured = isShop.value && sizeMm ? { measured: { sizeMm, ...(massKg === undefined ? {} : { massKg }) } } : {}; // prettier-ignore
  act(
    'take',
    (d) =>
    withCandidateChanged(withApproved(withTried(d, id, as), id, today()), id, measured), // prettier-ignore
  );
}
const differs = computed(() => differences(props.candidate).map((d) => f.words(differsWords(d))).join(', ')); // prettier-ignore
/** On the bench otherwise than it is known now: it came other than promised. */
const isStale = computed(
  () =>
    props.candidate.was !== undefined &&
    trial.value !== undefined &&
    trial.value.sizeMm.some((mm, i) => Math.abs(mm - extent.value[i]) > 1),
);
const extent = computed(() => sizeMmOf(props.piece.shape));

const { fault, take: takePhoto, waiting } = usePhotograph('offered', () => ({ kind: 'candidate', id }));
const photograph = (event: Event) => takePhoto(event, id);
const sellers = computed(() => doc.value.catalogue.suppliers.map((s) => ({ value: s.id, title: s.name })));
const isShop = computed(() => props.candidate.supplier !== undefined && supplierOf(doc.value, props.candidate.supplier).shop); // prettier-ignore
const kinds = computed(() =>
  doc.value.catalogue.materials
    .filter((m) => m.kind === 'stone' || m.kind === 'wood')
    .map((m) => ({ value: m.id, title: m.name })),
);
</script>

<template>
  <article class="one" :data-candidate="candidate.id" :data-standing="standing">
    <header>
      <b>{{ candidate.id }}</b> <span>{{ STANDING[standing] }}</span>
      <label class="act">
        {{ wording('actual.photo') }}
        <input type="file" accept="image/*" capture="environment" class="sr" @change="photograph" />
      </label>
      <button class="act off" @click="act('forget', (d) => withoutCandidate(d, id))">
        {{ wording('actual.drop') }}
      </button>
    </header>
    <p v-if="fault" class="late">{{ fault }}</p>
    <p v-if="waiting" class="quiet" role="status" data-test="photo-waits">{{ waiting }}</p>
    <img
      v-if="candidate.photo"
      :src="api.pictureUrl(commission.id, candidate.photo)"
      :alt="candidate.id"
      loading="lazy"
    />
    <div v-if="standing !== 'declined'" class="figures">
      <FigureField
        v-for="(side, i) in SIDES"
        :key="side"
        :label="side"
        kind="length"
        :value="sizes[i]"
        optional
        :apply="(mm) => setSize(i, mm)"
        :data-test="`actual-${i}`"
      />
      <FigureField
        :label="wording('actual.weighs')"
        kind="mass"
        optional
        :value="known.massKg"
        :apply="setMass"
        data-test="actual-mass"
      />
      <FigureField
        :label="wording('actual.costs')"
        kind="money"
        :unit="doc.currency"
        optional
        :value="candidate.priceMinor"
        :apply="(priceMinor) => set({ priceMinor })"
        data-test="actual-costs"
      />
      <v-select
        :label="wording('actual.of')"
        :items="kinds"
        :model-value="candidate.material"
        @update:model-value="(material: string) => set({ material })"
      />
      <v-select
        v-if="!isShop"
        :label="wording('actual.from')"
        :items="sellers"
        clearable
        :model-value="candidate.supplier"
        @update:model-value="(supplier: string | null) => set({ supplier: supplier ?? undefined })"
      />
      <DayField
        v-if="!isShop && (standing === 'asked' || standing === 'offered')"
        :label="wording('actual.held')"
        :value="candidate.heldUntil"
        :apply="(day) => set({ heldUntil: day || undefined })"
      />
      <WordsField
        :label="wording('actual.note')"
        :value="candidate.note"
        :apply="(note) => set({ note: note || undefined })"
      />
    </div>
    <v-switch
      v-if="standing !== 'declined'"
      :model-value="candidate.found ?? false"
      :label="wording('actual.found')"
      data-test="found"
      @update:model-value="(x) => set({ found: Boolean(x) || undefined })"
    />
    <FoundTests
      v-if="candidate.found && standing !== 'declined'"
      :candidate="candidate"
      :material="materialOf(doc, candidate.material)"
      @tests="(tests) => set({ tests })"
    />
    <p v-if="differs" class="differs" data-test="differs">
      {{ wording('actual.differs', { how: differs }) }}
    </p>
    <p v-if="standing === 'asked'" class="quiet">{{ wording('actual.sizes') }}</p>
    <TrialSheet v-if="trial" :trial="trial" :currency="doc.currency" />
    <p class="row">
      <template v-if="trial">
        <button v-if="isStale" class="solid" data-test="try-measured" @click="tryIt">
          {{ wording('actual.tryMeasured') }}
        </button>
        <button v-if="!candidate.was" class="act" data-test="try" @click="tryIt">
          {{ wording('actual.try') }}
        </button>
        <button v-if="standing === 'offered' && !needsMass" class="solid" data-test="take-it" @click="takeIt">
          {{ wording('actual.yes') }}
        </button>
        <span v-else-if="standing === 'offered'" class="quiet">{{ wording('actual.needsMass') }}</span>
      </template>
      <button
        v-if="candidate.was"
        class="act"
        data-test="off-bench"
        @click="act('off', (d) => withoutTried(d, id))"
      >
        {{ wording('actual.off') }}
      </button>
      <button
        v-if="standing === 'approved' && !isMeasuring"
        class="act"
        data-test="measure-it"
        @click="isMeasuring = true"
      >
        {{ wording('actual.came') }}
      </button>
      <button
        v-if="standing !== 'declined'"
        class="act"
        data-test="say-no"
        @click="act('no', (d) => withDeclined(d, id))"
      >
        {{ wording('actual.no') }}
      </button>
    </p>
  </article>
</template>

<style scoped>
.one {
  border-top: 1px solid var(--rule);
  padding: 6px 0;
}
header,
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 16px;
  margin: 2px 0;
}
.off {
  margin-left: auto;
  color: var(--ink-2);
  font-weight: 400;
}
img {
  max-width: 100%;
  max-height: 180px;
  object-fit: cover;
}
.figures {
  grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
}
.differs {
  border-left: 3px solid var(--warn);
  padding-left: 8px;
}
</style>
