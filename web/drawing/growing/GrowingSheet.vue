<script setup lang="ts">
import type { Day } from '../../../core/calendar/day';
import type { Planted } from '../../../core/planted/planted';
import type { Spot3 } from '../../../core/view/sightLine';
import type { Drawing } from '../drawing';
import GrowingFilm from './GrowingFilm.vue';
import GrowingStills from './GrowingStills.vue';

/** The scape growing: five stills, and the film between them. */
defineProps<{
  drawing: Omit<Drawing, 'k'>;
  parts: readonly Planted[];
  eye: Spot3;
  buildDay: Day;
  title: string;
}>();
</script>

<template>
  <div class="growing">
    <GrowingFilm v-bind="drawing" :parts="parts" :eye="eye" :build-day="buildDay" :title="title" />
    <GrowingStills v-bind="drawing" :parts="parts" :eye="eye" />
  </div>
</template>

<style scoped>
.growing {
  display: grid;
  gap: 12px;
  max-width: 900px;
  padding: 8px 0 24px;
}
</style>
