<script setup lang="ts">
import { computed } from 'vue';
import type { Commission, Option } from '../../../core/commission/schema';
import type { Drawing } from '../../drawing/drawing';
import FrontView from '../../drawing/FrontView.vue';
import GhostView, { type Ghost } from '../../drawing/GhostView.vue';
import { halfGrown } from '../../drawing/halfGrown';
import PlanView from '../../drawing/PlanView.vue';
import type { OptionPlan } from '../../frame/optionPlans';
import { wording } from '../../words/wording';

/** One state of an option from above and from the front, with where another one stands in outline over it. */
const props = defineProps<{
  doc: Commission;
  option: Option;
  found: OptionPlan;
  width: number;
  ghost?: Ghost;
}>();
const EDGE_PX = 3;
const inner = computed(() => props.doc.vessel.innerMm);
const k = computed(() => Math.max(0.05, (props.width - 2 * EDGE_PX) / inner.value.length));
const drawing = computed((): Drawing => ({
  vessel: props.doc.vessel,
  option: props.option,
  materials: props.doc.catalogue.materials,
  field: props.found.field,
  survey: props.found.plan.survey,
  k: k.value,
}));
const grown = computed(() => halfGrown(props.doc, props.option, props.found.field));
const views = computed(() => [
  { view: 'above' as const, title: wording('then.above'), upMm: inner.value.width },
  { view: 'front' as const, title: wording('then.front'), upMm: inner.value.height },
]);
</script>

<template>
  <svg
    v-for="v in views"
    :key="v.view"
    :width="width"
    :height="v.upMm * k + 2 * EDGE_PX"
    role="img"
    :aria-label="v.title"
  >
    <g :transform="`translate(${EDGE_PX} ${EDGE_PX})`">
      <PlanView v-if="v.view === 'above'" v-bind="drawing" overlay="depth" />
      <FrontView v-else v-bind="drawing" :plants="grown" />
      <GhostView
        v-if="ghost"
        :ghost="ghost"
        :view="v.view"
        :length-mm="inner.length"
        :up-mm="v.upMm"
        :k="k"
      />
      <path
        v-if="v.view === 'front'"
        :d="`M0 0 V ${inner.height * k} H ${inner.length * k} V 0`"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.6"
      />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  overflow: visible;
  margin-bottom: 12px;
}
</style>
