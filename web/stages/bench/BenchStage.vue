<script setup lang="ts">
import { mdiArrowCollapse, mdiArrowExpand } from '@mdi/js';
import { whenever } from '@vueuse/core';
import { computed, ref, shallowRef, toRef, watch } from 'vue';
import { NOW } from '../../../core/commission/scapes';
import type { Piece } from '../../../core/commission/schema';
import type { YardPiece } from '../../../core/catalogue/studio';
import { devicesOf } from '../../../core/gear/gear';
import { useCommands } from '../../design/commands';
import { useBedEdit } from '../../document/bedEdit';
import { useCommission } from '../../document/commissionStore';
import { useScapeEdit } from '../../document/scapeEdit';
import { useStays } from '../../document/stays';
import { sandAtHand, useMaterials } from '../../document/materials';
import type { Drawing } from '../../drawing/drawing';
import { NO_ZOOM, oneByOne, useSheet, VIEWS, type View, type Zoom } from '../../drawing/sheet';
import { useSteadySize } from '../../drawing/steadySize';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import { useFrame } from '../../frame/planKey';
import {
  selectedBeside,
  selectedLayer,
  selectedPiece,
  selectedPieces,
  selectPiece,
} from '../../frame/selection';
import { useFigures } from '../../units/figures';
import { bedTool, settledBed } from './bedTool';
import BenchTray from './BenchTray.vue';
import { chosenLayer } from './chosenLayer';
import PieceInspector from './PieceInspector.vue';
import { pieceKey } from './pieceKeys';
import SeatPanel from './SeatPanel.vue';
import SheetCut from './SheetCut.vue';
import SheetFront from './SheetFront.vue';
import SheetPlan from './SheetPlan.vue';
import { useAsked } from './useAsked';
import { useBefore } from './useBefore';
import { usePieceFocus } from './usePieceFocus';
import { useYardFinder } from './yard/yardFinder';
import { useLetDown } from './useLetDown';
import { usePieceDrag } from './usePieceDrag';
import { useCut } from './useCut';
import { useTray } from './useTray';
import UnderlaySheet from './UnderlaySheet.vue';
import { useUnderlays } from './useUnderlays';
import ViewBar from './ViewBar.vue';
import { wording } from '../../words/wording';

/** The projection sheet: front, plan, section and seat, what is taken hold of on them, and the tray below. */
const commission = useCommission();
const { plan, field, scapeWork } = useFrame();
const edit = useScapeEdit();
const bedEdit = useBedEdit();
const atHand = useMaterials();
const f = useFigures();

const area = ref<HTMLElement>();
const { width, height } = useSteadySize(area);
const vessel = computed(() => commission.document!.vessel);
const option = computed(() => commission.option!);
const materials = computed(() => commission.document!.catalogue.materials);

/** On a telephone there is room for two views that are worth looking at; the others are a touch away. */
const shown = ref<readonly View[]>(window.innerWidth < 560 ? ['front', 'plan'] : VIEWS);
const isOneByOne = computed(() => oneByOne(vessel.value, width.value, height.value));
whenever(isOneByOne, () => (shown.value = ['front']), { immediate: true, once: true });
const zoom = ref<Zoom>(NO_ZOOM);
const overlay = ref<'depth' | 'slope'>('depth');
const [thirds, measuring, underlaying] = [ref(true), ref(false), ref(false)];
const underlays = useUnderlays(
  () => commission.id,
  option,
  (view) => {
    const { length, width: deep, height: high } = vessel.value.innerMm;
    return [length, view === 'front' ? high : deep];
  },
);
const { cut, cutMm } = useCut(vessel, option);
const sheet = useSheet(vessel, { width, height }, shown, zoom, cutMm);
watch(shown, () => (zoom.value = NO_ZOOM));
/** One view by itself, or all of them again. */
const enlarge = (view: View) => (shown.value = shown.value.length === 1 ? VIEWS : [view]);
const NAMES: Record<View, string> = { front: 'From the front', plan: 'From above', section: 'Cut at C', seat: 'From the seat' }; // prettier-ignore

const tray = useTray();
const said = ref('');

const ready = computed(() => plan.value && field.value && plan.value.survey.optionId === option.value.id);
const stays = useStays(() => option.value);
/** Devices that have a place inside the vessel. */
const gear = computed(() =>
  devicesOf(commission.document!).flatMap((d) => (d.body ? [{ id: d.id, name: d.name, ...d.body }] : [])),
);
const drawing = computed((): Drawing => ({
  vessel: vessel.value,
  option: option.value,
  materials: materials.value,
  field: field.value!,
  survey: plan.value!.survey,
  stays: stays.value,
  gear: gear.value,
  k: sheet.value.k,
})); // prettier-ignore
const { before, ghost, isGhostShown, drained } = useBefore(() => commission.document!, option, plan);

