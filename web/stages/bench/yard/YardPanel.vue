<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Option } from '../../../../core/commission/schema';
import { volumeMm3Of } from '../../../../core/hardscape/columns';
import { massKgOf } from '../../../../core/hardscape/mass';
import { sizeMmOf } from '../../../../core/hardscape/extent';
import { colourOf } from '../../../drawing/colour';
import { facetsOf } from '../../../drawing/facets';
import PieceDrawing from '../../../drawing/PieceDrawing.vue';
import { usePointerDrag } from '../../../drawing/usePointerDrag';
import { api, ApiProblem } from '../../../document/api';
import { clientPiece, type YardPiece } from '../../../../core/catalogue/studio';
import { yardNumber } from '../../../../core/yard/number';
import { useCommission } from '../../../document/commissionStore';
import { useFigures } from '../../../units/figures';
import { useStudio } from '../../../document/studioStore';
import { today } from '../../../units/days';
import StandInForm from './StandInForm.vue';
import YardForm from './YardForm.vue';
import { wording } from '../../../words/wording';
import { listKey } from '../../../design/listKeys';

/** The studio's own measured pieces: drag one on the plan, or press it. */
const props = defineProps<{ option: Option }>();
const emit = defineEmits<{
  take: [piece: YardPiece];
  dropPiece: [piece: YardPiece, x: number, y: number];
  letDown: [id: string];
}>();
const studio = useStudio();
const commission = useCommission();
const f = useFigures();

const MARK = 46;
/** What the client already has and wants to see again comes first. */
const owned = computed(() => commission.document?.brief.owned);
const clients = computed(() => (owned.value ?? []).map(clientPiece));
const own = computed(() => commission.document?.catalogue.materials);
const materialOfPiece = (id: string) =>
  studio.studio?.catalogue.materials.find((m) => m.id === id) ?? own.value?.find((m) => m.id === id);
const measured = computed(() =>
  [...clients.value, ...(studio.studio?.yard ?? [])].map((piece) => {
    const material = materialOfPiece(piece.material);
    const size = sizeMmOf(piece.shape);
    const [, top, , bottom] = facetsOf(piece.shape, 0, undefined, 'front').box;
    const k = Math.min(MARK / size[2], 76 / size[0]);
    return {
      piece,
      colour: colourOf(material),
      massKg: massKgOf(piece, volumeMm3Of(piece.shape), material),
      size: size.map((v) => f.fromMm(Math.round(v))).join('×'),
      k,
      lift: MARK / 2 + 4 - ((top + bottom) / 2) * k,
      kind: piece.client ? 'the client’s' : material?.kind === 'wood' ? material.name.toLowerCase() : '',
    };
  }),
);
const shelf = ref<HTMLElement>();
const shown = () => [...(shelf.value?.querySelectorAll<HTMLElement>('[data-yard]') ?? [])];
const adding = ref(false);
const standing = ref(false);
const taken = computed(() => new Set((studio.studio?.yard ?? []).map((p) => p.id)));
/** The first of the other commissions that have a piece. */
const elsewhere = computed(() => studio.elsewhere(commission.id));
const where = (id: string) => elsewhere.value[id]?.[0];
/** Reserved for another commission until its build day; from then on built into it. */
const stands = (id: string) => {
  const other = (studio.used[id] ?? []).find((c) => c.id !== commission.id);
  return other && `${other.buildDay < today() ? 'built into' : 'in'} ${other.title}`;
};
const wrong = ref('');
/** Given back, sold or broken: it is asked for twice, since the yard forgets it. */
const returning = ref<string>();
async function giveBack(id: string): Promise<void> {
  if (returning.value !== id) return void (returning.value = id);
  returning.value = undefined;
  await studio.drop(id).then(
    () => (wrong.value = ''),
    (error: unknown) =>
      (wrong.value =
        error instanceof ApiProblem && error.status === 409
          ? error.message
          : wording('yardPanel.notTakenOut', { id })),
  );
}
const used = computed(() => new Set(props.option.pieces.map(yardNumber)));

