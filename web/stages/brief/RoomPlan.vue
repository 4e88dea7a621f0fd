<script setup lang="ts">
import { computed } from 'vue';
import type { Seat } from '../../../core/commission/schema';
import { USUAL_BASE_MM } from '../../../core/commission/usual';
import { ringPath } from '../../drawing/outline';
import { footprint } from '../../../core/vessel/footprint';
import { arrowStep } from '../../drawing/arrowStep';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import { useCommission } from '../../document/commissionStore';
import { freshId } from '../../../core/edits/ids';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import { useFigures } from '../../units/figures';
import WordsField from '../../document/WordsField.vue';
import { wording } from '../../words/wording';

/** A small plan of the room: the tank, the seats from which it is looked at, the window. */
const commission = useCommission();
const edit = useDocEdit();
const f = useFigures();
const vessel = computed(() => commission.document!.vessel);
const seats = computed(() => commission.document!.brief.seats ?? []);
const window_ = computed(() => commission.document!.brief.window);

const W = 420;
const H = 250;
/** Room that is drawn, mm: so far in front of the tank and behind it. */
const FRONT_MM = 4_200;
const BEHIND_MM = 900;
const k = computed(() => H / (FRONT_MM + BEHIND_MM + vessel.value.innerMm.width));
const X = (mm: number) => W / 2 + (mm - vessel.value.innerMm.length / 2) * k.value;
const Y = (mm: number) => (BEHIND_MM + vessel.value.innerMm.width - mm) * k.value;
const tank = computed(() => ringPath(footprint(vessel.value), X, Y));
const middle = computed(() => [X(vessel.value.innerMm.length / 2), Y(vessel.value.innerMm.width / 2)]);

const marks = computed(() =>
  seats.value.map((s) => {
    const away = Math.hypot(s.at[0] - vessel.value.innerMm.length / 2, s.at[1]);
    const x = Math.min(Math.max(X(s.at[0]), 12), W - 12);
    const y = Math.min(Math.max(Y(s.at[1]), 12), H - 12);
    const left = x > W * 0.62;
    return { s, x, y, left, says: `${s.name}, ${f.said(away / 1000, 'm', 1)}` };
  }),
);
const glass = computed(() => {
  const w = window_.value;
  if (!w) return undefined;
  const { length, width } = vessel.value.innerMm;
  const d = w.distanceMm;
  const at = {
    left: [X(-d), Y(width), X(-d), Y(-600)],
    right: [X(length + d), Y(width), X(length + d), Y(-600)],
    back: [X(0), Y(width + d), X(length), Y(width + d)],
    front: [X(0), Y(-d), X(length), Y(-d)],
  }[w.side];
  const within = (v: number, most: number) => Math.min(Math.max(v, 3), most - 3);
  return [within(at[0], W), within(at[1], H), within(at[2], W), within(at[3], H)];
});

const set = (id: string, part: Partial<Seat>) =>
  edit.brief('seats', seats.value.map((s) => (s.id === id ? { ...s, ...part } : s))); // prettier-ignore
function add(): void {
  const id = freshId('seat', seats.value);
  const away = -1_800 - 400 * (seats.value.length % 4);
  const at: [number, number] = [Math.round(vessel.value.innerMm.length / 2), away];
  edit.brief('seats', [...seats.value, { id, name: id.replace('-', ' '), at, eyeMm: 1_200 }]);
}
function remove(id: string): void {
  const left = seats.value.filter((s) => s.id !== id);
  edit.brief('seats', left.length > 0 ? left : undefined);
}
const tens = (mm: number) => Math.round(mm / 50) * 50;
const dragSeat = (seat: Seat) =>
  usePointerDrag<Seat>({
    start: () => {
      commission.beginStep();
      return seat;
    },
    move: (from, { dx, dy }) =>
      void set(from.id, { at: [tens(from.at[0] + dx / k.value), tens(from.at[1] - dy / k.value)] }),
    end: () => commission.endStep(),
  });
function seatKey(event: KeyboardEvent, s: Seat): void {
  const by = arrowStep(event, 100);
  if (!by) return;
  event.preventDefault();
  void set(s.id, { at: [s.at[0] + by[0], s.at[1] + by[1]] });
}
const SIDES = ['left', 'right', 'back', 'front'];
const setWindow = (part: object) =>
  edit.brief('window', { side: 'left', distanceMm: 2_000, sunHours: 0, ...window_.value, ...part });
</script>

