<script setup lang="ts">
import { computed } from 'vue';
import { cutRun, movedCut, turnedCut, turnTowards, type Cut } from '../../../core/view/cut';
import type { Polygon } from '../../../core/geometry/polygon';
import { arrowStep } from '../../drawing/arrowStep';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** The line of the section on the plan: its letter moves it, its foot turns it, arrows do either. */
const props = defineProps<{
  /** What can be cut: the floor in front of the chambers, mm. */
  display: Polygon;
  /** Height of the plan, and pixels a millimetre. */
  high: number;
  k: number;
}>();
const cut = defineModel<Cut>({ required: true });
const f = useFigures();

const run = computed(() => cutRun(props.display, cut.value));
/** From the spot of the cut to its end and to its beginning, px. */
const reach = computed(() => {
  const [ax, ay] = cut.value.at;
  const px = ([x, y]: readonly [number, number]) => Math.hypot(x - ax, y - ay) * props.k;
  return run.value && { end: px(run.value.to), foot: px(run.value.from) };
});
const place = computed(() => {
  const [x, y] = cut.value.at;
  return `translate(${x * props.k} ${props.high - y * props.k}) rotate(${-cut.value.turnDeg})`;
});

const move = usePointerDrag<Cut>({
  start: () => cut.value,
  move: (from, { dx, dy }) => {
    const [wx, wy] = cutRun(props.display, from)?.way ?? [0, 1];
    cut.value = movedCut(props.display, from, (dx * wy + dy * wx) / props.k);
  },
});
const turn = usePointerDrag<{ x: number; y: number; at: Cut['at'] }>({
  start: () => {
    const foot = run.value?.from;
    return foot && { x: foot[0], y: foot[1], at: cut.value.at };
  },
  move: ({ x, y, at }, { dx, dy }) => {
    const way = [at[0] - x - dx / props.k, at[1] - y + dy / props.k] as const;
    // Too close to the spot that it turns about there is no direction.
    if (Math.hypot(...way) * props.k > 8) turnTo(turnTowards(way));
  },
});
const turnTo = (deg: number) => (cut.value = turnedCut(props.display, cut.value, deg));

function key(event: KeyboardEvent): void {
  const step = arrowStep(event, 5, 20);
  if (!step) return;
  event.preventDefault();
  if (step[0]) cut.value = movedCut(props.display, cut.value, step[0]);
  else turnTo(cut.value.turnDeg + step[1]);
}
</script>

<template>
  <g
    v-if="reach"
    class="cutline"
    tabindex="0"
    role="slider"
    aria-label="Section line, from the left; up and down turn it"
    :aria-valuenow="Math.round(cut.at[0])"
    :aria-valuetext="wording('cutLine.at', { left: f.length(cut.at[0]), turn: cut.turnDeg })"
    aria-valuemin="0"
    :aria-valuemax="Math.max(...display.map(([x]) => x))"
    data-test="cutline"
    :transform="place"
    @pointerdown="move"
    @keydown="key"
  >
    <path :d="`M0 ${-reach.end - 2} V ${reach.foot}`" pointer-events="none" />
    <g :transform="`translate(0 ${reach.foot})`" class="turns" data-test="cutfoot" @pointerdown.stop="turn">
      <path d="M0 0 l-6 9 h12 z" class="foot" />
      <circle cy="6" r="13" class="reach" />
    </g>
    <g :transform="`translate(0 ${-reach.end - 10})`">
      <circle r="8.5" />
      <text y="4" text-anchor="middle" :transform="`rotate(${cut.turnDeg})`">C</text>
      <circle r="15" class="reach" data-test="cutgrip" />
    </g>
  </g>
</template>

<style scoped>
.cutline {
  cursor: move;
  outline: none;
}
.turns {
  cursor: grab;
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
.cutline:focus-visible .reach {
  stroke: none;
}
</style>
