<script setup lang="ts">
import { computed } from 'vue';
import type { Grown } from '../../core/planted/grown';
import { shade } from './colour';
import { leavesOfPlug, PER_PX } from './leafPaths';

/** The plants that stand in one band of the bed, leaf by leaf, as they have grown. */
const props = defineProps<{
  plants: readonly Grown[];
  from: number;
  depth: number;
  xScale: (mm: number) => number;
  zScale: (mm: number) => number;
  /** How far back the band lies, 0 at the front glass to 1: what is far is paler. */
  far: number;
  /** Nothing is drawn growing above this, mm; what stands on wet soil or wood is not asked. */
  highestMm: number;
  /** The one that is looked at: all others are drawn pale. */
  chosen?: string;
}>();

/** Pixels a millimetre. */
const k = computed(() => props.xScale(1));
/** So much is left of the colour of what is not looked at. */
const PALE = 0.28;
/** Plugs of one planting in one band that are drawn at most. */
const MOST = 260;

const drawn = computed(() =>
  props.plants.flatMap((grown) => {
    const inBand: number[] = [];
    const { spots, plant } = grown;
    for (let i = 0; i < spots.length; i += 3)
      if (spots[i + 1] <= props.from && spots[i + 1] > props.from - props.depth) inBand.push(i);
    if (inBand.length === 0) return [];
    const every = Math.ceil(inBand.length / MOST);
    const [dark, light] = [[] as string[], [] as string[]];
    for (let n = 0; n < inBand.length; n += every) {
      const i = inBand[n];
      const most = plant.habit === 'emersed' ? Infinity : props.highestMm;
      const leaves = leavesOfPlug(grown, spots[i], spots[i + 2], most, props.xScale, props.zScale);
      leaves.forEach((d, at) => (at % 2 ? dark : light).push(d));
    }
    const base = shade(plant.colour ?? '#4f7f6b', 0.3 * props.far);
    return [{ id: grown.id, dark: dark.join(''), light: light.join(''), base }];
  }),
);
</script>

<template>
  <g pointer-events="none">
    <g
      v-for="p in drawn"
      :key="p.id"
      :data-grown="p.id"
      :opacity="chosen && p.id !== chosen ? PALE : 1"
      :stroke-width="Math.max(0.2, 0.5 * k) * PER_PX"
      :transform="`scale(${1 / PER_PX})`"
    >
      <path :d="p.dark" :fill="shade(p.base, -0.2)" :stroke="shade(p.base, -0.34)" />
      <path :d="p.light" :fill="shade(p.base, 0.08)" :stroke="shade(p.base, -0.16)" />
    </g>
  </g>
</template>
