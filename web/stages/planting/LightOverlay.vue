<script setup lang="ts">
import { computed } from 'vue';
import type { Vessel } from '../../../core/commission/schema';
import type { ShownPlanted } from '../../workers/planWorker';
import { lightPicture, MOST_DLI } from './overlays';
import { brightness } from './scale';

/** PPFD and the light of a day on the bed, with a legend in both. */
const props = defineProps<{ living: ShownPlanted['living']; vessel: Vessel; k: number }>();
const picture = computed(() => lightPicture(props.living));
const w = computed(() => props.vessel.innerMm.length * props.k);
const h = computed(() => props.vessel.innerMm.width * props.k);
const STEPS = [0, 1, 2, 3, 4, 5];
const colour = (dli: number) => `rgb(${brightness(dli / MOST_DLI).join()})`;
/** Photons a second that make such a day. */
const ppfd = (dli: number) => Math.round((dli * 1e6) / 3600 / props.living.hours / 5) * 5;
</script>

<template>
  <g pointer-events="none" data-test="light-map">
    <image :href="picture" :width="w" :height="h" preserveAspectRatio="none" opacity="0.92" />
    <g :transform="`translate(8 ${h - 34})`" class="legend">
      <rect x="-4" y="-12" width="262" height="42" class="ground" />
      <g v-for="(dli, i) in STEPS" :key="dli" :transform="`translate(${i * 36} 0)`">
        <rect y="-6" width="34" height="8" :fill="colour(dli)" />
        <text y="13">{{ dli }}</text>
        <text y="25">{{ ppfd(dli) }}</text>
      </g>
      <text x="216" y="13">mol/m²/d</text>
      <text x="216" y="25">µmol/m²/s</text>
    </g>
  </g>
</template>

<style scoped>
.ground {
  fill: var(--paper);
  opacity: 0.9;
}
text {
  font: 500 10px var(--text);
  fill: var(--ink);
}
</style>
