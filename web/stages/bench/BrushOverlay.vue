<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { Layer, Vessel } from '../../../core/commission/schema';
import { layerTop } from '../../../core/substrate/layerTop';
import { useBedEdit } from '../../document/bedEdit';
import { useCommission } from '../../document/commissionStore';
import { arrowStep } from '../../drawing/arrowStep';
import { spotUnder } from '../../drawing/spotUnder';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import { brush, brushMm, strengthMm } from './bedTool';

/** The brush over the plan: it works where it is drawn along, or from the keyboard where it stands. */
const props = defineProps<{ layer: Layer; vessel: Vessel; k: number }>();
const commission = useCommission();
const edit = useBedEdit();

const at = shallowRef<[number, number]>([props.vessel.innerMm.length / 2, props.vessel.innerMm.width / 2]);
const seen = ref(false);
const W = computed(() => props.vessel.innerMm.width * props.k);
const L = computed(() => props.vessel.innerMm.length * props.k);

/** Touches follow each other at a quarter of the reach. */
const APART = 0.25;
let toMm = 0;
let touched: [number, number] = [0, 0];

function touch(where: [number, number]): void {
  touched = where;
  edit.touch(props.layer.id, {
    brush: brush.value!,
    at: where,
    radiusMm: brushMm.value,
    strengthMm: strengthMm.value,
    toMm,
  });
}
function put(where: [number, number]): void {
  toMm = Math.round(layerTop(props.layer, props.vessel)(...where));
  commission.beginStep();
  touch(where);
}
const drag = usePointerDrag<[number, number]>({
  start: (event) => {
    at.value = spotUnder(event, props.k);
    put(at.value);
    return at.value;
  },
  move: (from, { dx, dy }) => {
    at.value = [from[0] + dx / props.k, from[1] - dy / props.k];
    const far = Math.hypot(at.value[0] - touched[0], at.value[1] - touched[1]);
    if (far >= APART * brushMm.value) touch(at.value);
  },
  end: () => commission.endStep(),
});

const STEP_MM = 10;
function onKey(event: KeyboardEvent): void {
  const by = arrowStep(event, STEP_MM, 5 * STEP_MM);
  if (by) {
    const within = (v: number, most: number) => Math.min(Math.max(v, 0), most);
    const { length, width } = props.vessel.innerMm;
    at.value = [within(at.value[0] + by[0], length), within(at.value[1] + by[1], width)];
  } else if (event.key === 'Enter' || event.key === ' ') {
    put(at.value);
    commission.endStep();
  } else return;
  seen.value = true;
  event.preventDefault();
}
</script>

<template>
  <g
    tabindex="0"
    role="application"
    :aria-label="`Brush: ${brush}. Arrows move it, Enter works with it`"
    data-test="brush"
    @pointerenter="seen = true"
    @pointerleave="seen = false"
    @pointermove="at = spotUnder($event, k)"
    @focus="seen = true"
    @blur="seen = false"
    @pointerdown="drag"
    @keydown="onKey"
  >
    <rect :width="L" :height="W" fill="transparent" />
    <g v-if="seen" pointer-events="none">
      <circle :cx="at[0] * k" :cy="W - at[1] * k" :r="brushMm * k" class="reach" />
      <circle :cx="at[0] * k" :cy="W - at[1] * k" r="2" class="middle" />
    </g>
  </g>
</template>

<style scoped>
g {
  outline: none;
  cursor: none;
  touch-action: none;
}
.reach {
  fill: #ffffff2e;
  stroke: var(--celadon);
  stroke-width: 2;
}
.middle {
  fill: var(--celadon);
}
</style>
