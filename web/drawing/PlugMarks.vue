<script setup lang="ts">
import { computed } from 'vue';
import type { Vessel } from '../../core/commission/schema';
import type { Grown } from '../../core/planted/grown';
import type { Planted } from '../../core/planted/planted';
import { diamonds } from './diamonds';

/** Every plug of a planting from above, as far as it has spread; those that the packs do not give as empty rings. */
const props = defineProps<{ part: Planted; grown: Grown; vessel: Vessel; k: number; chosen: boolean }>();
const W = computed(() => props.vessel.innerMm.width);
const at = (i: number) => [
  props.part.spots[i * 3] * props.k,
  (W.value - props.part.spots[i * 3 + 1]) * props.k,
];
const there = computed(() => props.grown.spots.length / 3);
const discs = (from: number, to: number, r: number) => {
  let d = '';
  for (let i = from; i < to; i++) {
    const [x, y] = at(i);
    d += `M${(x - r).toFixed(1)} ${y.toFixed(1)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
  }
  return d;
};
const spread = computed(() =>
  discs(0, there.value, Math.max(1.2, Math.round(props.grown.radiusMm * props.k * 10) / 10)),
);
const hearts = computed(() => discs(0, there.value, 1.1));
/** Root tabs of the planting that is looked at, as diamonds. */
const TAB_PX = 3.2;
const tabs = computed(() => diamonds(props.part.tabs, props.k, W.value, TAB_PX));
const bare = computed(() =>
  discs(Math.min(props.part.plugsAtHand, props.part.spots.length / 3), props.part.spots.length / 3, 3),
);
</script>

<template>
  <g pointer-events="none" :data-plugs="part.id" :data-count="part.spots.length / 3">
    <path :d="spread" :fill="part.plant.colour ?? '#4f7f6b'" :fill-opacity="chosen ? 0.85 : 0.62" />
    <path :d="hearts" fill="#f3f7ee" />
    <path v-if="chosen && part.tabs.length" :d="tabs" class="tab" data-test="tabs" />
    <path v-if="part.missing" :d="bare" class="bare" data-test="bare" />
  </g>
</template>

<style scoped>
.tab {
  fill: var(--clay);
  stroke: #f3f7ee;
  stroke-width: 0.8;
}
.bare {
  fill: none;
  stroke: var(--warn);
  stroke-width: 1.4;
}
</style>
