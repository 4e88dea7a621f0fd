<script setup lang="ts">
import { computed } from 'vue';
import { standingMm } from '../../../core/vessel/glass';
import { useCommission } from '../../document/commissionStore';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import type { ShownPlan } from '../../workers/planWorker';
import FloorLoad from './FloorLoad.vue';

/** The load on the floor, and what of the stand and the room it depends on. */
defineProps<{ survey: ShownPlan['survey']; visit: ShownPlan['visit'] }>();
const commission = useCommission();
const edit = useDocEdit();
const vessel = computed(() => commission.document!.vessel);
const site = computed(() => commission.document!.site);
const USES = [
  { value: 'home', title: 'home' },
  { value: 'office', title: 'office' },
  { value: 'shop', title: 'shop' },
  { value: 'assembly', title: 'for gatherings' },
];
const setFoot = (key: 'length' | 'width') => (mm: number | undefined) => {
  const bare = standingMm({ ...vessel.value, footprintMm: undefined });
  return edit.vessel('footprintMm', { ...standingMm(vessel.value), [key]: mm ?? bare[key] });
};
</script>

<template>
  <section>
    <h2>On the floor</h2>
    <FloorLoad :survey="survey" :floor="visit.floor" />
    <div class="figures">
      <FigureField
        label="stand"
        kind="mass"
        optional
        :value="vessel.standKg"
        :apply="(kg) => edit.vessel('standKg', kg)"
      />
      <FigureField
        label="base, length"
        kind="length"
        optional
        :value="vessel.footprintMm?.length"
        :apply="setFoot('length')"
      />
      <FigureField
        label="base, width"
        kind="length"
        optional
        :value="vessel.footprintMm?.width"
        :apply="setFoot('width')"
      />
      <FigureField
        label="feet"
        kind="plain"
        optional
        :value="vessel.feet"
        :apply="(n) => edit.vessel('feet', n)"
      />
      <FigureField
        label="base height"
        kind="length"
        optional
        :value="site?.baseHeightMm"
        :apply="(mm) => edit.site('baseHeightMm', mm)"
      />
      <FigureField
        label="storey, 0 ground"
        kind="plain"
        optional
        :value="site?.storey"
        :apply="(n) => edit.site('storey', n)"
        data-test="storey"
      />
      <v-select
        label="The room is"
        :items="USES"
        :model-value="site?.use ?? 'home'"
        @update:model-value="(u) => edit.site('use', u)"
      />
    </div>
  </section>
</template>
