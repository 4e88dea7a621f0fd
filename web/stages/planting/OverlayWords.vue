<script setup lang="ts">
import { computed } from 'vue';
import type { Plant } from '../../../core/commission/schema';
import type { ShownPlanted } from '../../workers/planWorker';
import type { Overlay } from './overlays';

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
</script>

<template>
  <p v-if="brush" class="tell alive">
    Click the corners of {{ brush.name }} on the plan, or draw round its drift in one stroke; Enter or the
    first corner closes it, Esc leaves it. By keys: arrows move the cross, Space sets a corner.
  </p>
  <p v-else-if="tool === 'cut'" class="tell alive">
    Draw a line across the region: there it is cut in two. Enter cuts it across the middle, Esc leaves it
    whole.
  </p>
  <p v-else-if="tool === 'pick'" class="tell alive">
    Touch stone or wood from above, from the front or in the picture from the seat: a portion goes there. Esc
    ends it.
  </p>
  <p v-else-if="overlay === 'light' && living && !living.lit" class="tell late">
    No lamp is listed under Vessel and site: there is no light to map.
  </p>
  <p v-else-if="overlay === 'light' && living" class="tell quiet">
    {{ guessed ? 'By the watts of the lamp alone. ' : '' }}{{ living.hours }} h a day at full output<template
      v-if="living.tinted"
      >, tinted by fresh wood</template
    >; {{ litWeek === 0 ? 'as planted' : `week ${litWeek}, under what has grown` }}.
  </p>
  <p v-else-if="overlay === 'flow' && living?.flow.length" class="tell quiet">
    {{ Math.round(living.litresPerHour) }} L an hour, {{ turnover }} times the free water.
    <label
      ><select v-model="flowAt" aria-label="Height">
        <option v-for="(l, i) in living.flow" :key="i" :value="i">
          {{ Math.round(l.zMm) }} mm above the glass
        </option>
      </select></label
    >
    A coarse picture: without friction, eddies, the jet and plants<template v-if="living.portsGuessed"
      >; outflow and intake taken at the two ends of the back</template
    >.
  </p>
  <p v-else-if="overlay === 'flow'" class="tell quiet">
    No filter with its litres an hour is listed under Vessel and site.
  </p>
  <p v-else-if="section && overlay === 'plants'" class="tell quiet">
    From front to back through the spot last touched on the plan.
  </p>
</template>

<style scoped src="./planting.css"></style>
