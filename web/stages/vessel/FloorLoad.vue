<script setup lang="ts">
import { computed } from 'vue';
import { ENGINEER_DECIDES } from '../../../core/site/floorLoad';
import StackedBar from '../../drawing/StackedBar.vue';
import { useFigures } from '../../units/figures';
import type { ShownPlan } from '../../workers/planWorker';
import { wording } from '../../words/wording';

/** What bears on the floor, part by part, beside what rooms are usually designed for. */
const props = defineProps<{ survey: ShownPlan['survey']; floor: ShownPlan['visit']['floor'] }>();
const f = useFigures();

const WIDTH = 300;
const parts = computed(() => {
  const m = props.survey.masses;
  return [
    { name: 'water', kg: m.waterKg, fill: 'var(--water-2)' },
    { name: 'glass', kg: m.glassKg, fill: '#c5d3d0' },
    { name: 'bed', kg: m.bedKg, fill: 'var(--clay-2)' },
    { name: 'stone and wood', kg: m.piecesKg, fill: '#a9aba7' },
    { name: 'stand', kg: m.standKg, fill: 'var(--sand)' },
  ].filter((p) => p.kg > 0);
});
const most = computed(() => Math.max(props.survey.floorKnPerM2 * 1.08, usual.value[1] * 1.2));
const bar = computed(() =>
  parts.value.map((p) => ({
    key: p.name,
    value: props.survey.floorKnPerM2 * (p.kg / props.survey.floorKg),
    fill: p.fill,
  })),
);
const usual = computed(() => props.floor.usual.knPerM2);
const range = computed(() => {
  const [low, high] = usual.value.map((kn) => f.shown(kn, 'kN/m²', 1));
  return `${low.text} to ${high.text} ${high.unit}: ${f.words(props.floor.usual.name)}`;
});
</script>

<template>
  <div>
    <p>
      <b class="fig">{{ f.mass(survey.floorKg) }}</b
      >{{
        wording('floorLoad.pressure', {
          pressure: f.said(survey.floorKnPerM2, 'kN/m²', 1),
          base: f.said(survey.masses.footprintM2, 'm²', 2),
        })
      }}<template v-if="floor.footKn">, {{ f.said(floor.footKn, 'kN', 2) }} on each foot</template>
    </p>
    <StackedBar
      v-slot="{ at }"
      :parts="bar"
      :width="WIDTH"
      :most="most"
      :above="20"
      :below="14"
      label="Load on the floor beside usual design loads"
      class="bar"
    >
      <path v-for="u in usual" :key="u" :d="`M${at(u)} 10 V46`" stroke="var(--ink)" stroke-dasharray="2 2" />
      <text :x="at(usual[1]) + 6" y="14">{{ range }}</text>
    </StackedBar>
    <ul>
      <li v-for="p in parts" :key="p.name">
        <i :style="{ background: p.fill }" />{{ p.name }} <b>{{ f.mass(p.kg) }}</b>
      </li>
    </ul>
    <p class="quiet">{{ f.words(ENGINEER_DECIDES) }} {{ floor.usual.source }}.</p>
  </div>
</template>

<style scoped>
.bar {
  display: block;
  margin: 8px 0 0;
  overflow: visible;
}
text {
  font: 400 11px var(--text);
  fill: var(--ink-2);
}
ul {
  list-style: none;
  padding: 0;
  margin: 0 0 8px;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  font-size: 12px;
}
i {
  display: inline-block;
  width: 10px;
  height: 10px;
  margin-right: 5px;
}
</style>
