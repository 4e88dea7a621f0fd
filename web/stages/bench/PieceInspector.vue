<script setup lang="ts">
import { computed } from 'vue';
import type { Joint, Material, Option, Origin, Piece } from '../../../core/commission/schema';
import { useScapeEdit } from '../../document/scapeEdit';
import { useStudio } from '../../document/studioStore';
import { selectPiece } from '../../frame/selection';
import { useFigures } from '../../units/figures';
import { grainAsItLies, grainUnturned } from '../../../core/yard/facing';
import { comesFrom, pieceOrigin, pieceState } from '../../../core/commission/origin';
import { NOW } from '../../../core/commission/scapes';
import { useCommission } from '../../document/commissionStore';
import FigureField from '../../document/FigureField.vue';
import OriginField from '../../document/OriginField.vue';
import PieceActual from '../../frame/actual/PieceActual.vue';
import PieceTimes from './PieceTimes.vue';
import PocketFields from './PocketFields.vue';
import SplitPiece from './SplitPiece.vue';
import type { Around, ShownPlan } from '../../workers/planWorker';
import { wording } from '../../words/wording';

/** Typed values of the selected piece, in the tray below the plan, where they hide nothing. */
const props = defineProps<{
  piece: Piece;
  option: Option;
  materials: Material[];
  survey: ShownPlan['survey'];
  /** What is clear around it and what it could be joined to, once that has been measured. */
  around?: Around;
  /** Further pieces that are selected with it. */
  also: number;
}>();
defineEmits<{ down: []; apart: []; copy: []; mirror: [] }>();
const commission = useCommission();
/** What stands there is there: nobody is asked where it comes from. */
const isNow = computed(() => commission.optionId === NOW);
const edit = useScapeEdit();
const f = useFigures();

const surveyed = computed(() => props.survey.pieces.find((p) => p.id === props.piece.id));
const joint = computed(() => props.option.joints.find((j) => j.pieces.includes(props.piece.id)));
const partner = computed(() => joint.value?.pieces.find((id) => id !== props.piece.id));
const isWood = computed(() => kind.value === 'wood');
const kind = computed(() => props.materials.find((m) => m.id === props.piece.material)?.kind ?? 'stone');
const origin = computed(() => pieceOrigin(commission.document!, props.piece));
const state = computed(() => (props.piece.fixed ? 'fixed' : pieceState(props.piece, origin.value)));
/** Ways of joining; gel by itself takes a day, an accelerator sets it at once. */
const METHODS: { value: Joint['method'] | 'gel-alone'; title: string }[] = [
  { value: 'fibre-glue', title: 'fibre and liquid glue' },
  { value: 'gel-glue', title: 'gel, set at once' },
  { value: 'gel-alone', title: 'gel alone, a day' },
  { value: 'impact', title: 'impact glue, a day' },
  { value: 'silicone', title: 'silicone, a day' },
  { value: 'tie', title: 'tie' },
  { value: 'wedge', title: 'wedged' },
];
/** What can be said of its state: wood soaks, stone does not; what is fixed is fixed in this tank. */
const STATES = computed(() => [
  { value: 'dry', title: 'dry' },
  ...(isWood.value ? [{ value: 'soaking', title: 'soaking' }, { value: 'sunk', title: 'long sunk' }] : []),
  { value: 'living', title: 'wet, lived on' },
  { value: 'fixed', title: 'fixed in the tank' },
]); // prettier-ignore
const others = computed(() => props.option.pieces.filter((p) => p.id !== props.piece.id).map((p) => p.id));

const STANDS = [
  { value: 'bed', title: 'buried in the bed' },
  { value: 'floor', title: 'on the glass, on a pad' },
  { value: 'at', title: 'held at a height' },
  { value: 'on', title: 'resting on another' },
];

