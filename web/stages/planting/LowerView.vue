<script setup lang="ts">
import { computed } from 'vue';
import type { Grown } from '../../../core/planted/grown';
import { besideCut, cutRun } from '../../../core/view/cut';
import { displayOutline } from '../../../core/vessel/display';
import type { Drawing } from '../../drawing/drawing';
import FrontView from '../../drawing/FrontView.vue';
import PlantsFront from '../../drawing/PlantsFront.vue';
import SectionView from '../../drawing/SectionView.vue';

/** What is planted as it stands in a week: from the front, or along a section from front to back. */
const props = defineProps<
  Drawing & { grown: readonly Grown[]; section: boolean; sectionMm: number; chosen?: string }
>();
defineEmits<{ press: [event: MouseEvent] }>();
const X = (mm: number) => mm * props.k;
const Z = (mm: number) => (props.vessel.innerMm.height - mm) * props.k;

const run = computed(() =>
  cutRun(displayOutline(props.vessel), { at: [props.sectionMm, props.vessel.innerMm.width / 2], turnDeg: 0 }),
);
/** What stands within so much of the section is drawn in it, mm. */
const BESIDE_MM = 45;
/** The same plants, turned so that the section runs from left to right. */
const beside = computed((): Grown[] => {
  const along = run.value;
  if (!along) return [];
  return props.grown.map((g) => {
    const spots: number[] = [];
    for (let i = 0; i < g.spots.length; i += 3) {
      const { alongMm, rightMm } = besideCut(along, [g.spots[i], g.spots[i + 1]]);
      if (Math.abs(rightMm) <= BESIDE_MM) spots.push(alongMm, 0, g.spots[i + 2]);
    }
    return { ...g, spots: Float64Array.from(spots) };
  });
});
const wide = computed(() => X(props.section ? (run.value?.lengthMm ?? 0) : props.vessel.innerMm.length));
</script>

<template>
  <g>
    <FrontView
      v-if="!section"
      :vessel="vessel"
      :option="option"
      :materials="materials"
      :field="field"
      :survey="survey"
      :k="k"
      :plants="grown"
      :chosen-plant="chosen"
      data-test="planting-front"
    />
    <g v-else-if="run" data-test="planting-section">
      <SectionView
        :vessel="vessel"
        :option="option"
        :materials="materials"
        :field="field"
        :survey="survey"
        :k="k"
        :run="run"
        :turn-deg="0"
      />
      <PlantsFront
        :plants="beside"
        :from="0"
        :depth="1"
        :x-scale="X"
        :z-scale="Z"
        :far="0"
        :highest-mm="vessel.waterLineMm"
        :chosen="chosen"
      />
    </g>
    <path :d="`M0 -4 V ${X(vessel.innerMm.height)} H ${wide} V -4`" class="glass" />
    <rect
      v-if="!section"
      class="touch"
      :width="wide"
      :height="X(vessel.innerMm.height)"
      data-test="touch-front"
      @click.stop="$emit('press', $event)"
    />
  </g>
</template>

<style scoped>
.glass {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.touch {
  fill: transparent;
}
</style>
