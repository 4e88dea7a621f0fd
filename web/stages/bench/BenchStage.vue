<script setup lang="ts">
import { computed, ref, toRef, watch } from 'vue';
import type { Piece } from '../../../core/commission/schema';
import FrontView from '../../drawing/FrontView.vue';
import PlanView from '../../drawing/PlanView.vue';
import SectionView from '../../drawing/SectionView.vue';
import { marks, useSheet } from '../../drawing/sheet';
import { devicesOf } from '../../../core/gear/gear';
import { useStays } from '../../document/stays';
import { useBedEdit } from '../../document/bedEdit';
import { useStudio } from '../../document/studioStore';
import { useScapeEdit } from '../../document/scapeEdit';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import type { YardPiece } from '../../../core/catalogue/studio';
import { useCommission } from '../../document/commissionStore';
import { useCommands } from '../../design/commands';
import { useFigures } from '../../units/figures';
import { useFrame } from '../../frame/planKey';
import { selectedLayer, selectedPiece } from '../../frame/selection';
import BedHandles from './BedHandles.vue';
import { bedTool, brush, settledBed } from './bedTool';
import BrushOverlay from './BrushOverlay.vue';
import BenchTray from './BenchTray.vue';
import CutLine from './CutLine.vue';
import FindingMarks from './FindingMarks.vue';
import PieceInspector from './PieceInspector.vue';
import SeatPanel from './SeatPanel.vue';
import { chosenLayer } from './chosenLayer';
import PathOverlay from './PathOverlay.vue';
import { pieceKey } from './pieceKeys';
import SettledMarks from './SettledMarks.vue';
import { useSteadySize } from '../../drawing/steadySize';

const commission = useCommission();
const { plan, field } = useFrame();
const edit = useScapeEdit();
const bedEdit = useBedEdit();
const studio = useStudio();
const f = useFigures();

const area = ref<HTMLElement>();
const { width, height } = useSteadySize(area);
const vessel = computed(() => commission.document!.vessel);
const option = computed(() => commission.option!);
/** Devices that have a place inside the vessel. */
const gear = computed(() =>
  devicesOf(commission.document!).flatMap((d) => (d.body ? [{ id: d.id, name: d.name, ...d.body }] : [])),
);
const stays = useStays(() => option.value);
/** Height to which a running tank is drained for the work, where it is. */
const drained = computed(() => {
  const fill = plan.value?.visit.water.fill;
  return fill && fill.drainedL > 0.5 && fill.drainToMm > 0
    ? { mm: fill.drainToMm, outL: fill.drainedL }
    : undefined;
});
const materials = computed(() => commission.document!.catalogue.materials);
const sheet = useSheet(vessel, { width, height });
/** The section is first laid through a hill, where there is most to see. */
const cutMm = ref(
  option.value.bed.flatMap((l) => l.mounds ?? [])[0]?.at[0] ?? vessel.value.innerMm.length / 3,
);
const tray = ref<'yard' | 'bed' | 'pieces' | 'story'>('yard');
const said = ref('');

const ready = computed(() => plan.value && field.value && plan.value.survey.optionId === option.value.id);
const piece = computed(() => option.value.pieces.find((p) => p.id === selectedPiece.value));
/** Brushes and paths are for the bed that is looked at: elsewhere the hand takes hold of pieces. */
const layer = computed(() => chosenLayer(option.value.bed, selectedLayer.value));
watch(tray, (now) => now !== 'bed' && (bedTool.value = 'hand'));
watch(
  () => option.value.bed,
  () => (settledBed.value = undefined),
);
/** A path is filled with a sand of the document, of the studio, or else with what lies there. */
function layPath(line: [number, number][]): void {
  const all = [...materials.value, ...(studio.studio?.catalogue.materials ?? [])];
  const sand = all.find((m) => m.kind === 'sand') ?? all.find((m) => m.kind === 'gravel');
  if (sand) selectedLayer.value = bedEdit.addPath(line, sand.id);
  bedTool.value = 'hand';
}
const axis = (mm: number) => String(f.fromMm(mm));

watch(
  () => commission.optionId,
  () => (selectedPiece.value = undefined),
);
watch(selectedLayer, (id) => id && (tray.value = 'bed'), { immediate: true });

/** In the plan a piece follows the pointer over the floor; in the front view sideways and up or down. */
const drag = usePointerDrag<{ piece: Piece; view: 'front' | 'above'; lifted: number }>({
  start: (event) => {
    const target = (event.currentTarget as Element).closest('[data-piece],[data-plan-piece]');
    const id = target?.getAttribute('data-piece') ?? target?.getAttribute('data-plan-piece');
    const found = option.value.pieces.find((p) => p.id === id);
    if (!found) return undefined;
    selectedPiece.value = found.id;
    commission.beginStep();
    return { piece: found, view: target!.hasAttribute('data-piece') ? 'front' : 'above', lifted: 0 };
  },
  move: (from, { dx, dy }) => {
    const { k } = sheet.value;
    const [x, y] = from.piece.at;
    if (from.view === 'above') return edit.place(from.piece.id, x + dx / k, y - dy / k);
    edit.place(from.piece.id, x + dx / k, y);
    const up = Math.round(-dy / k);
    // A drag that is mostly sideways does not bury.
    if (Math.abs(dy) < 6 && from.lifted === 0) return;
    edit.lift(from.piece.id, up - from.lifted);
    from.lifted = up;
  },
  end: () => {
    commission.endStep();
    announce();
  },
});

