<script setup lang="ts">
import { computed } from 'vue';
import { dliOf } from '../../../core/catalogue/knownPlants';
import { grownAt } from '../../../core/planted/grown';
import type { Planted } from '../../../core/planted/planted';
import ChartView from '../../drawing/ChartView.vue';

/** How each planting closes over the weeks, and its light against the band in which it lives. */
const props = defineProps<{ parts: readonly Planted[] }>();
const WEEKS = Array.from({ length: 17 }, (_, i) => i);
const regions = computed(() => props.parts.filter((p) => p.spacingMm !== undefined));
const cover = computed(() => ({
  animation: false,
  grid: { left: 44, right: 14, top: 22, bottom: 34 },
  tooltip: { trigger: 'axis', valueFormatter: (v: number) => `${v} %` },
  xAxis: { type: 'value', min: 0, max: 16, name: 'week', nameLocation: 'middle', nameGap: 20 },
  yAxis: { type: 'value', min: 0, max: 100, name: '% covered', nameTextStyle: { align: 'left' } },
  series: regions.value.map((p) => ({
    type: 'line',
    name: `${p.plant.name}, ${p.id}`,
    showSymbol: false,
    lineStyle: { color: p.plant.colour, width: 2 },
    itemStyle: { color: p.plant.colour },
    data: WEEKS.map((w) => [w, Math.round(grownAt(p, w * 7).cover * 100)]),
  })),
}));
/** Bars of light drawn by hand: the band from where it lives to where it grows well, and what it has. */
const MOST = 5;
const x = (dli: number) => 150 + (Math.min(MOST, dli) / MOST) * 230;
const bars = computed(() =>
  props.parts
    .filter((p) => p.count > 0)
    .map((p, i) => {
      const [least, good] = dliOf(p.plant);
      return {
        id: p.id,
        name: p.plant.name,
        y: 14 + i * 15,
        least: x(least),
        good: x(good),
        from: x(p.leastDli),
        to: x(p.mostDli),
        mean: x(p.meanDli),
        poor: p.meanDli < least,
      };
    }),
);
</script>

<template>
  <div class="charts">
    <ChartView
      :option="cover"
      label="Share of its ground that each planting covers, by week"
      :height="132"
      class="cover"
    />
    <svg
      :height="Math.max(60, 30 + bars.length * 15)"
      width="400"
      role="img"
      aria-label="Light of each planting against the band in which it lives"
    >
      <g v-for="b in bars" :key="b.id">
        <text :y="b.y + 4" x="144" text-anchor="end">{{ b.name }}</text>
        <rect :x="b.least" :y="b.y - 5" :width="Math.max(1, b.good - b.least)" height="10" class="band" />
        <path :d="`M${b.from} ${b.y}H${b.to}`" :class="{ poor: b.poor }" />
        <circle :cx="b.mean" :cy="b.y" r="3" :class="{ poor: b.poor }" />
      </g>
      <text
        v-for="d in [0, 1, 2, 3, 4, 5]"
        :key="d"
        :x="x(d)"
        :y="24 + bars.length * 15"
        text-anchor="middle"
      >
        {{ d }}
      </text>
      <text x="396" :y="12" text-anchor="end">mol/m²/d</text>
    </svg>
  </div>
</template>

<style scoped>
.charts {
  display: flex;
  gap: 20px;
}
.cover {
  flex: 1;
  min-width: 0;
}
text {
  font: 400 11px var(--text);
  fill: var(--ink-2);
}
.band {
  fill: var(--celadon-wash);
}
path {
  stroke: var(--celadon);
  stroke-width: 2;
}
circle {
  fill: var(--celadon);
}
path.poor {
  stroke: var(--warn);
}
circle.poor {
  fill: var(--warn);
}
</style>
