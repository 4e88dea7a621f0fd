<script setup lang="ts">
import type { Piece } from '../../../core/commission/schema';

/** The number of each piece in the order of placing, in a ring over a drawing. */
defineProps<{ set: readonly { n: number; piece: Piece }[]; at: (piece: Piece) => [number, number] }>();
</script>

<template>
  <g v-for="s in set" :key="s.piece.id" :transform="`translate(${at(s.piece).join(' ')})`">
    <circle r="9" />
    <text y="4" text-anchor="middle">{{ s.n }}</text>
  </g>
</template>

<style scoped>
circle {
  fill: var(--paper);
  stroke: var(--ink);
}
text {
  font: 700 11px var(--text);
}
</style>
