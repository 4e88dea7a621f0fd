<script setup lang="ts">
import { computed } from 'vue';
import type { Piece } from '../../../core/commission/schema';
import type { Drawing } from '../../drawing/drawing';
import GhostView, { type Ghost } from '../../drawing/GhostView.vue';
import FrontView from '../../drawing/FrontView.vue';
import { marks, type Box } from '../../drawing/sheet';
import { selectedPiece, selectedPieces } from '../../frame/selection';
import { useFigures } from '../../units/figures';
import GearHandles from './GearHandles.vue';
import BedHandles from './BedHandles.vue';
import MeasureOverlay from './MeasureOverlay.vue';
import type { Underlaid } from './useUnderlays';
import TurnHandles from './TurnHandles.vue';

/** The elevation with its height axis, the water line, the height to which it is drained, thirds and handles. */
const props = defineProps<{
  drawing: Drawing;
  box: Box;
  bedHandles: boolean;
  thirds: boolean;
  measuring: boolean;
  /** The tank as it is now, in outline. */
  ghost?: Ghost;
  /** A photograph of the mock-up, squared up. */
  underlay?: Underlaid;
  drained?: { mm: number; outL: number };
}>();
defineEmits<{
  grab: [event: PointerEvent];
  key: [event: KeyboardEvent, piece: Piece];
  wheel: [event: WheelEvent, piece: Piece];
  choose: [id: string];
}>();
const f = useFigures();
const k = computed(() => props.drawing.k);
const vessel = computed(() => props.drawing.vessel);
const Z = (mm: number) => props.box.h - mm * k.value;
const piece = computed(() => props.drawing.option.pieces.find((p) => p.id === selectedPiece.value));
const zMm = computed(() => props.drawing.survey.pieces.find((p) => p.id === selectedPiece.value)?.zMm ?? 0);
</script>

<template>
  <g :transform="`translate(${box.x} ${box.y})`">
    <text class="caption" y="-16">From the front</text>
    <g v-if="drawing.stays?.size" transform="translate(118 -20)" class="key">
      <path d="M0 0 h16" />
      <text x="22" y="4">in the tank now</text>
    </g>
    <g class="axis">
      <g v-for="m in marks(vessel.innerMm.height, k)" :key="m" :transform="`translate(0 ${Z(m)})`">
        <path d="M-12 0 h8" />
        <text x="-16" y="4" text-anchor="end">{{ f.fromMm(m) }}</text>
      </g>
    </g>
    <FrontView
      v-bind="drawing"
      :selected="selectedPiece"
      :also="selectedPieces"
      interactive
      data-test="front"
      @grab="(e: PointerEvent) => $emit('grab', e)"
      @key="(e: KeyboardEvent, p: Piece) => $emit('key', e, p)"
      @turn="(e: WheelEvent, p: Piece) => $emit('wheel', e, p)"
      @choose="$emit('choose', $event)"
    >
      <image
        v-if="underlay"
        :href="underlay.url"
        :width="box.w"
        :height="box.h"
        :opacity="underlay.opacity"
        preserveAspectRatio="none"
        data-test="underlay-front"
      />
    </FrontView>
    <GhostView
      v-if="ghost"
      :ghost="ghost"
      view="front"
      :length-mm="vessel.innerMm.length"
      :up-mm="vessel.innerMm.height"
      :k="k"
    />
    <GearHandles
      v-if="drawing.gear?.length && !measuring"
      :gear="drawing.gear"
      :vessel="vessel"
      view="front"
      :k="k"
    />
    <text :x="box.w - 7" :y="Z(vessel.waterLineMm) + 14" text-anchor="end" class="water">
      water {{ f.length(vessel.waterLineMm) }}
    </text>
    <g v-if="drained" class="drained" :transform="`translate(0 ${Z(drained.mm)})`">
      <path :d="`M0 0 H ${box.w}`" />
      <text :x="box.w - 7" y="-5" text-anchor="end">
        drained to {{ f.length(drained.mm) }}, {{ f.volume(drained.outL, 0) }} out
      </text>
    </g>
    <BedHandles view="front" :option="drawing.option" :vessel="vessel" :k="k" :active="bedHandles" />
    <path :d="`M0 -4 V ${box.h} H ${box.w} V -4`" class="glass" />
    <template v-if="thirds">
      <g v-for="n in [1, 2]" :key="n" class="third">
        <path :d="`M${(box.w * n) / 3} -7 v14`" />
        <path v-for="m in [1, 2]" :key="m" :d="`M${(box.w * n) / 3 - 4} ${(box.h * m) / 3} h8 m-4 -4 v8`" />
      </g>
    </template>
    <TurnHandles
      v-if="piece && !measuring"
      :piece="piece"
      :ids="selectedPieces"
      view="front"
      :x="piece.at[0] * k"
      :y="Z(zMm)"
      :k="k"
    />
    <MeasureOverlay v-if="measuring" :w="box.w" :h="box.h" :k="k" />
  </g>
</template>

<style scoped src="./sheets.css"></style>
