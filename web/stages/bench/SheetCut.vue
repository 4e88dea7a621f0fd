<script setup lang="ts">
import { computed } from 'vue';
import { cutRun, type Cut } from '../../../core/view/cut';
import { displayOutline } from '../../../core/vessel/display';
import type { Drawing } from '../../drawing/drawing';
import SectionView from '../../drawing/SectionView.vue';
import type { Box } from '../../drawing/sheet';
import { useFigures } from '../../units/figures';
import BedHandles from './BedHandles.vue';
import MeasureOverlay from './MeasureOverlay.vue';

/** The section at C, with the heights of the bed to take hold of where it runs from front to back. */
const props = defineProps<{
  drawing: Drawing;
  box: Box;
  cut: Cut;
  bedHandles: boolean;
  measuring: boolean;
}>();
const f = useFigures();
const run = computed(() => cutRun(displayOutline(props.drawing.vessel), props.cut));
/** A cut that is longer than the view is drawn smaller. */
const k = computed(() => Math.min(props.drawing.k, props.box.w / (run.value?.lengthMm ?? 1)));
const high = computed(() => props.drawing.vessel.innerMm.height * k.value);
/** A chamber in front of the cut leaves room where it is, so that a height stands beside its pane. */
const aside = computed(() => (props.cut.turnDeg === 0 && run.value ? run.value.from[1] * k.value : 0));
const ends = computed(() => {
  const { turnDeg } = props.cut;
  if (Math.abs(turnDeg) <= 45) return ['front', 'back'];
  return turnDeg < 0 ? ['left', 'right'] : ['right', 'left'];
});
const where = computed(() => {
  // Beside a view as narrow as that there is no room for it.
  if (props.box.w < 110) return '';
  const [x, y] = props.cut.at;
  const across = props.cut.turnDeg === -90;
  const turned = across || props.cut.turnDeg === 0 ? '' : `, turned ${props.cut.turnDeg}°`;
  // Beside the name there is room for so much, px.
  const side = props.box.w < (turned ? 290 : 200) ? '' : across ? ' from the front' : ' from the left';
  return `${f.length(across ? y : x)}${side}${turned}`;
});
</script>

<template>
  <g :transform="`translate(${box.x} ${box.y})`">
    <text class="caption" y="-16">Cut at C</text>
    <text x="66" y="-16" class="note" data-test="cut-where">{{ where }}</text>
    <g v-if="run" :transform="`translate(${aside} 0)`">
      <SectionView v-bind="drawing" :k="k" :run="run" :turn-deg="cut.turnDeg" />
    </g>
    <BedHandles
      v-if="cut.turnDeg === 0"
      view="section"
      :option="drawing.option"
      :vessel="drawing.vessel"
      :k="k"
      :active="bedHandles"
    />
    <text class="note" y="14" :dy="high">{{ ends[0] }}</text>
    <text class="note" text-anchor="end" :x="aside + (run?.lengthMm ?? 0) * k" y="14" :dy="high">
      {{ ends[1] }}
    </text>
    <MeasureOverlay v-if="measuring" :w="box.w" :h="high" :k="k" />
  </g>
</template>

<style scoped src="./sheets.css"></style>
