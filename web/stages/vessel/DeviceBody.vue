<script setup lang="ts">
import type { Site, Vessel } from '../../../core/commission/schema';
import FigureField from '../../document/FigureField.vue';

/** What a device takes up inside the vessel, where, and from which side a hand comes to it. */
type Body = NonNullable<NonNullable<Site['devices']>[number]['body']>;
const props = defineProps<{
  body?: Body;
  vessel: Vessel;
  /** Answers with what is wrong, if anything, and changes nothing then. */
  apply: (body: Body | undefined) => string | undefined;
}>();

/** To begin with: a rod as wide as two fingers in the back right corner, off the bed. */
function place(inside: boolean): void {
  const { length, width, height } = props.vessel.innerMm;
  const high = Math.round(height / 2);
  const at: [number, number] = [Math.max(0, length - 60), Math.max(0, width - 60)];
  props.apply(inside ? { sizeMm: [30, 30, high], at, zMm: Math.round(height / 4), servedFrom: 'above' } : undefined); // prettier-ignore
}
const SIDES = [
  { value: 'above', title: 'from above' },
  { value: 'left', title: 'from the left' },
  { value: 'right', title: 'from the right' },
  { value: 'front', title: 'from the front' },
];
const size = (k: 0 | 1 | 2) => (mm: number | undefined) => {
  const sizeMm = [...props.body!.sizeMm] as Body['sizeMm'];
  sizeMm[k] = mm!;
  return props.apply({ ...props.body!, sizeMm });
};
const at = (k: 0 | 1) => (mm: number | undefined) => {
  const spot = [...props.body!.at] as Body['at'];
  spot[k] = mm!;
  return props.apply({ ...props.body!, at: spot });
};
const lift = (zMm: number | undefined) => props.apply({ ...props.body!, zMm: zMm! });
</script>

<template>
  <v-switch
    :model-value="body !== undefined"
    label="inside the tank"
    data-test="inside"
    @update:model-value="(x) => place(Boolean(x))"
  />
  <div v-if="body" class="body">
    <FigureField label="wide" kind="length" :value="body.sizeMm[0]" :apply="size(0)" />
    <FigureField label="deep" kind="length" :value="body.sizeMm[1]" :apply="size(1)" />
    <FigureField label="high" kind="length" :value="body.sizeMm[2]" :apply="size(2)" />
    <FigureField label="from left" kind="length" :value="body.at[0]" :apply="at(0)" />
    <FigureField label="from front" kind="length" :value="body.at[1]" :apply="at(1)" />
    <FigureField label="above the glass" kind="length" :value="body.zMm" :apply="lift" />
    <v-select
      label="served"
      :items="SIDES"
      :model-value="body.servedFrom"
      @update:model-value="(servedFrom) => apply({ ...body!, servedFrom })"
    />
  </div>
</template>

<style scoped>
.body {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0 16px;
}
</style>
