<script setup lang="ts">
import { computed } from 'vue';
import type { Option } from '../../core/commission/schema';
import { plugSpots } from '../../core/planting/region';
import type { FieldView } from '../workers/planWorker';
import { drawnSurfaceAt } from './bedPaths';
import { shade } from './colour';

/** The plants that stand in one band of the bed, as strokes of their height and habit. */
const props = defineProps<{
  option: Option;
  plants: { id: string; habit?: string; colour?: string; heightMm?: number[] }[];
  field: FieldView;
  from: number;
  depth: number;
  xScale: (mm: number) => number;
  zScale: (mm: number) => number;
  /** How far back the band lies, 0 at the front glass to 1: what is far is paler. */
  far: number;
  /** Nothing is drawn growing above this, mm. */
  highestMm: number;
}>();

/** Pixels a millimetre. */
const k = computed(() => props.xScale(1));
/** How far towards its grown height a plant is drawn. */
const GROWN = 0.55;
const MOST = 900;

const drawn = computed(() =>
  props.option.plants.flatMap((p) => {
    const plant = props.plants.find((q) => q.id === p.plant);
    if (!plant || !p.region || !p.spacingMm) return [];
    const [low, high] = plant.heightMm ?? [30, 60];
    const tall = low + (high - low) * GROWN;
    let d = '';
    for (const [x, y] of plugSpots(p.region, p.spacingMm, MOST)) {
      if (y > props.from || y <= props.from - props.depth) continue;
      const z = drawnSurfaceAt(props.field, x, y);
      // Repeatable unevenness from the spot itself.
      const r = Math.abs(Math.sin(x * 12.9898 + y * 78.233) * 43758.5453) % 1;
      const h = Math.min(tall * (0.7 + 0.5 * r), props.highestMm - z - 6 - 18 * r);
      for (const lean of leans(plant.habit)) {
        const tip = x + lean * h * 0.34 + (r - 0.5) * 8;
        d += `M${props.xScale(x).toFixed(1)} ${props.zScale(z - 2).toFixed(1)}Q${props.xScale(x + (tip - x) * 0.3).toFixed(1)} ${props.zScale(z + h * 0.7).toFixed(1)} ${props.xScale(tip).toFixed(1)} ${props.zScale(z + h * (1 - Math.abs(lean) * 0.3)).toFixed(1)}`;
      }
    }
    return d
      ? [
          {
            id: p.id,
            d,
            colour: plant.colour ?? '#4f7f6b',
            width: plant.habit === 'rosette' ? 2.6 : 1.3,
            leaves: plant.habit === 'stem',
          },
        ]
      : [];
  }),
);

function leans(habit: string | undefined): number[] {
  if (habit === 'stem') return [0.06];
  if (habit === 'rosette') return [-1, -0.45, 0.1, 0.55, 1.05];
  return [-0.6, 0, 0.6];
}
</script>

<template>
  <g
    ><g
      v-for="p in drawn"
      :key="p.id"
      fill="none"
      :stroke="shade(p.colour, 0.34 * far)"
      pointer-events="none"
    >
      <path :d="p.d" :stroke-width="Math.max(0.6, p.width * 1.5 * k)" stroke-linecap="round" />
      <path
        v-if="p.leaves"
        :d="p.d"
        :stroke-width="8 * k"
        :stroke-dasharray="`${3.2 * k} ${4.4 * k}`"
        opacity="0.85"
      /> </g
  ></g>
</template>