function onKey(event: KeyboardEvent, p: Piece, view: 'front' | 'above'): void {
  if (pieceKey(event, p, view, edit)) announce();
  else if (event.key === 'Escape') selectedPiece.value = undefined;
}

/** Says where the selected piece is and what is wrong, for those who do not see the sheet. */
function announce(): void {
  const p = piece.value;
  if (!p) return;
  const findings = plan.value?.findings.filter((n) => n.at.piece === p.id).length ?? 0;
  said.value = `${p.id} at ${f.length(p.at[0])} from the left, ${f.length(p.at[1])} from the front${findings ? `, ${findings} findings` : ''}`;
}

function take(source: YardPiece, at?: [number, number]): void {
  selectedPiece.value = edit.add(source, at);
}
/** A piece of the yard dropped on the plan lies where it was dropped. */
function dropped(source: YardPiece, clientX: number, clientY: number): void {
  const box = area.value!.getBoundingClientRect();
  const { k, plan: p } = sheet.value;
  const x = (clientX - box.left - p.x) / k;
  const y = (p.y + p.h - (clientY - box.top)) / k;
  const { length, width: deep } = vessel.value.innerMm;
  if (x >= 0 && y >= 0 && x <= length && y <= deep) take(source, [Math.round(x), Math.round(y)]);
}

useCommands([
  { id: 'bench yard', title: 'Bench: the yard', run: () => (tray.value = 'yard') },
  { id: 'bench bed', title: 'Bench: the bed and its hills', run: () => (tray.value = 'bed') },
  { id: 'bench pieces', title: 'Bench: list of pieces', run: () => (tray.value = 'pieces') },
]);
const doc = toRef(commission, 'document');
</script>

