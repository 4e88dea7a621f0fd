<script setup lang="ts">
import { MOST_DLI } from './overlays';
import { brightness } from './scale';

/** What the colours of the light mean: light of a day, and photons a second that make it. */
const props = defineProps<{ hours: number; y: number }>();
const STEPS = [0, 1, 2, 3, 4, 5];
const colour = (dli: number) => `rgb(${brightness(dli / MOST_DLI).join()})`;
const ppfd = (dli: number) => Math.round((dli * 1e6) / 3600 / props.hours / 5) * 5;
</script>

<template>
  <g :transform="`translate(8 ${y})`" pointer-events="none">
    <rect x="-4" y="-12" width="272" height="42" class="ground" />
    <g v-for="(dli, i) in STEPS" :key="dli" :transform="`translate(${i * 34} 0)`">
      <rect y="-6" width="32" height="8" :fill="colour(dli)" />
      <text y="13">{{ dli }}</text>
      <text y="25">{{ ppfd(dli) }}</text>
    </g>
    <text x="206" y="13">mol/m²/d</text>
    <text x="206" y="25">µmol/m²/s</text>
  </g>
</template>

<style scoped>
.ground {
  fill: var(--paper);
}
text {
  font: 500 10px var(--text);
  fill: var(--ink);
}
</style>