/** The figure that belongs to the way it stands; a piece resting on another has none. */
const standing = computed(
  (): { label: string; value: number; of: (mm: number) => Piece['stand'] } | undefined => {
    const { stand } = props.piece;
    if (stand.kind === 'bed')
      return { label: 'buried', value: stand.buryMm, of: (buryMm) => ({ kind: 'bed', buryMm }) };
    if (stand.kind === 'at')
      return { label: 'lowest point', value: stand.zMm, of: (zMm) => ({ kind: 'at', zMm }) };
    if (stand.kind === 'floor')
      return { label: 'pad', value: stand.pad ?? 0, of: (pad) => ({ kind: 'floor', pad }) };
    return undefined;
  },
);

const change = (key: string, part: (p: Piece) => Partial<Piece>) =>
  edit.tryPiece(props.piece.id, key, (p) => ({ ...p, ...part(p) }));
const setX = (mm: number | undefined) => change('typed x', (p) => ({ at: [mm!, p.at[1]] }));
const setY = (mm: number | undefined) => change('typed y', (p) => ({ at: [p.at[0], mm!] }));
const setTurn = (deg: number | undefined) => change('typed turn', () => ({ turnDeg: deg! }));
/** Tilted to its own right and back, before it is turned about the upright. */
const leans = computed(() => {
  const [x, y] = props.piece.tiltDeg ?? [0, 0];
  return { back: -x || 0, right: y };
});
const setLean = (side: 'back' | 'right') => (deg: number | undefined) => {
  const next = { ...leans.value, [side]: deg! };
  return change(`typed lean ${side}`, () => ({ tiltDeg: [-next.back || 0, next.right] }));
};
const stands = computed(() => props.survey.stands.find((s) => s.id === props.piece.id));
/** What carries it, and by what a glued group is carried in. */
const borne = computed(() => {
  const loads = (props.around?.loads ?? []).map(
    ({ on, kg, cm2 }) =>
      `${f.mass(kg)} on ${on === 'glass' || on === 'bed' ? `the ${on}` : on}, ${Math.round(cm2)} cm²`,
  );
  const grip = props.survey.groups.find((g) => g.pieces.includes(props.piece.id))?.grip;
  const carried = grip
    ? [wording('pieceInspector.carriedUnder', { mass: f.mass(grip.massKg), by: grip.by.join(' and ') })]
    : [];
  return [...loads, ...carried].join('; ');
});
const overlaps = computed(() => (surveyed.value?.overlapL ?? 0) > 0.005);
/** Pieces within reach of glue that it is not joined to yet. */
const offers = computed(() =>
  (props.around?.touching ?? []).filter(
    ({ id }) => !props.option.joints.some((j) => j.pieces.includes(id) && j.pieces.includes(props.piece.id)),
  ),
);
/** Pieces of the yard that stand nowhere yet: one of them can take the place of this one. */
const studio = useStudio();
const swaps = computed(() => {
  const there = new Set(props.option.pieces.map((p) => p.id));
  const away = studio.elsewhere(commission.id);
  return (studio.studio?.yard ?? [])
    .filter((y) => !there.has(y.id) && !away[y.id])
    .map((y) => ({ value: y.id, title: y.id }));
});
/** Only what the studio has can be parted: it keeps what comes of it. */
const ofYard = computed(() => studio.studio?.yard.some((y) => y.id === props.piece.id) ?? false);
function swapFor(id: string | null): void {
  const source = studio.studio?.yard.find((y) => y.id === id);
  if (source) selectPiece(edit.swap(props.piece.id, source));
}
const CLEAR_WORDS: Record<string, string> = {
  front: 'to front',
  left: 'to left',
  right: 'to right',
  back: 'to back',
};
/** A clear distance that is typed: the piece goes along its line until it is that far. */
const setClear = (c: Around['clear'][number]) => (mm: number | undefined) => {
  if (c.mm <= 0) return undefined;
  const by = (mm! - c.mm) / c.mm;
  return change('typed clear', (p) => ({
    at: [tenth(p.at[0] + (c.from[0] - c.at[0]) * by), tenth(p.at[1] + (c.from[1] - c.at[1]) * by)],
  }));
};
const tenth = (v: number) => Math.round(v * 10) / 10;
const setStanding = (mm: number | undefined) =>
  change('typed stand', () => ({ stand: standing.value!.of(mm!) }));
