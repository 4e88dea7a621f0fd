<script setup lang="ts">
import { computed } from 'vue';
import type { KeptFree, Vessel } from '../../../core/commission/schema';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** Widths that are to stay free, on the plan; one is given up by pressing its figure. */
const props = defineProps<{ free: readonly KeptFree[]; vessel: Vessel; k: number }>();
defineEmits<{ give: [id: string] }>();
const f = useFigures();
const lines = computed(() =>
  props.free.map(({ id, from, to }) => {
    const [x1, y1, x2, y2] = [from, to].flatMap(([x, y]) => [x * props.k, (props.vessel.innerMm.width - y) * props.k]); // prettier-ignore
    const says = f.length(Math.hypot(to[0] - from[0], to[1] - from[1]));
    return { id, d: `M${x1} ${y1} L${x2} ${y2}`, x: (x1 + x2) / 2, y: (y1 + y2) / 2 - 6, says };
  }),
);
</script>

<template>
  <g class="free">
    <g v-for="l in lines" :key="l.id" :data-free="l.id">
      <path :d="l.d" />
      <text
        :x="l.x"
        :y="l.y"
        text-anchor="middle"
        role="button"
        tabindex="0"
        :aria-label="wording('keptFree.give', { width: l.says })"
        @pointerdown.stop
        @click.stop="$emit('give', l.id)"
        @keydown.enter.prevent="$emit('give', l.id)"
      >
        {{ wording('keptFree.free', { width: l.says }) }}
      </text>
    </g>
  </g>
</template>

<style scoped src="./pressedFigures.css"></style>
<style scoped>
path {
  stroke-width: 2;
  stroke-dasharray: 2 5;
  stroke-linecap: round;
}
</style>