const drag = usePointerDrag<{ piece: YardPiece; far: boolean; x: number; y: number }>({
  start: (event) => {
    const id = (event.currentTarget as Element).getAttribute('data-yard');
    const found = measured.value.find((m) => m.piece.id === id);
    return found ? { piece: found.piece, far: false, x: 0, y: 0 } : undefined;
  },
  move: (from, { dx, dy, event }) => {
    from.far ||= Math.hypot(dx, dy) > 8;
    [from.x, from.y] = [event.clientX, event.clientY];
    last = from;
  },
  end: () => {
    if (last?.far) emit('dropPiece', last.piece, last.x, last.y);
    skipClick = last?.far ?? false;
    last = undefined;
  },
});
let last: { piece: YardPiece; far: boolean; x: number; y: number } | undefined;
let skipClick = false;

function pressed(piece: YardPiece): void {
  if (!skipClick) emit('take', piece);
  skipClick = false;
}
</script>

<template>
  <YardForm
    v-if="adding"
    :materials="studio.studio?.catalogue.materials ?? []"
    :taken="taken"
    @done="adding = false"
  />
  <StandInForm
    v-else-if="standing"
    :materials="studio.studio?.catalogue.materials ?? []"
    @done="standing = false"
    @set="$emit('letDown', $event)"
  />
  <ul v-else-if="measured.length" ref="shelf" class="yard" @keydown="listKey($event, shown())">
    <li class="more">
      <button class="act" data-test="into-yard" @click="adding = true">Add to the yard</button>
      <button class="act" data-test="stand-in" @click="standing = true">Not bought yet</button>
      <slot />
      <span v-if="wrong" class="late" role="alert">{{ wrong }}</span>
    </li>
    <li v-for="m in measured" :key="m.piece.id" :class="{ used: used.has(m.piece.id) }">
      <button
        class="plain"
        :data-yard="m.piece.id"
        :title="
          where(m.piece.id)
            ? `${m.piece.id} is ${stands(m.piece.id)}`
            : `Set ${m.piece.id} on the bench${m.piece.partOf ? `, a part of ${m.piece.partOf}` : ''}`
        "
        @pointerdown="drag"
        @click="pressed(m.piece)"
      >
        <img
          v-if="m.piece.photo"
          :src="api.yardPhotoUrl(m.piece.photo)"
          alt=""
          loading="lazy"
          draggable="false"
        />
        <svg v-else width="88" height="56" aria-hidden="true">
          <g :transform="`translate(44 ${m.lift}) scale(${m.k})`">
            <PieceDrawing :piece="{ shape: m.piece.shape, turnDeg: 0 }" view="front" :colour="m.colour" />
          </g>
        </svg>
        <b>{{ m.piece.id }}&ensp;{{ f.mass(m.massKg) }}</b>
        <span class="quiet">{{
          used.has(m.piece.id) ? 'on the bench' : (stands(m.piece.id) ?? m.size)
        }}</span>
      </button>
      <button
        v-if="!m.piece.client && !used.has(m.piece.id) && !where(m.piece.id)"
        class="act back"
        :data-return="m.piece.id"
        @click="giveBack(m.piece.id)"
      >
        {{ returning === m.piece.id ? 'Returned, yes' : 'Returned' }}
      </button>
    </li>
  </ul>
  <p v-else class="quiet empty">
    {{ wording('yardPanel.empty') }}
    <button class="act" data-test="into-yard" @click="adding = true">
      Add a piece by its sizes and mass
    </button>
  </p>
</template>

<style scoped>
.yard {
  display: flex;
  list-style: none;
  margin: 0;
  padding: 0;
  height: 100%;
}
li {
  border-left: 1px solid var(--rule);
  height: 100%;
}
.more {
  border: 0;
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  width: 118px;
  flex: none;
  padding-top: 8px;
}
li:not(.more) > button:first-child {
  width: 92px;
  min-height: 108px;
  display: flex;
  flex-direction: column;
  align-items: center;
  padding-top: 8px;
  cursor: grab;
  text-align: center;
  font-size: 12px;
  line-height: 1.35;
  touch-action: none;
}
li:not(.more) > button:first-child:hover {
  background: var(--celadon-wash);
}
img {
  width: 88px;
  height: 56px;
  object-fit: contain;
}
.used img,
.used svg {
  opacity: 0.45;
}
.used b {
  color: var(--ink-2);
  font-weight: 400;
}
.back {
  width: 100%;
  height: 24px;
  padding: 0;
  color: var(--ink-2);
  font-size: 11.5px;
  text-align: center;
}
.empty {
  padding: 20px;
}
@media (max-width: 700px) {
  .yard {
    flex-wrap: wrap;
    height: auto;
  }
  li {
    height: 112px;
  }
}
</style>
