<script setup lang="ts">
import { computed } from 'vue';

/** One part of a whole: how much of it, and what may be written in it. */
export interface BarPart {
  key: string;
  value: number;
  fill: string;
  says?: string;
}

/**
 * Parts of a whole side by side, each as wide as its share. Words stand in a part that has room for them,
 * the others below the bar.
 */
defineOptions({ inheritAttrs: false });
const props = withDefaults(
  defineProps<{
    parts: readonly BarPart[];
    width: number;
    /** What the whole width stands for; the sum of the parts when left out. */
    most?: number;
    label: string;
    barHeight?: number;
    /** Room above and below the bar for what is drawn beside it. */
    above?: number;
    below?: number;
  }>(),
  { most: undefined, barHeight: 20, above: 4, below: 6 },
);

/** A character of the bar's words, and what is kept free beside them, px. */
const CHARACTER_PX = 6.4;
const MARGIN_PX = 8;

const sum = computed(() => props.parts.reduce((total, p) => total + p.value, 0));
const X = (value: number) => (value / Math.max(props.most ?? sum.value, 1e-9)) * props.width;
const bars = computed(() => {
  let from = 0;
  return props.parts.map((part) => {
    const x = X(from);
    from += part.value;
    const w = X(part.value);
    return { ...part, x, w, fits: (part.says?.length ?? 0) * CHARACTER_PX <= w - MARGIN_PX };
  });
});
const beside = computed(() => bars.value.flatMap((b) => (b.says && !b.fits ? [b.says] : [])));
</script>

<template>
  <svg
    v-bind="$attrs"
    :width="width"
    :height="above + barHeight + below"
    role="img"
    :aria-label="label"
    class="stacked"
  >
    <g v-for="b in bars" :key="b.key">
      <rect :x="b.x" :y="above" :width="b.w" :height="barHeight" :fill="b.fill" stroke="var(--ash)" />
      <text v-if="b.says && b.fits" :x="b.x + 6" :y="above + barHeight / 2 + 4">{{ b.says }}</text>
    </g>
    <slot :at="X" />
  </svg>
  <p v-if="beside.length" class="quiet">{{ beside.join(', ') }}</p>
</template>

<style scoped>
.stacked {
  display: block;
  margin-top: 5px;
  overflow: visible;
}
g text {
  font: 600 11px var(--text);
  fill: #23211e;
}
</style>
