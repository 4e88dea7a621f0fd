<script setup lang="ts">
import { computed } from 'vue';
import type { Layer, Piece } from '../../../core/commission/schema';
import { displayOutline } from '../../../core/vessel/display';
import type { Cut } from '../../../core/view/cut';
import type { Finding } from '../../../core/words/finding';
import type { Drawing } from '../../drawing/drawing';
import GhostView, { type Ghost } from '../../drawing/GhostView.vue';
import PlanView from '../../drawing/PlanView.vue';
import { marks, type Box } from '../../drawing/sheet';
import { selectedPiece, selectedPieces } from '../../frame/selection';
import { useFigures } from '../../units/figures';
import type { Around } from '../../workers/planWorker';
import BedHandles from './BedHandles.vue';
import { bedTool, brush, settledBed } from './bedTool';
import BrushOverlay from './BrushOverlay.vue';
import ClearanceLines from './ClearanceLines.vue';
import CutLine from './CutLine.vue';
import GearHandles from './GearHandles.vue';
import FindingMarks from './FindingMarks.vue';
import { withKeptFree, withoutKeptFree } from '../../../core/edits/keptFree';
import { useCommission } from '../../document/commissionStore';
import KeptFree from './KeptFree.vue';
import MeasureOverlay from './MeasureOverlay.vue';
import type { Underlaid } from './useUnderlays';
import PathOverlay from './PathOverlay.vue';
import SettledMarks from './SettledMarks.vue';
import TurnHandles from './TurnHandles.vue';
import { wording } from '../../words/wording';

/** The plan: what stands where, with brushes, the path that is drawn, clear distances, findings and the line of the cut. */
const props = defineProps<{
  drawing: Drawing;
  box: Box;
  findings: Finding[];
  layer?: Layer;
  around?: Around;
  overlay: 'depth' | 'slope';
  bedHandles: boolean;
  measuring: boolean;
  /** The tank as it is now, in outline. */
  ghost?: Ghost;
  /** A photograph of the mock-up, squared up. */
  underlay?: Underlaid;
  cuts: boolean;
}>();
const cut = defineModel<Cut>('cut', { required: true });
defineEmits<{
  grab: [event: PointerEvent];
  key: [event: KeyboardEvent, piece: Piece];
  wheel: [event: WheelEvent, piece: Piece];
  laid: [line: [number, number][]];
  clear: [clear: Around['clear'][number]];
}>();
const f = useFigures();
const k = computed(() => props.drawing.k);
const vessel = computed(() => props.drawing.vessel);
const display = computed(() => displayOutline(vessel.value));
const commission = useCommission();
const keepFree = (from: [number, number], to: [number, number]) =>
  commission.editOption('keep free', (o) => withKeptFree(o, from, to));
const giveUp = (id: string) => commission.editOption(`give up ${id}`, (o) => withoutKeptFree(o, id));
const piece = computed(() => props.drawing.option.pieces.find((p) => p.id === selectedPiece.value));
</script>

<template>
  <g :transform="`translate(${box.x} ${box.y})`">
    <text class="caption" y="-26">From above</text>
    <text x="84" y="-26" class="note">{{
      overlay === 'slope'
        ? 'slope of the bed in degrees'
        : wording('sheetPlan.depth', { unit: f.lengthUnit.value })
    }}</text>
    <PlanView
      v-bind="drawing"
      :overlay="overlay"
      :selected="selectedPiece"
      :also="selectedPieces"
      interactive
      data-test="plan"
      @grab="(e: PointerEvent) => $emit('grab', e)"
      @key="(e: KeyboardEvent, p: Piece) => $emit('key', e, p)"
      @turn="(e: WheelEvent, p: Piece) => $emit('wheel', e, p)"
    >
      <image
        v-if="underlay"
        :href="underlay.url"
        :width="box.w"
        :height="box.h"
        :opacity="underlay.opacity"
        preserveAspectRatio="none"
        data-test="underlay-above"
      />
    </PlanView>
    <GhostView
      v-if="ghost"
      :ghost="ghost"
      view="above"
      :length-mm="vessel.innerMm.length"
      :up-mm="vessel.innerMm.width"
      :k="k"
    />
    <GearHandles
      v-if="drawing.gear?.length && bedTool === 'hand' && !measuring"
      :gear="drawing.gear"
      :vessel="vessel"
      view="above"
      :k="k"
    />
    <SettledMarks v-if="settledBed" :settled="settledBed" :vessel="vessel" :k="k" />
    <BedHandles
      v-if="bedTool === 'hand'"
      view="plan"
      :option="drawing.option"
      :vessel="vessel"
      :k="k"
      :active="bedHandles"
    />
    <ClearanceLines
      v-if="around && piece && bedTool === 'hand'"
      :around="around"
      :vessel="vessel"
      :k="k"
      @set="$emit('clear', $event)"
    />
    <FindingMarks :findings="findings" :option="drawing.option" :vessel="vessel" :k="k" />
    <BrushOverlay v-if="brush && layer" :key="layer.id" :layer="layer" :vessel="vessel" :k="k" />
    <PathOverlay
      v-else-if="bedTool === 'path'"
      :vessel="vessel"
      :k="k"
      @laid="$emit('laid', $event)"
      @given="bedTool = 'hand'"
    />
    <TurnHandles
      v-if="piece && bedTool === 'hand' && !measuring"
      :piece="piece"
      :ids="selectedPieces"
      view="above"
      :x="piece.at[0] * k"
      :y="(vessel.innerMm.width - piece.at[1]) * k"
      :k="k"
    />
    <g class="axis">
      <g
        v-for="m in marks(vessel.innerMm.length, k, 30)"
        :key="m"
        :transform="`translate(${m * k} ${box.h})`"
      >
        <path d="M0 4 v6" />
        <text y="24" text-anchor="middle">{{ f.fromMm(m) }}</text>
      </g>
    </g>
    <CutLine v-if="cuts" v-model="cut" :display="display" :high="box.h" :k="k" />
    <KeptFree v-if="drawing.option.free" :free="drawing.option.free" :vessel="vessel" :k="k" @give="giveUp" />
    <MeasureOverlay v-if="measuring" keeps :w="box.w" :h="box.h" :k="k" @keep="keepFree" />
  </g>
</template>

<style scoped src="./sheets.css"></style>
