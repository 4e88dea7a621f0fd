<script setup lang="ts">
import { computed } from 'vue';
import type { Material, Option } from '../../../core/commission/schema';
import { useMaterials } from '../../document/materials';
import { selectedLayer } from '../../frame/selection';
import type { ShownPlan } from '../../workers/planWorker';
import BedTools from './BedTools.vue';
import LayerList from './LayerList.vue';
import LayerValues from './LayerValues.vue';
import { brush } from './bedTool';
import { chosenLayer } from './chosenLayer';
import { wording } from '../../words/wording';

/** The bed: its layers, the tools it is worked with, and the typed values of the layer that is chosen. */
const props = defineProps<{ option: Option; materials: Material[]; survey?: ShownPlan['survey'] }>();
const atHand = useMaterials();
const layer = computed(() => chosenLayer(props.option.bed, selectedLayer.value));
const filler = computed(() => atHand.value.find((m) => m.kind === 'filler')?.id);
</script>

<template>
  <div class="bed">
    <LayerList :option="option" :materials="materials" :survey="survey" :chosen="layer?.id" />
    <div class="side">
      <BedTools :bed="option.bed" :filler="filler" />
      <LayerValues v-if="layer && !brush" :key="layer.id" :layer="layer" :materials="materials" />
      <p v-else-if="!layer" class="quiet">{{ wording('bedPanel.empty') }}</p>
    </div>
  </div>
</template>

<style scoped>
.bed {
  display: flex;
  height: 100%;
}
.side {
  flex: 1 1 200px;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
p {
  padding: 12px 16px;
}
</style>
