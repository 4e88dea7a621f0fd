<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { computed, ref } from 'vue';
import { imperialGallonsFromL, usGallonsFromL } from '../../../core/units/volume';
import { useCommission } from '../../document/commissionStore';
import { decimal, useFigures } from '../../units/figures';
import PictureStrip from '../../document/PictureStrip.vue';
import { useFrame } from '../../frame/planKey';
import { VOLUMES } from '../../units/choices';
import { usePreferences } from '../../units/preferences';
import CornerList from './CornerList.vue';
import FloorSection from './FloorSection.vue';
import HeatSection from './HeatSection.vue';
import LitresChart from './LitresChart.vue';
import PowerBar from './PowerBar.vue';
import RouteLine from './RouteLine.vue';
import ShapePicker from './ShapePicker.vue';
import VesselDrawing from './VesselDrawing.vue';
import VesselParts from './VesselParts.vue';
import VesselSizes from './VesselSizes.vue';
import WaterSection from './WaterSection.vue';
import { useSteadySize } from '../../drawing/steadySize';
import { wording } from '../../words/wording';

/** The vessel and the place it goes to: drawings that are changed by hand, sentences that say what follows. */
const commission = useCommission();
const preferences = usePreferences();
const { plan } = useFrame();
const f = useFigures();
const area = ref<HTMLElement>();
const { width } = useSteadySize(area);
/** In two columns the left one, which is shorter, takes what comes last. */
const wide = useMediaQuery('(min-width: 1151px)');
const SUBJECTS = ['place', 'route', 'floor', 'power', 'water', 'tank'] as const;
const survey = computed(() => plan.value?.survey);
const reading = ref(false);

const litres = computed(() => {
  const s = survey.value;
  if (!s) return [];
  const label = commission.document!.vessel.labelL;
  return [
    ...(label === undefined ? [] : [{ name: 'on the label', l: label }]),
    { name: 'to the brim', l: s.brimL },
    { name: 'to the water line', l: s.waterLineL },
    { name: 'free, above the bed', l: s.freeWaterL },
    ...(s.sumpL > 0 ? [{ name: 'of it in the sump', l: s.sumpL }] : []),
    ...(s.chambersL > 0 ? [{ name: 'of it in chambers', l: s.chambersL }] : []),
    { name: 'in the pores of the bed', l: s.poreWaterL },
  ];
});
/** The same volume in the units that are not the reader's own, so that gallons are never mistaken. */
const others = (l: number) =>
  [
    { unit: 'L', says: `${decimal(l, 1)} L` },
    { unit: 'US gal', says: `${decimal(usGallonsFromL(l), 1)} US gal` },
    { unit: 'imp gal', says: `${decimal(imperialGallonsFromL(l), 1)} imperial gal` },
  ]
    .filter(({ unit }) => unit !== f.scale('volume').unit)
    .map(({ says }) => says)
    .join(', ');
</script>

<template>
  <div class="vessel">
    <header>
      <h1>Vessel</h1>
      <p class="quiet">{{ wording('vesselStage.how') }}</p>
    </header>
    <div class="columns">
      <div ref="area" class="drawing">
        <ShapePicker />
        <VesselDrawing :width="width" :water-line-l="survey?.waterLineL" />
        <VesselSizes />
        <CornerList v-if="commission.document!.vessel.kind === 'polygon'" />
        <section class="litres">
          <header class="section-head">
            <h2>Volume</h2>
            <v-select v-model="preferences.gallons" class="pick" label="Shown in" :items="VOLUMES" />
          </header>
          <dl>
            <template v-for="row in litres" :key="row.name">
              <dt>{{ row.name }}</dt>
              <dd><b>{{ f.volume(row.l) }}</b> <span class="quiet">{{ others(row.l) }}</span></dd>
            </template>
          </dl>
          <button class="act" data-test="read-litres" :aria-expanded="reading" @click="reading = !reading">
            {{ reading ? 'Close the chart' : 'Read litres at any height' }}
          </button>
          <LitresChart v-if="reading" />
        </section>
        <VesselParts />
        <div v-if="plan && wide" class="says">
          <HeatSection :heat="plan.visit.heat" />
          <PictureStrip title="Photographs of the place" :subjects="SUBJECTS" />
        </div>
      </div>
      <div v-if="plan" class="says">
        <RouteLine :carrying="plan.visit.carrying" />
        <FloorSection :survey="plan.survey" :visit="plan.visit" />
        <PowerBar :visit="plan.visit" :free-water-l="plan.survey.freeWaterL" />
        <WaterSection :visit="plan.visit" :care="plan.care" />
        <template v-if="!wide">
          <HeatSection :heat="plan.visit.heat" />
          <PictureStrip title="Photographs of the place" :subjects="SUBJECTS" />
        </template>
      </div>
    </div>
  </div>
</template>

<style scoped>
.vessel {
  padding: 16px 24px 30px;
}
header {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 348px;
  gap: 24px;
  margin-top: 6px;
}
.litres {
  border-top: 1px solid var(--rule);
  margin-top: 14px;
  padding-top: 10px;
  max-width: 620px;
}
.pick {
  max-width: 170px;
}
dl {
  display: grid;
  grid-template-columns: 160px 1fr;
  gap: 3px 12px;
  margin: 4px 0 0;
}
dt {
  color: var(--ink-2);
}
dd {
  margin: 0;
}
.says > :deep(section) {
  border-top: 1px solid var(--rule);
  padding: 10px 0 12px;
}
.columns > .says > :deep(section:first-child) {
  border-top: 0;
}
.drawing .says {
  max-width: 620px;
  margin-top: 8px;
}
@media (max-width: 1150px) {
  .columns {
    grid-template-columns: 1fr;
  }
  .says {
    max-width: 620px;
  }
}
</style>
