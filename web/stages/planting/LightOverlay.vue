<script setup lang="ts">
import { computed } from 'vue';
import type { Vessel } from '../../../core/commission/schema';
import type { ShownPlanted } from '../../workers/planWorker';
import { lightPicture } from './overlays';

/** The light of a day on the bed. */
const props = defineProps<{ living: ShownPlanted['living']; vessel: Vessel; k: number }>();
const picture = computed(() => lightPicture(props.living));
</script>

<template>
  <image
    :href="picture"
    :width="vessel.innerMm.length * k"
    :height="vessel.innerMm.width * k"
    preserveAspectRatio="none"
    pointer-events="none"
    data-test="light-map"
  />
</template>
