<script setup lang="ts">
import { computed } from 'vue';
import type { Option, Plant } from '../../../core/commission/schema';
import { polygonBounds } from '../../../core/geometry/polygon';
import type { Grown } from '../../../core/planted/grown';
import type { Overlay } from './overlays';

/** What is painted on the plan: outlines, or how much of each has closed by the week that is looked at. */
const props = defineProps<{
  option: Option;
  plants: readonly Plant[];
  grown: readonly Grown[];
  overlay: Overlay;
  chosen?: string;
  x: (mm: number) => number;
  y: (mm: number) => number;
}>();
defineEmits<{ choose: [id: string]; key: [event: KeyboardEvent, id: string] }>();
const FAINT: Record<Overlay, number> = { plants: 0.28, cover: 0.1, light: 0.02, flow: 0.02, depth: 0.02 };

const shapes = computed(() =>
  props.option.plants.flatMap((p) => {
    if (!p.region) return [];
    const plant = props.plants.find((q) => q.id === p.plant);
    const cover = props.grown.find((g) => g.id === p.id)?.cover ?? 0;
    const [left, front, right, back] = polygonBounds(p.region);
    return [
      {
        id: p.id,
        d: `M${p.region.map(([x, y]) => `${props.x(x)} ${props.y(y)}`).join('L')}Z`,
        name: `${plant?.name ?? p.plant}, ${p.id}`,
        colour: plant?.colour ?? '#4f7f6b',
        strength: FAINT[props.overlay] + (props.overlay === 'cover' ? 0.8 * cover : 0),
        says: `${Math.round(cover * 100)} %`,
        at: [props.x((left + right) / 2), props.y((front + back) / 2)],
      },
    ];
  }),
);
/** One patch is in the order of keys: the chosen one, else the first. */
const reached = computed(() => shapes.value.find((s) => s.id === props.chosen)?.id ?? shapes.value[0]?.id);
</script>

<template>
  <g>
    <g
      v-for="s in shapes"
      :key="s.id"
      class="region"
      :class="{ chosen: s.id === chosen }"
      :data-region="s.id"
      role="button"
      :tabindex="s.id === reached ? 0 : -1"
      :aria-label="s.name"
      :aria-pressed="s.id === chosen"
      @click="$emit('choose', s.id)"
      @keydown="$emit('key', $event, s.id)"
    >
      <path :d="s.d" :fill="s.colour" :fill-opacity="s.strength" :stroke="s.colour" />
      <text v-if="overlay === 'cover'" :x="s.at[0]" :y="s.at[1] + 5" :data-cover="s.id">{{ s.says }}</text>
    </g>
  </g>
</template>

<style scoped>
.region {
  cursor: pointer;
}
.region:focus-visible {
  outline: none;
}
.region:focus-visible path {
  stroke: var(--celadon);
  stroke-width: 3;
}
.chosen path {
  stroke: var(--ink);
  stroke-width: 2;
}
text {
  font: 600 13px var(--text);
  text-anchor: middle;
  fill: #1d1b18;
  paint-order: stroke;
  stroke: #fdfbf6cc;
  stroke-width: 3;
}
</style>
