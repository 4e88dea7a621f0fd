<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import { pathRegion } from '../../../core/substrate/path';
import type { Vessel } from '../../../core/commission/schema';
import { PATH_MM } from '../../document/bedEdit';
import { arrowStep } from '../../drawing/arrowStep';
import { spotUnder } from '../../drawing/spotUnder';

/** The line of a path while it is drawn: point after point, Enter or a second press on the last lays it. */
const props = defineProps<{ vessel: Vessel; k: number }>();
const emit = defineEmits<{ laid: [line: [number, number][]]; given: [] }>();

/** Not watched within: they go into the document as they are. */
const points = shallowRef<[number, number][]>([]);
const pointer = shallowRef<[number, number]>();
const W = computed(() => props.vessel.innerMm.width);
const L = computed(() => props.vessel.innerMm.length);

/** Nearer than this to the last point a press means: done, px. */
const SAME_PX = 6;
function press(event: PointerEvent): void {
  if (event.button !== 0) return;
  event.stopPropagation();
  (event.currentTarget as SVGElement).focus();
  const at = spotUnder(event, props.k);
  const last = points.value.at(-1);
  if (last && Math.hypot(at[0] - last[0], at[1] - last[1]) * props.k < SAME_PX) return finish();
  points.value = [...points.value, at];
}
function finish(): void {
  if (points.value.length > 1) emit('laid', points.value);
  points.value = [];
}
const STEP_MM = 10;
function onKey(event: KeyboardEvent): void {
  const by = arrowStep(event, STEP_MM, 5 * STEP_MM);
  const at = pointer.value ?? [L.value / 2, 0];
  if (by) pointer.value = [at[0] + by[0], at[1] + by[1]];
  else if (event.key === ' ') points.value = [...points.value, at];
  else if (event.key === 'Backspace') points.value = points.value.slice(0, -1);
  else if (event.key === 'Enter') finish();
  else if (event.key === 'Escape') {
    points.value = [];
    emit('given');
  } else return;
  event.preventDefault();
  event.stopPropagation();
}
/** The floor that it would take with what is drawn and where the pointer is. */
const drawn = computed(() => {
  const line = pointer.value ? [...points.value, pointer.value] : points.value;
  if (points.value.length === 0 || line.length < 2) return '';
  const region = pathRegion({ line, widthMm: PATH_MM }, props.vessel);
  return region.length > 2
    ? `M${region.map(([x, y]) => `${x * props.k} ${(W.value - y) * props.k}`).join('L')}Z`
    : '';
});
</script>

<template>
  <g
    tabindex="0"
    role="application"
    aria-label="Path: press point after point; arrows and space from the keyboard, Enter lays it"
    data-test="path"
    @pointerdown="press"
    @pointermove="pointer = spotUnder($event, k)"
    @keydown="onKey"
  >
    <rect :width="L * k" :height="W * k" fill="transparent" />
    <path :d="drawn" class="floor" pointer-events="none" />
    <circle
      v-for="(p, i) in points"
      :key="i"
      :cx="p[0] * k"
      :cy="(W - p[1]) * k"
      r="4"
      class="point"
      pointer-events="none"
    />
    <circle
      v-if="pointer"
      :cx="pointer[0] * k"
      :cy="(W - pointer[1]) * k"
      r="3"
      class="next"
      pointer-events="none"
    />
  </g>
</template>

<style scoped>
g {
  outline: none;
  cursor: crosshair;
  touch-action: none;
}
.floor {
  fill: #efe0b8aa;
  stroke: var(--celadon);
  stroke-dasharray: 4 3;
}
.point {
  fill: var(--paper);
  stroke: var(--celadon);
  stroke-width: 2;
}
.next {
  fill: var(--celadon);
}
</style>