const piece = computed(() => option.value.pieces.find((p) => p.id === selectedPiece.value));
const around = useAsked(plan, selectedPiece, scapeWork.around);
const layer = computed(() => chosenLayer(option.value.bed, selectedLayer.value));
watch(
  () => commission.optionId,
  () => selectPiece(undefined),
);
watch(
  () => option.value.bed,
  () => (settledBed.value = undefined),
);

const { drag, wheel } = usePieceDrag(option, sheet, announce);

const focus = usePieceFocus(area);
function onKey(event: KeyboardEvent, p: Piece, view: 'front' | 'above'): void {
  const { key, ctrlKey, metaKey, altKey } = event;
  if (key === 'Escape') {
    selectPiece(undefined);
    focus.back();
  } else if (key.toLowerCase() === 'x' && !ctrlKey && !metaKey && !altKey) {
    event.preventDefault();
    focus.values();
  } else if (!ctrlKey && !metaKey && key.toLowerCase() === 'd') void letDown(p.id);
  else if (!ctrlKey && !metaKey && key.toLowerCase() === 'c') copy();
  else if (pieceKey(event, p, view, edit, selectedPieces.value)) announce();
}

/** Says where the selected piece is and what is wrong, for those who do not see the sheet. */
function announce(): void {
  const p = piece.value;
  if (!p) return;
  const findings = plan.value?.findings.filter((n) => n.at.piece === p.id).length ?? 0;
  said.value = wording(findings ? 'benchStage.pieceFound' : 'benchStage.pieceAt', {
    id: p.id,
    left: f.length(p.at[0]),
    front: f.length(p.at[1]),
    findings,
  });
}

const letDown = useLetDown((id) => around.settled().then(() => scapeWork.letDown(id)));
/** What has just been set. */
const comesDown = (id: string) => letDown(id, commission.stepNow());
async function slideApart(id: string): Promise<void> {
  const at = await scapeWork.apart(id);
  if (at) edit.place(id, ...at);
}
function copy(): void {
  const [first, ...rest] = edit.copy(selectedPieces.value);
  selectedPiece.value = first;
  selectedBeside.value = rest;
}
const mirror = () => edit.mirrorAll(selectedPieces.value);

/** The figure of a dimension line is pressed: it is typed among the values of the piece. */
function setClear({ to }: { to: string }): void {
  document.querySelector<HTMLInputElement>(`[data-clear-field="${CSS.escape(to)}"] input`)?.select();
}

function take(source: YardPiece, at?: [number, number]): void {
  const id = edit.add(source, at);
  selectPiece(id);
  focus.set(id);
  void comesDown(id);
}
/** A piece of the yard dropped on the plan lies where it was dropped. */
function dropped(source: YardPiece, clientX: number, clientY: number): void {
  const { k, plan: p } = sheet.value;
  if (!p) return;
  const box = area.value!.getBoundingClientRect();
  const x = (clientX - box.left - p.x) / k;
  const y = (p.y + p.h - (clientY - box.top)) / k;
  const { length, width: deep } = vessel.value.innerMm;
  if (x >= 0 && y >= 0 && x <= length && y <= deep) take(source, [Math.round(x), Math.round(y)]);
}

/** A path is filled with a sand of the document or of the studio, or else with a gravel. */
function layPath(line: [number, number][]): void {
  const sand = sandAtHand(atHand.value);
  if (sand) selectedLayer.value = bedEdit.addPath(line, sand.id);
  bedTool.value = 'hand';
}

/** The paper is drawn aside while one view is looked at up close. */
const pan = usePointerDrag<Zoom>({
  start: () => {
    selectPiece(undefined);
    return zoom.value.times > 1 ? zoom.value : undefined;
  },
  move: (from, { dx, dy }) => (zoom.value = { ...from, dx: from.dx + dx, dy: from.dy + dy }),
});

useYardFinder(option, take);
/** Back to the piece once its figure has been typed. */
function typedFor(id: string, event: KeyboardEvent): void {
  if ((event.target as Element).matches('input[inputmode]')) focus.toPiece(id);
}

const copied = shallowRef(copy);
useCommands([
  { id: 'bench copy', title: 'Bench: copy the selected pieces', keys: 'C', run: () => copied.value() },
  { id: 'bench mirror', title: 'Bench: mirror the selected pieces across the middle', run: mirror },
  { id: 'bench all', title: 'Bench: all four views', run: () => (shown.value = VIEWS) },
  ...VIEWS.map((v) => ({
    id: `bench ${v}`,
    title: `Bench: ${NAMES[v]} alone`,
    run: () => (shown.value = [v]),
  })),
]);
const doc = toRef(commission, 'document');
</script>

