<script setup lang="ts">
import { computed, ref } from 'vue';
import { innerFromOuter, outerMm } from '../../../core/vessel/glass';
import { useCommission } from '../../document/commissionStore';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import { resized } from './vesselShapes';

/** Sizes typed instead of drawn: inner, or outer with the glass taken off. */
const commission = useCommission();
const edit = useDocEdit();
const outside = ref(false);
const vessel = computed(() => commission.document!.vessel);
const KEYS = ['length', 'width', 'height'] as const;
const outer = computed(() => {
  const [length, width, height] = outerMm(vessel.value);
  return { length, width, height };
});
const shown = computed(() => (outside.value ? outer.value : vessel.value.innerMm));

function setSize(key: (typeof KEYS)[number], mm: number): string | undefined {
  const v = vessel.value;
  if (!outside.value) return edit.vesselParts(key, resized(v, key, mm));
  const wanted = { ...outer.value, [key]: mm };
  const inner = innerFromOuter([wanted.length, wanted.width, wanted.height], v.glassMm, v.baseMm);
  return edit.vesselParts(key, resized(v, key, inner[key]));
}
const LABEL = { length: 'length, left to right', width: 'width, front to back', height: 'height' };
</script>

<template>
  <div class="figures sizes">
    <FigureField
      v-for="key in KEYS"
      :key="key"
      :label="outside ? `${key}, outside` : LABEL[key]"
      kind="length"
      :value="shown[key]"
      :apply="(mm) => setSize(key, mm!)"
      :data-test="key"
    />
    <FigureField
      v-if="vessel.kind === 'bow'"
      label="bow stands out"
      kind="length"
      :value="vessel.bowMm"
      :apply="(mm) => edit.vessel('bowMm', mm)"
      data-test="bow"
    />
    <FigureField
      label="water line"
      kind="length"
      :value="vessel.waterLineMm"
      :apply="(mm) => edit.vessel('waterLineMm', mm)"
      data-test="line"
    />
    <FigureField
      label="glass"
      kind="length"
      :value="vessel.glassMm"
      :apply="(mm) => edit.vessel('glassMm', mm)"
      data-test="glass"
    />
    <FigureField
      label="bottom pane"
      kind="length"
      optional
      :value="vessel.baseMm"
      :apply="(mm) => edit.vessel('baseMm', mm)"
    />
    <FigureField
      label="on the label"
      kind="volume"
      optional
      :value="vessel.labelL"
      :apply="(l) => edit.vessel('labelL', l)"
      data-test="label"
    />
    <button class="act" :aria-pressed="outside" @click="outside = !outside">
      {{ outside ? 'Type inner sizes' : 'Measured outside?' }}
    </button>
  </div>
</template>

<style scoped>
.sizes {
  max-width: 580px;
  padding-top: 8px;
}
/* Three abreast would cut their names. */
@media (max-width: 560px) {
  .sizes {
    grid-template-columns: 1fr 1fr;
  }
}
.act {
  text-align: left;
  align-self: end;
}
</style>