const setRest = (piece: string) => change('rest', () => ({ stand: { kind: 'on', piece } }));

function standAs(kind: string): void {
  const stands: Record<string, Piece['stand']> = {
    bed: { kind: 'bed', buryMm: 20 },
    floor: { kind: 'floor', pad: 5 },
    at: { kind: 'at', zMm: Math.round(surveyed.value?.bottomMm ?? 100) },
    on: { kind: 'on', piece: partner.value ?? others.value[0] ?? '' },
  };
  change('stand', () => ({ stand: stands[kind] }));
}

const method = computed((): Joint['method'] | 'gel-alone' | undefined =>
  joint.value?.method === 'gel-glue' && joint.value.accelerated === false ? 'gel-alone' : joint.value?.method,
);
function setMethod(m: Joint['method'] | 'gel-alone'): void {
  const alone = m === 'gel-alone';
  edit.joinBy(joint.value!.id, alone ? 'gel-glue' : m, alone ? false : undefined);
}
/** As it is turned now its best face looks to the front; the yard remembers it for the next commission. */
function setFace(): void {
  const faceDeg = props.piece.turnDeg;
  edit.piece(props.piece.id, 'face', (p) => ({ ...p, faceDeg }));
  void studio.note(props.piece.id, { faceDeg });
}
/** Where its grain runs as it lies, 0 from left to right. */
const grain = computed(() => (props.piece.grainDeg === undefined ? undefined : grainAsItLies(props.piece)));
function setGrain(deg: number | undefined): string | undefined {
  const grainDeg = deg === undefined ? undefined : grainUnturned(deg, props.piece.turnDeg);
  const wrong = change('typed grain', () => ({ grainDeg }));
  if (!wrong && grainDeg !== undefined) void studio.note(props.piece.id, { grainDeg });
  return wrong;
}
const setOrigin = (o: Origin, from?: string) => change('origin', () => ({ ...comesFrom(o, from), owned: undefined, fixed: undefined })); // prettier-ignore
const setState = (s: string) =>
  change('state', () =>
    s === 'fixed' ? { fixed: true, state: undefined } : { fixed: undefined, state: s as Piece['state'] },
  );

function glueTo(id: string | null): void {
  if (partner.value) edit.join(props.piece.id, partner.value);
  if (id) edit.join(props.piece.id, id);
}
</script>

