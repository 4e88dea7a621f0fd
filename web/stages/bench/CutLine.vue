<script setup lang="ts">
import { arrowStep } from '../../drawing/arrowStep';
import { usePointerDrag } from '../../drawing/usePointerDrag';

/** The line along which the section is cut, mm from the left: dragged, or stepped by the arrows. */
const props = defineProps<{
  lengthMm: number;
  /** Height of the plan, and pixels a millimetre. */
  high: number;
  k: number;
}>();
const cutMm = defineModel<number>({ required: true });

const drag = usePointerDrag<number>({
  start: () => cutMm.value,
  move: (from, { dx }) => move(from + dx / props.k),
});
function move(mm: number): void {
  cutMm.value = Math.round(Math.min(Math.max(mm, 0), props.lengthMm));
}
function key(event: KeyboardEvent): void {
  const step = arrowStep(event, 5, 20)?.[0];
  if (!step) return;
  event.preventDefault();
  move(cutMm.value + step);
}
</script>

<template>
  <g
    class="cutline"
    tabindex="0"
    role="slider"
    aria-label="Section line, from the left"
    :aria-valuenow="cutMm"
    aria-valuemin="0"
    :aria-valuemax="lengthMm"
    data-test="cutline"
    :transform="`translate(${cutMm * k} 0)`"
    @pointerdown="drag"
    @keydown="key"
  >
    <path :d="`M0 -2 V ${high}`" pointer-events="none" />
    <path :d="`M0 ${high} l-6 9 h12 z`" class="foot" />
    <circle cy="-10" r="8.5" />
    <text y="-6" text-anchor="middle">C</text>
    <circle cy="-10" r="15" class="reach" data-test="cutgrip" />
  </g>
</template>

<style scoped>
.cutline {
  cursor: ew-resize;
  outline: none;
}
.cutline path {
  stroke: #23211e;
  stroke-dasharray: 9 4 2 4;
  fill: none;
}
.cutline .foot {
  stroke-dasharray: none;
  fill: var(--ink);
}
.cutline circle {
  fill: var(--paper);
  stroke: var(--ink);
}
.cutline .reach {
  fill: transparent;
  stroke: none;
}
.cutline text {
  font: 600 11px var(--text);
  fill: var(--ink);
}
.cutline:focus-visible circle {
  stroke: var(--celadon);
  stroke-width: 2.5;
}
</style>
