<script setup lang="ts">
import { computed } from 'vue';
import { useCommission } from '../../document/commissionStore';
import { useDocEdit } from '../../document/docEdit';
import { SHAPES, shapeOf, type ShapeChoice } from './vesselShapes';

/** The shapes a vessel can have, each as its plan. */
const commission = useCommission();
const edit = useDocEdit();
const now = computed(() => shapeOf(commission.document!.vessel));
function pick(shape: ShapeChoice): void {
  edit.vesselParts(`shape ${shape.key}`, shape.becomes(commission.document!.vessel));
}
</script>

<template>
  <div class="shapes" role="radiogroup" aria-label="Shape of the vessel">
    <button
      v-for="s in SHAPES"
      :key="s.key"
      class="plain"
      role="radio"
      :aria-checked="s.key === now"
      :data-shape="s.key"
      @click="pick(s)"
    >
      <svg width="46" height="26" viewBox="-1 -1 46 26" aria-hidden="true"><path :d="s.d" /></svg>
      {{ s.name }}
    </button>
  </div>
</template>

<style scoped>
.shapes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
}
button {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 2px;
  min-width: 58px;
  padding: 6px 5px 5px;
  font-size: 12px;
  color: var(--ink-2);
  border-bottom: 2px solid transparent;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.3;
}
[aria-checked='true'] {
  color: var(--ink);
  font-weight: 600;
  border-color: var(--celadon);
}
[aria-checked='true'] path {
  fill: var(--water);
}
</style>