<template>
  <div class="room">
    <svg :viewBox="`0 0 ${W} ${H}`" :width="W" :height="H" class="plan" data-test="room">
      <rect x="1" y="1" :width="W - 2" :height="H - 2" class="floor" />
      <path v-if="glass" :d="`M${glass[0]} ${glass[1]} L${glass[2]} ${glass[3]}`" class="window" />
      <path
        v-for="m in marks"
        :key="`l${m.s.id}`"
        :d="`M${m.x} ${m.y} L${middle[0]} ${middle[1]}`"
        class="sight"
      />
      <path :d="tank" class="tank" />
      <g
        v-for="(m, i) in marks"
        :key="m.s.id"
        :transform="`translate(${m.x} ${m.y})`"
        class="seat"
        tabindex="0"
        role="slider"
        :aria-label="`Seat ${m.says}`"
        :aria-valuenow="m.s.at[0]"
        :data-seat="m.s.id"
        @pointerdown="dragSeat(m.s)($event)"
        @keydown="seatKey($event, m.s)"
      >
        <rect x="-20" y="-20" width="40" height="40" fill="transparent" />
        <circle r="10" />
        <text y="4" text-anchor="middle" class="number">{{ i + 1 }}</text>
        <text :x="m.left ? -16 : 16" y="4" :text-anchor="m.left ? 'end' : 'start'">{{ m.says }}</text>
      </g>
      <text v-if="!marks.length" :x="W / 2" :y="H - 24" text-anchor="middle">no seat yet</text>
    </svg>
    <div class="fields">
      <div v-for="(s, i) in seats" :key="s.id" class="row">
        <WordsField :label="`Seat ${i + 1}`" :value="s.name" :apply="(name) => set(s.id, { name })" />
        <FigureField
          label="from the left"
          kind="length"
          :value="s.at[0]"
          :apply="(mm) => set(s.id, { at: [mm!, s.at[1]] })"
        />
        <FigureField
          label="in front"
          kind="length"
          :value="-s.at[1]"
          :apply="(mm) => set(s.id, { at: [s.at[0], -mm!] })"
          :data-test="`in-front-${i + 1}`"
        />
        <FigureField
          label="eyes above floor"
          kind="length"
          :value="s.eyeMm"
          :apply="(mm) => set(s.id, { eyeMm: mm! })"
        />
        <button class="act" @click="remove(s.id)">Take away</button>
      </div>
      <button class="act big" data-test="add-seat" @click="add">Add a seat</button>
      <span class="quiet">{{
        wording('roomPlan.heights', {
          sitting: f.length(1_200),
          standing: f.length(1_600),
          base: f.length(commission.document!.site?.baseHeightMm ?? USUAL_BASE_MM),
        })
      }}</span>
    </div>
    <slot />
    <div class="row">
      <v-select
        label="Window to the"
        clearable
        :items="SIDES"
        :model-value="window_?.side"
        @update:model-value="(side) => (side ? setWindow({ side }) : edit.brief('window', undefined))"
      />
      <template v-if="window_">
        <FigureField
          label="away"
          kind="length"
          :value="window_.distanceMm"
          :apply="(mm) => setWindow({ distanceMm: mm })"
        />
        <FigureField
          label="sun on the glass"
          kind="plain"
          unit="h a day"
          :value="window_.sunHours"
          :apply="(h) => setWindow({ sunHours: h })"
          data-test="sun"
        />
      </template>
    </div>
  </div>
</template>

<style scoped>
.plan {
  display: block;
  max-width: 100%;
  touch-action: pan-y;
}
.floor {
  fill: var(--paper);
  stroke: var(--clay-2);
}
.window {
  stroke: var(--water-line);
  stroke-width: 6;
}
.tank {
  fill: var(--water-2);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.sight {
  stroke: var(--clay);
  stroke-dasharray: 3 4;
}
.seat {
  cursor: move;
  outline: none;
  touch-action: none;
}
.seat circle {
  fill: var(--ink);
}
.seat:focus-visible circle {
  stroke: var(--celadon);
  stroke-width: 4;
}
text {
  font: 400 12px var(--text);
  fill: var(--ink);
}
.number {
  font-weight: 600;
  fill: var(--paper);
}
.row {
  display: grid;
  margin-top: 4px;
  grid-template-columns: 1.4fr 1fr 1fr 1fr auto;
  gap: 6px 14px;
  align-items: end;
}
.big {
  min-height: 44px;
  padding-right: 12px;
}
</style>
