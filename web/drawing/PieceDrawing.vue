<script setup lang="ts">
import { computed } from 'vue';
import type { Piece } from '../../core/commission/schema';
import { shade } from './colour';
import { facetsOf, type View } from './facets';

const props = defineProps<{
  piece: Pick<Piece, 'shape' | 'turnDeg' | 'tiltDeg'>;
  view: View;
  colour: string;
  selected?: boolean;
  /** In the tank now: it has an edge of water around it. */
  stays?: boolean;
}>();

const facets = computed(() =>
  facetsOf(props.piece.shape, props.piece.turnDeg, props.piece.tiltDeg, props.view),
);
/** Darkest to lightest. */
const LIGHT = [-0.34, -0.18, -0.04, 0.1, 0.24];
const tones = computed(() => facets.value.tones.map((d, i) => ({ d, fill: shade(props.colour, LIGHT[i]) })));
</script>

<template>
  <g class="solid">
    <path
      v-if="stays"
      :d="facets.outline"
      fill="none"
      stroke="var(--water-line)"
      stroke-width="6"
      stroke-linejoin="round"
      vector-effect="non-scaling-stroke"
    />
    <path
      v-for="(t, i) in tones"
      :key="i"
      :d="t.d"
      :fill="t.fill"
      :stroke="t.fill"
      stroke-width="0.8"
      vector-effect="non-scaling-stroke"
    />
    <path
      :d="facets.outline"
      fill="none"
      :stroke="selected ? 'var(--celadon)' : '#2b2825'"
      :stroke-width="selected ? 2.4 : 1"
      stroke-linecap="round"
      vector-effect="non-scaling-stroke"
    />
  </g>
</template>
