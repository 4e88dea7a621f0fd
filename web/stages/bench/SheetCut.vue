<script setup lang="ts">
import { computed } from 'vue';
import type { Drawing } from '../../drawing/drawing';
import SectionView from '../../drawing/SectionView.vue';
import type { Box } from '../../drawing/sheet';
import { useFigures } from '../../units/figures';
import BedHandles from './BedHandles.vue';
import MeasureOverlay from './MeasureOverlay.vue';

/** The section at C, with the heights of the bed to take hold of. */
const props = defineProps<{
  drawing: Drawing;
  box: Box;
  cutMm: number;
  bedHandles: boolean;
  measuring: boolean;
}>();
const f = useFigures();
const k = computed(() => props.drawing.k);
</script>

<template>
  <g :transform="`translate(${box.x} ${box.y})`">
    <text class="caption" y="-16">Cut at C</text>
    <text x="66" y="-16" class="note">{{ f.length(cutMm) }}{{ box.w < 200 ? '' : ' from the left' }}</text>
    <SectionView v-bind="drawing" :cut-mm="cutMm" />
    <BedHandles
      view="section"
      :option="drawing.option"
      :vessel="drawing.vessel"
      :k="k"
      :active="bedHandles"
    />
    <text class="note" y="14" :dy="box.h">front</text>
    <text class="note" text-anchor="end" :x="box.w" y="14" :dy="box.h">back</text>
    <MeasureOverlay v-if="measuring" :w="box.w" :h="box.h" :k="k" />
  </g>
</template>

<style scoped src="./sheets.css"></style>
