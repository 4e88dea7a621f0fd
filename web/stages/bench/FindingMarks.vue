<script setup lang="ts">
import { computed } from 'vue';
import { useFigures } from '../../units/figures';
import type { Option, Vessel } from '../../../core/commission/schema';
import type { Finding } from '../../../core/words/finding';
import { numbered } from '../../../core/words/settleBy';

/** Numbers on the plan where findings are, the same as in the list. */
const props = defineProps<{ findings: Finding[]; option: Option; vessel: Vessel; k: number }>();

const { words } = useFigures();
const spots = computed(() =>
  numbered(props.findings).flatMap(({ n, finding }) => {
    const piece = props.option.pieces.find((p) => p.id === finding.at.piece);
    const xy = finding.at.xyMm ?? piece?.at;
    if (!xy || finding.severity === 'note') return [];
    const within = (v: number, most: number) => Math.min(Math.max(v, 12), most - 12);
    const { length, width } = props.vessel.innerMm;
    return [
      {
        n,
        x: within(xy[0] * props.k, length * props.k),
        y: within((width - xy[1]) * props.k, width * props.k),
        says: words(finding.says),
      },
    ];
  }),
);
</script>

<template>
  <g v-for="s in spots" :key="s.n" :transform="`translate(${s.x} ${s.y})`" pointer-events="none">
    <title>{{ s.says }}</title>
    <circle r="9" /><text y="4" text-anchor="middle">{{ s.n }}</text>
  </g>
</template>

<style scoped>
circle {
  fill: #c2571a;
  stroke: #fff8ef;
  stroke-width: 1.2;
}
text {
  font: 700 11px var(--text);
  fill: #fff;
}
</style>
