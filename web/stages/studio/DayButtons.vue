<script setup lang="ts">
import { weekday } from '../../../core/commission/primitives';
import type { Weekday } from '../../../core/calendar/day';

/** Days of a week, each on or off; without any said, every day is one. */
const props = defineProps<{ days?: readonly Weekday[]; label: string }>();
const emit = defineEmits<{ change: [days: Weekday[]] }>();
const DAYS = weekday.options;
const isOn = (day: Weekday) => !props.days || props.days.includes(day);
const toggle = (day: Weekday) => emit('change', DAYS.filter((d) => isOn(d) !== (d === day))); // prettier-ignore
</script>

<template>
  <span class="days" role="group" :aria-label="label">
    <button
      v-for="d in DAYS"
      :key="d"
      class="plain day"
      :class="{ on: isOn(d) }"
      :aria-pressed="isOn(d)"
      @click="toggle(d)"
    >
      {{ d }}
    </button>
  </span>
</template>

<style scoped>
.days {
  display: flex;
  flex-wrap: wrap;
}
.day {
  min-width: 44px;
  min-height: 36px;
  border: 1px solid var(--rule);
  color: var(--ink-2);
  text-align: center;
}
.day.on {
  background: var(--paper);
  color: var(--ink);
  font-weight: 600;
  border-bottom: 3px solid var(--clay);
}
</style>
