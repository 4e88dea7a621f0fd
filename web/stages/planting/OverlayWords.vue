<script setup lang="ts">
import { computed } from 'vue';
import type { Plant } from '../../../core/commission/schema';
import type { ShownPlanted } from '../../workers/planWorker';
import type { Overlay } from './overlays';
import { wording } from '../../words/wording';

/** A line below the views: what to do with the brush, or what the light and the flow were worked out from and leave out. */
const props = defineProps<{
  brush?: Plant;
  /** What the pointer does instead of looking. */
  tool?: 'cut' | 'pick';
  overlay: Overlay;
  section: boolean;
  living?: ShownPlanted['living'];
  freeWaterL: number;
  /** The week of the light that is shown; 0 as planted. */
  litWeek: number;
}>();
const flowAt = defineModel<number>('flowAt', { required: true });
const guessed = computed(() => props.living?.lamps.some((l) => l.guessed));
const turnover = computed(() =>
  ((props.living?.litresPerHour ?? 0) / Math.max(1, props.freeWaterL)).toFixed(1),
);
/** What pumps stir beside that, L an hour. */
const stirred = computed(() => props.living?.pumps.reduce((sum, p) => sum + p.litresPerHour, 0) ?? 0);
</script>

<template>
  <p v-if="brush" class="tell alive">
    {{ wording('overlayWords.draw', { plant: brush.name }) }}
  </p>
  <p v-else-if="tool === 'cut'" class="tell alive">
    {{ wording('overlayWords.cut') }}
  </p>
  <p v-else-if="tool === 'pick'" class="tell alive">
    {{ wording('overlayWords.pick') }}
  </p>
  <p v-else-if="overlay === 'light' && living && !living.lit" class="tell late">
    {{ wording('overlayWords.noLamp') }}
  </p>
  <p v-else-if="overlay === 'light' && living" class="tell quiet">
    {{ wording(guessed ? 'overlayWords.hoursByWatts' : 'overlayWords.hours', { hours: living.hours })
    }}<template v-if="living.tinted">{{ wording('overlayWords.tinted') }}</template>;
    {{ litWeek === 0 ? 'as planted' : wording('overlayWords.inWeek', { week: litWeek }) }}.
  </p>
  <p v-else-if="overlay === 'flow' && living?.flow.length" class="tell quiet">
    <template v-if="living.litresPerHour">{{
      wording('overlayWords.flow', { litres: Math.round(living.litresPerHour), turnover })
    }}</template>
    <template v-if="stirred">
      {{ wording('overlayWords.stirred', { litres: Math.round(stirred) }) }}</template
    >
    <label
      ><select v-model="flowAt" aria-label="Height">
        <option v-for="(l, i) in living.flow" :key="i" :value="i">
          {{ Math.round(l.zMm) }} mm above the glass
        </option>
      </select></label
    >
    {{ wording('overlayWords.coarse')
    }}<template v-if="living.portsGuessed">{{ wording('overlayWords.portsGuessed') }}</template>.
  </p>
  <p v-else-if="overlay === 'flow'" class="tell quiet">
    {{ wording('overlayWords.noFilter') }}
  </p>
  <p v-else-if="section && overlay === 'plants'" class="tell quiet">
    {{ wording('overlayWords.section') }}
  </p>
</template>

<style scoped src="./planting.css"></style>
