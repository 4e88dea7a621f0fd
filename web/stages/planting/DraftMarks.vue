<script setup lang="ts">
/** What a hand is drawing on the plan: a drift, corners, the line of a cut, and the spot that keys move. */
type Spot = [number, number];
const props = defineProps<{
  drifting: readonly Spot[];
  corners: readonly Spot[];
  path: readonly Spot[];
  /** The line across a region that is cut, instead of a drift. */
  isCut: boolean;
  /** Where the section runs, from front to back, mm from the left. */
  sectionMm?: number;
  widthMm: number;
  x: (mm: number) => number;
  y: (mm: number) => number;
}>();
const line = (spots: readonly Spot[]) => `M${spots.map(([x, y]) => `${props.x(x)} ${props.y(y)}`).join('L')}`;
</script>

<template>
  <g pointer-events="none">
    <path
      v-if="sectionMm !== undefined"
      class="section"
      :d="`M${x(sectionMm)} ${y(0) + 8} V${y(widthMm) - 4}`"
      data-test="section-line"
    />
    <path
      v-if="drifting.length && isCut"
      :d="line([drifting[0], drifting[drifting.length - 1]])"
      class="draft"
    />
    <path v-else-if="drifting.length" :d="`${line(drifting)}Z`" class="draft" />
    <path v-if="path.length" :d="line(path)" class="draft" />
    <circle v-for="(p, i) in corners" :key="i" :cx="x(p[0])" :cy="y(p[1])" r="4" class="corner" />
    <path
      v-if="path.length"
      class="cursor"
      :d="`M${x(path[path.length - 1][0]) - 7} ${y(path[path.length - 1][1])} h14 m-7 -7 v14`"
      data-test="cursor"
    />
  </g>
</template>

<style scoped>
.draft {
  fill: #42715e44;
  stroke: var(--celadon);
  stroke-width: 2;
  stroke-dasharray: 5 3;
}
.corner {
  fill: var(--paper);
  stroke: var(--celadon);
  stroke-width: 2;
}
.cursor {
  stroke: var(--ink);
  stroke-width: 1.4;
}
.section {
  stroke: var(--ink);
  stroke-dasharray: 9 4 2 4;
}
</style>
