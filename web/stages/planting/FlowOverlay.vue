<script setup lang="ts">
import { computed } from 'vue';
import type { Vessel } from '../../../core/commission/schema';
import { deadBelow, meanSpeed } from '../../../core/flow/tankFlow';
import type { ShownPlanted } from '../../workers/planWorker';
import { arrowsOf } from './overlays';

/** Where water goes at one height: arrows longer where it is faster, a ring where it hardly moves. */
const props = defineProps<{ living: ShownPlanted['living']; height: number; vessel: Vessel; k: number }>();
const W = computed(() => props.vessel.innerMm.width);
const layer = computed(() => props.living.flow[props.height]);
const arrows = computed(() => (layer.value ? arrowsOf(layer.value, deadBelow(layer.value)) : []));
const LONGEST = 17;
const mean = computed(() => (layer.value ? Math.max(1e-6, meanSpeed(layer.value)) : 1));
const path = (a: ReturnType<typeof arrowsOf>[number]) => {
  const long = Math.min(LONGEST, 5 + (a.speed / mean.value) * 4);
  const [x, y] = [a.x * props.k, (W.value - a.y) * props.k];
  const [u, v] = [a.dx * long, -a.dy * long];
  return `M${x - u / 2} ${y - v / 2}L${x + u / 2} ${y + v / 2}m${-u * 0.3 - v * 0.22} ${-v * 0.3 + u * 0.22}L${x + u / 2} ${y + v / 2}l${-u * 0.3 + v * 0.22} ${-v * 0.3 - u * 0.22}`;
};
const port = ([x, y]: readonly [number, number]) => `translate(${x * props.k} ${(W.value - y) * props.k})`;
/** An arrow head where a pump hangs. */
function blows(deg: number): string {
  const at = (turn: number, r: number) => {
    const a = ((deg + turn) * Math.PI) / 180;
    return `${(r * Math.cos(a)).toFixed(1)} ${(-r * Math.sin(a)).toFixed(1)}`;
  };
  return `M${at(0, 16)}L${at(140, 9)}L${at(-140, 9)}Z`;
}
</script>

<template>
  <g pointer-events="none" data-test="flow-map">
    <rect :width="vessel.innerMm.length * k" :height="W * k" class="veil" />
    <path v-for="(a, i) in arrows.filter((a) => !a.dead)" :key="i" :d="path(a)" class="arrow" />
    <circle
      v-for="(a, i) in arrows.filter((a) => a.dead)"
      :key="`d${i}`"
      :cx="a.x * k"
      :cy="(W - a.y) * k"
      r="3.4"
      class="dead"
    />
    <path
      v-for="(p, i) in living.pumps"
      :key="`p${i}`"
      :transform="port(p.at)"
      :d="blows(p.towardsDeg)"
      class="pump"
    />
    <g v-if="layer" class="port">
      <g :transform="port(living.ports.outflow)"><circle r="7" /><text y="3.5">in</text></g>
      <g :transform="port(living.ports.intake)"><circle r="7" /><text y="3.5">out</text></g>
    </g>
  </g>
</template>

<style scoped>
.veil {
  fill: var(--water);
  opacity: 0.5;
}
.pump {
  fill: #1f5a6d;
}
.arrow {
  fill: none;
  stroke: #1f5a6d;
  stroke-width: 1.3;
}
.dead {
  fill: none;
  stroke: var(--warn);
  stroke-width: 1.3;
}
.port circle {
  fill: var(--paper);
  stroke: #1f5a6d;
}
.port text {
  font: 600 8px var(--text);
  text-anchor: middle;
  fill: #1f5a6d;
}
</style>