<template>
  <section class="inspector" :aria-label="`Piece ${piece.id}`" data-test="inspector">
    <header>
      <b>{{ piece.id }}</b>
      <span v-if="also" class="quiet">and {{ also }} more</span>
      <span v-if="surveyed" class="quiet"
        >{{ f.mass(surveyed.massKg) }}, {{ f.volume(surveyed.volumeL, 2)
        }}<template v-if="stands && (stands.insideMm ?? 0) > 0"
          >, tips at {{ Math.round(stands.tipsAtDeg) }}°</template
        ></span
      >
      <button class="act" data-test="down" title="D" @click="$emit('down')">Let down</button>
      <button v-if="overlaps" class="act" data-test="apart" @click="$emit('apart')">
        Slide apart, {{ f.volume(surveyed!.overlapL, 2) }}
      </button>
      <button class="act" title="C" data-test="copy" @click="$emit('copy')">Copy</button>
      <button class="act" data-test="mirror" @click="$emit('mirror')">Mirror</button>
      <button class="act off" @click="edit.remove(piece.id)">Take off</button>
    </header>
    <p v-if="borne" class="quiet borne" data-test="borne">{{ borne }}</p>
    <div class="fields">
      <FigureField label="from left" kind="length" :value="piece.at[0]" :apply="setX" />
      <FigureField label="from front" kind="length" :value="piece.at[1]" :apply="setY" />
      <FigureField label="turned" kind="degrees" :value="piece.turnDeg" :apply="setTurn" />
      <FigureField
        v-if="standing"
        :label="standing.label"
        kind="length"
        :value="standing.value"
        :apply="setStanding"
      />
      <v-select
        v-else-if="piece.stand.kind === 'on'"
        label="resting on"
        :items="others"
        :model-value="piece.stand.piece"
        @update:model-value="setRest"
      />
      <FigureField
        label="leans right"
        kind="degrees"
        :value="leans.right"
        :apply="setLean('right')"
        data-test="lean-right"
      />
      <FigureField
        label="leans back"
        kind="degrees"
        :value="leans.back"
        :apply="setLean('back')"
        data-test="lean-back"
      />
      <v-select
        class="stands"
        label="stands"
        :items="STANDS"
        :model-value="piece.stand.kind"
        @update:model-value="standAs"
      />
      <v-select
        class="joined"
        label="joined to"
        :items="others"
        :model-value="partner"
        clearable
        @update:model-value="glueTo"
      />
      <v-select
        v-if="joint"
        class="by"
        label="by"
        :items="METHODS"
        :model-value="method"
        data-test="method"
        @update:model-value="(m: Joint['method'] | 'gel-alone') => setMethod(m)"
      />
      <button
        v-for="o in offers"
        :key="o.id"
        class="act offer"
        :data-offer="o.id"
        @click="edit.join(piece.id, o.id)"
      >
        Touches {{ o.id }}: join
      </button>
      <v-select
        v-if="swaps.length"
        label="swap for"
        :items="swaps"
        :model-value="null"
        data-test="swap"
        @update:model-value="(id: string | null) => swapFor(id)"
      />
      <FigureField
        v-if="kind === 'stone'"
        label="grain"
        kind="degrees"
        optional
        :value="grain"
        :apply="setGrain"
        data-test="grain"
      />
      <button class="act offer" data-test="best-face" @click="setFace">
        {{ piece.faceDeg === piece.turnDeg ? 'Best face in front' : 'This face is the best' }}
      </button>
      <SplitPiece v-if="ofYard" :piece="piece" :material="materials.find((m) => m.id === piece.material)" />
      <PocketFields :piece="piece.id" :option="option" :survey="survey" />
      <OriginField
        v-if="!isNow"
        class="origin"
        :origin="origin"
        :from="piece.from"
        parts
        @change="setOrigin"
      />
      <v-select
        class="state"
        label="state"
        :items="STATES"
        :model-value="state"
        data-test="state"
        @update:model-value="setState"
      />
      <PieceTimes v-if="!isNow" :piece="piece" :joint="joint" :option="option" />
      <FigureField
        v-for="c in around?.clear ?? []"
        :key="c.to"
        :label="CLEAR_WORDS[c.to] ?? `to ${c.to}`"
        kind="length"
        :value="Math.round(c.mm * 10) / 10"
        :apply="setClear(c)"
        :data-clear-field="c.to"
      />
    </div>
    <PieceActual v-if="!isNow" :option="option.id" :piece="piece" />
  </section>
</template>

<style scoped>
.inspector {
  width: 446px;
  flex: none;
  border-left: 2px solid var(--celadon);
  padding: 3px 12px 0;
  display: flex;
  flex-direction: column;
  overflow-y: auto;
}
header {
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 0 9px;
  line-height: 1.2;
  white-space: nowrap;
  font-size: 12.5px;
}
header b {
  font: 600 15px var(--text);
}
.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 0 12px;
  align-items: end;
}
.borne {
  font-size: 12px;
  line-height: 1.25;
  margin: 0;
}
.off {
  margin-left: auto;
  color: var(--ink-2);
  font-weight: 400;
  padding: 0;
}
.stands,
.joined,
.origin {
  grid-column: span 2;
}
.offer {
  text-align: left;
  white-space: normal;
  line-height: 1.2;
  padding: 4px 0;
}
@media (max-width: 900px) {
  .inspector {
    width: 340px;
  }
  .fields {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
</style>