<template>
  <div class="bench">
    <div ref="area" class="area" @pointerdown="selectedPiece = undefined">
      <p v-if="!ready" class="wait quiet">Measuring the bed…</p>
      <svg
        v-else
        :width="sheet.width"
        :height="sheet.height"
        class="sheet"
        data-test="sheet"
        :data-scale="sheet.k"
      >
        <g :transform="`translate(${sheet.front.x} ${sheet.front.y})`">
          <text class="caption" y="-18">From the front</text>
          <g v-if="stays.size" transform="translate(118 -22)" class="key">
            <path d="M0 0 h16" />
            <text x="22" y="4">in the tank now</text>
          </g>
          <g class="axis">
            <g
              v-for="m in marks(vessel.innerMm.height, sheet.k)"
              :key="m"
              :transform="`translate(0 ${sheet.front.h - m * sheet.k})`"
            >
              <path d="M-12 0 h8" />
              <text x="-16" y="4" text-anchor="end">{{ axis(m) }}</text>
            </g>
          </g>
          <FrontView
            :stays="stays"
            :gear="gear"
            :vessel="vessel"
            :option="option"
            :materials="materials"
            :field="field!"
            :survey="plan!.survey"
            :k="sheet.k"
            :selected="selectedPiece"
            interactive
            data-test="front"
            @grab="drag"
            @key="(e: KeyboardEvent, p: Piece) => onKey(e, p, 'front')"
            @choose="selectedPiece = $event"
          />
          <text
            :x="sheet.front.w - 7"
            :y="sheet.front.h - vessel.waterLineMm * sheet.k + 14"
            text-anchor="end"
            class="water"
          >
            water {{ f.length(vessel.waterLineMm) }}
          </text>
          <g
            v-if="drained"
            class="drained"
            :transform="`translate(0 ${sheet.front.h - drained.mm * sheet.k})`"
          >
            <path :d="`M0 0 H ${sheet.front.w}`" />
            <text :x="sheet.front.w - 7" y="-5" text-anchor="end">
              drained to {{ f.length(drained.mm) }}, {{ f.volume(drained.outL, 0) }} out
            </text>
          </g>
          <BedHandles view="front" :option="option" :vessel="vessel" :k="sheet.k" :active="tray === 'bed'" />
          <path :d="`M0 -4 V ${sheet.front.h} H ${sheet.front.w} V -4`" class="glass" />
          <g v-for="n in [1, 2]" :key="n" class="third">
            <path :d="`M${(sheet.front.w * n) / 3} -7 v14`" />
            <path
              v-for="m in [1, 2]"
              :key="m"
              :d="`M${(sheet.front.w * n) / 3 - 4} ${(sheet.front.h * m) / 3} h8 m-4 -4 v8`"
            />
          </g>
        </g>
        <g :transform="`translate(${sheet.section.x} ${sheet.section.y})`">
          <text class="caption" y="-18">Cut at C</text>
          <text x="66" y="-18" class="note">
            {{ f.length(cutMm) }}{{ sheet.section.w < 200 ? '' : ' from the left' }}
          </text>
          <SectionView
            :vessel="vessel"
            :option="option"
            :materials="materials"
            :field="field!"
            :survey="plan!.survey"
            :k="sheet.k"
            :cut-mm="cutMm"
          />
          <BedHandles
            view="section"
            :option="option"
            :vessel="vessel"
            :k="sheet.k"
            :active="tray === 'bed'"
          />
          <text class="note" y="14" :dy="sheet.section.h">front</text>
          <text class="note" text-anchor="end" :x="sheet.section.w" y="14" :dy="sheet.section.h">back</text>
        </g>
        <g :transform="`translate(${sheet.plan.x} ${sheet.plan.y})`">
          <text class="caption" y="-26">From above</text>
          <text x="84" y="-26" class="note">depth of bed in {{ f.lengthUnit.value }}</text>
          <PlanView
            :stays="stays"
            :gear="gear"
            :vessel="vessel"
            :option="option"
            :materials="materials"
            :field="field!"
            :survey="plan!.survey"
            :k="sheet.k"
            :selected="selectedPiece"
            interactive
            data-test="plan"
            @grab="drag"
            @key="(e: KeyboardEvent, p: Piece) => onKey(e, p, 'above')"
            @turn="
              (e: WheelEvent, p: Piece) => edit.turn(p.id, (e.deltaY > 0 ? 1 : -1) * (e.shiftKey ? 1 : 5))
            "
          />
          <BedHandles view="plan" :option="option" :vessel="vessel" :k="sheet.k" :active="tray === 'bed'" />
          <SettledMarks v-if="settledBed" :settled="settledBed" :vessel="vessel" :k="sheet.k" />
          <BrushOverlay v-if="brush && layer" :key="layer.id" :layer="layer" :vessel="vessel" :k="sheet.k" />
          <PathOverlay
            v-else-if="bedTool === 'path'"
            :vessel="vessel"
            :k="sheet.k"
            @laid="layPath"
            @given="bedTool = 'hand'"
          />
          <FindingMarks :findings="plan!.findings" :option="option" :vessel="vessel" :k="sheet.k" />
          <g class="axis">
            <g
              v-for="m in marks(vessel.innerMm.length, sheet.k, 30)"
              :key="m"
              :transform="`translate(${m * sheet.k} ${sheet.plan.h})`"
            >
              <path d="M0 4 v6" />
              <text y="24" text-anchor="middle">{{ axis(m) }}</text>
            </g>
          </g>
          <CutLine v-model="cutMm" :length-mm="vessel.innerMm.length" :high="sheet.plan.h" :k="sheet.k" />
        </g>
      </svg>
      <div
        v-if="ready"
        class="seat"
        :style="{ left: `${sheet.seat.x}px`, top: `${sheet.seat.y - 42}px`, width: `${sheet.seat.w}px` }"
      >
        <SeatPanel
          :vessel="vessel"
          :option="option"
          :materials="materials"
          :field="field!"
          :survey="plan!.survey"
          :size="sheet.seat.h"
        />
      </div>
      <p class="sr" aria-live="polite">{{ said }}</p>
    </div>
    <BenchTray
      v-if="doc"
      v-model:tray="tray"
      :option="option"
      :materials="materials"
      :survey="plan?.survey"
      @take="take"
      @drop-piece="dropped"
    >
      <PieceInspector
        v-if="piece && ready"
        :piece="piece"
        :option="option"
        :materials="materials"
        :survey="plan!.survey"
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
.caption {
  font: italic 15px var(--title);
  fill: var(--ink);
  margin: 0;
}
.note {
  font: 400 12px var(--text);
  fill: var(--ink-2);
  color: var(--ink-2);
}
.axis text {
  font: 400 11.5px var(--text);
  fill: var(--ink-2);
}
.axis path {
  stroke: var(--ink-3);
  fill: none;
}
.water {
  font: 500 11.5px var(--text);
  fill: #3d6a79;
  pointer-events: none;
}
.glass {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  pointer-events: none;
}
.third {
  stroke: var(--celadon);
  opacity: 0.75;
  fill: none;
  pointer-events: none;
}
.drained {
  pointer-events: none;
}
.drained path {
  stroke: var(--water-line);
  stroke-dasharray: 7 4;
}
.drained text {
  font: 500 11.5px var(--text);
  fill: #3d6a79;
  paint-order: stroke;
  stroke: var(--water);
  stroke-width: 4px;
}
.seat {
  position: absolute;
}
.seat .caption {
  height: 42px;
  line-height: 22px;
}
.key path {
  stroke: var(--water-line);
  stroke-width: 6;
}
.key text {
  font-size: 12px;
  fill: var(--ink-2);
}
</style>
