<script setup lang="ts">
import { computed, ref } from 'vue';
import { spotUnder } from '../../drawing/spotUnder';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** Any two points of a view and how far they are apart: press one, then the other. */
const props = defineProps<{ w: number; h: number; k: number; keeps?: boolean }>();
const emit = defineEmits<{ keep: [from: [number, number], to: [number, number]] }>();
const f = useFigures();

/** In mm from the lower left corner of the view. */
const first = ref<[number, number]>();
const second = ref<[number, number]>();
const moving = ref<[number, number]>();

function press(event: PointerEvent): void {
  if (event.button !== 0) return;
  event.stopPropagation();
  const at = spotUnder(event, props.k);
  if (first.value && !second.value) second.value = at;
  else [first.value, second.value] = [at, undefined];
}
/** What was measured is to stay free: nothing stands in it from then on without being said. */
function keep(): void {
  if (!first.value || !second.value) return;
  emit('keep', first.value, second.value);
  [first.value, second.value] = [undefined, undefined];
}
const drawn = ([x, y]: [number, number]) => [x * props.k, props.h - y * props.k];
const line = computed(() => {
  const to = second.value ?? moving.value;
  if (!first.value || !to) return undefined;
  const [dx, dy] = [to[0] - first.value[0], to[1] - first.value[1]];
  const [from, end] = [drawn(first.value), drawn(to)];
  return {
    d: `M${from.join(' ')} L${end.join(' ')}`,
    x: (from[0] + end[0]) / 2,
    y: (from[1] + end[1]) / 2 - 6,
    says: `${f.length(Math.hypot(dx, dy))} (${f.length(Math.abs(dx))} across, ${f.length(Math.abs(dy))})`,
  };
});
</script>

<template>
  <g
    class="measure"
    data-test="measuring"
    :data-keeps="keeps || undefined"
    @pointerdown="press"
    @pointermove="moving = spotUnder($event, k)"
  >
    <rect :width="w" :height="h" fill="transparent" />
    <g v-if="line" pointer-events="none">
      <path :d="line.d" />
      <text :x="line.x" :y="line.y" text-anchor="middle" data-test="measured">{{ line.says }}</text>
    </g>
    <text
      v-if="keeps && line && second"
      class="keep"
      :x="line.x"
      :y="line.y + 22"
      text-anchor="middle"
      role="button"
      tabindex="0"
      data-test="keep-free"
      @pointerdown.stop
      @click.stop="keep"
      @keydown.enter.prevent="keep"
    >
      {{ wording('keptFree.keep') }}
    </text>
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
.keep {
  fill: var(--celadon);
  cursor: pointer;
}
text {
  font: 600 12px var(--text);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
</style>
