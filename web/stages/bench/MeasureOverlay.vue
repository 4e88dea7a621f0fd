<script setup lang="ts">
import { computed, ref } from 'vue';
import { useFigures } from '../../units/figures';

/** Any two points of a view and how far they are apart: press one, then the other. */
const props = defineProps<{ w: number; h: number; k: number }>();
const f = useFigures();

const first = ref<[number, number]>();
const second = ref<[number, number]>();
const moving = ref<[number, number]>();

function spot(event: MouseEvent): [number, number] {
  const box = (event.currentTarget as Element).querySelector('rect')!.getBoundingClientRect();
  return [event.clientX - box.left, event.clientY - box.top];
}
function press(event: PointerEvent): void {
  if (event.button !== 0) return;
  event.stopPropagation();
  if (first.value && !second.value) second.value = spot(event);
  else [first.value, second.value] = [spot(event), undefined];
}
const line = computed(() => {
  const to = second.value ?? moving.value;
  if (!first.value || !to) return undefined;
  const [dx, dy] = [to[0] - first.value[0], to[1] - first.value[1]];
  return {
    d: `M${first.value.join(' ')} L${to.join(' ')}`,
    x: (first.value[0] + to[0]) / 2,
    y: (first.value[1] + to[1]) / 2 - 6,
    says: `${f.length(Math.hypot(dx, dy) / props.k)} (${f.length(Math.abs(dx) / props.k)} across, ${f.length(Math.abs(dy) / props.k)})`,
  };
});
</script>

<template>
  <g class="measure" data-test="measuring" @pointerdown="press" @pointermove="moving = spot($event)">
    <rect :width="w" :height="h" fill="transparent" />
    <g v-if="line" pointer-events="none">
      <path :d="line.d" />
      <text :x="line.x" :y="line.y" text-anchor="middle" data-test="measured">{{ line.says }}</text>
    </g>
  </g>
</template>

<style scoped>
.measure {
  cursor: crosshair;
  touch-action: none;
}
path {
  stroke: var(--ink);
  stroke-width: 1.4;
}
text {
  font: 600 12px var(--text);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
</style>
