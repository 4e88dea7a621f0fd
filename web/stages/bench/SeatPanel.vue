<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import type { Drawing } from '../../drawing/drawing';
import { useCommission } from '../../document/commissionStore';

/** The perspective from a seat of the brief; the first one, when there are any. */
defineProps<Drawing & { width: number; height: number }>();
const SeatView = defineAsyncComponent(() => import('../../drawing/SeatView.vue'));
const commission = useCommission();
const seats = computed(() => commission.document?.brief.seats ?? []);
const seatId = ref(seats.value[0]?.id ?? '');
const seat = computed(() => seats.value.find((s) => s.id === seatId.value));
</script>

<template>
  <p class="caption">
    From
    <label
      ><span class="sr">Seat</span>
      <select v-model="seatId" data-test="seat">
        <option value="">in front, a little left</option>
        <option v-for="s in seats" :key="s.id" :value="s.id">{{ s.name }}</option>
      </select></label
    >
  </p>
  <SeatView
    :vessel="vessel"
    :option="option"
    :materials="materials"
    :field="field"
    :survey="survey"
    :width="width"
    :height="height"
    :seat="seat"
    :base-height-mm="commission.document?.site?.baseHeightMm"
  />
</template>

<style scoped>
.caption {
  font: italic 15px var(--title);
  margin: 0;
}
select {
  font: 400 12px var(--text);
  color: var(--celadon);
  background: none;
  border: 0;
  max-width: 150px;
}
</style>