<template>
  <div class="bench">
    <h1 class="sr">Bench</h1>
    <div ref="area" class="area" @pointerdown="pan">
      <p v-if="!ready" class="wait quiet">{{ wording('benchStage.measuring') }}</p>
      <template v-else>
        <svg
          v-if="shown.some((v) => v !== 'seat')"
          :width="sheet.width"
          :height="sheet.height"
          class="sheet"
          data-test="sheet"
          :data-scale="sheet.k"
        >
          <SheetFront
            v-if="sheet.front"
            :drawing="drawing"
            :box="sheet.front"
            :bed-handles="tray === 'bed'"
            :thirds="thirds"
            :measuring="measuring"
            :drained="drained"
            :ghost="ghost"
            :underlay="underlays.front.value"
            @grab="drag"
            @key="(e, p) => onKey(e, p, 'front')"
            @wheel="(e, p) => wheel(e, p, 'front')"
            @choose="selectedPieces.includes($event) || selectPiece($event)"
          />
          <SheetCut
            v-if="sheet.section"
            :drawing="drawing"
            :box="sheet.section"
            :cut="cut"
            :bed-handles="tray === 'bed'"
            :measuring="measuring"
          />
          <SheetPlan
            v-if="sheet.plan"
            v-model:cut="cut"
            :drawing="drawing"
            :box="sheet.plan"
            :findings="plan!.findings"
            :ghost="ghost"
            :layer="layer"
            :around="around.found.value"
            :overlay="overlay"
            :bed-handles="tray === 'bed'"
            :measuring="measuring"
            :cuts="sheet.section !== undefined"
            :underlay="underlays.above.value"
            @grab="drag"
            @key="(e, p) => onKey(e, p, 'above')"
            @wheel="(e, p) => wheel(e, p, 'above')"
            @laid="layPath"
            @clear="setClear"
          />
        </svg>
        <div
          v-if="sheet.seat"
          class="seat"
          :style="{ left: `${sheet.seat.x}px`, top: `${sheet.seat.y - 24}px`, width: `${sheet.seat.w}px` }"
        >
          <SeatPanel v-bind="drawing" :width="sheet.seat.w" :height="sheet.seat.h" />
        </div>
        <template v-for="v in VIEWS" :key="v">
          <button
            v-if="sheet[v] && width > 560"
            class="plain large"
            :style="{
              left: `${Math.min(sheet[v].x + sheet[v].w - 22, width - 30)}px`,
              top: `${Math.max(2, sheet[v].y - (v === 'plan' ? 42 : 32))}px`,
            }"
            :aria-label="shown.length === 1 ? 'All views again' : `${NAMES[v]} alone, large`"
            :data-large="v"
            @pointerdown.stop
            @click="enlarge(v)"
          >
            <svg width="15" height="15" viewBox="0 0 24 24" aria-hidden="true">
              <path :d="shown.length === 1 ? mdiArrowCollapse : mdiArrowExpand" />
            </svg>
          </button>
        </template>
      </template>
      <p class="sr" aria-live="polite">{{ said }}</p>
    </div>
    <ViewBar
      v-model:shown="shown"
      v-model:overlay="overlay"
      v-model:thirds="thirds"
      v-model:measuring="measuring"
      v-model:ghost="isGhostShown"
      :has-now="commission.document!.now !== undefined && option.id !== NOW"
      :one-by-one="isOneByOne"
      :zoom="zoom"
      :underlaid="(option.underlays?.length ?? 0) > 0"
      @zoom="zoom = $event"
      @underlay="underlaying = true"
    />
    <UnderlaySheet v-model:open="underlaying" :option="option" />
    <BenchTray
      v-if="doc"
      v-model:tray="tray"
      :option="option"
      :materials="materials"
      :survey="plan?.survey"
      :before="before"
      @take="take"
      @let-down="comesDown"
      @drop-piece="dropped"
      @key="(e, p) => onKey(e, p, 'above')"
    >
      <PieceInspector
        v-if="piece && ready && bedTool === 'hand'"
        :piece="piece"
        :option="option"
        :materials="materials"
        :survey="plan!.survey"
        :around="around.found.value"
        :also="selectedPieces.length - 1"
        @down="letDown(piece.id)"
        @apart="slideApart(piece.id)"
        @copy="copy"
        @mirror="mirror"
        @keyup.enter="typedFor(piece.id, $event)"
      />
    </BenchTray>
  </div>
</template>

<style scoped>
.bench {
  position: relative;
  display: flex;
  flex-direction: column;
  height: 100%;
}
.area {
  flex: 1;
  min-height: 0;
  position: relative;
  overflow: hidden;
  touch-action: none;
  user-select: none;
}
.wait {
  padding: 40px;
}
.sheet {
  position: absolute;
  inset: 0;
  user-select: none;
  overflow: visible;
}
.seat {
  position: absolute;
}
.large {
  position: absolute;
  width: 26px;
  height: 26px;
  display: grid;
  place-items: center;
}
.large path {
  fill: var(--ink-2);
}
.large:hover path {
  fill: var(--celadon);
}
</style>
