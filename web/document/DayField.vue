<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight, mdiMenuDown } from '@mdi/js';
import { computed, ref } from 'vue';
import { localDay, type Day } from '../../core/calendar/day';
import { dayExample, dayShown, dayTyped, firstWeekday } from '../units/dayInput';
import { today } from '../units/days';
import { useStudio } from './studioStore';
import WordsField from './WordsField.vue';
import { wording } from '../words/wording';

/** A day, typed or picked, as days are written where the studio works. */
const props = defineProps<{
  label: string;
  value: Day | undefined;
  /** Without a year it is the last such day, not the next. */
  past?: boolean;
  /** Takes a day, or '' for none; answers with what is wrong, if anything. */
  apply: (day: Day | '') => string | undefined;
}>();
const studio = useStudio();
const shown = computed(() => props.value && dayShown(props.value, studio.locale));
const open = ref(false);

function typed(text: string): string | undefined {
  if (text.trim() === '') return props.apply('');
  const day = dayTyped(text, studio.locale, { day: today(), past: props.past });
  return day ? props.apply(day) : wording('dayField.noDay', { example: dayExample(studio.locale) });
}
/** The picker gives a date of this place at midnight. */
function picked(date: unknown): void {
  props.apply(localDay(date as Date));
  open.value = false;
}
</script>

<template>
  <WordsField :label="label" :value="shown" :apply="typed">
    <template #append>
      <v-menu v-model="open" :close-on-content-click="false" location="bottom start">
        <template #activator="{ props: activator }">
          <button class="pick" type="button" v-bind="activator" :aria-label="`Pick: ${label}`">▾</button>
        </template>
        <v-date-picker
          :model-value="value ? new Date(`${value}T00:00:00`) : undefined"
          hide-header
          :prev-icon="`svg:${mdiChevronLeft}`"
          :next-icon="`svg:${mdiChevronRight}`"
          :mode-icon="`svg:${mdiMenuDown}`"
          color="primary"
          :first-day-of-week="firstWeekday(studio.locale, studio.studio?.weekBegins)"
          show-adjacent-months
          @update:model-value="picked"
        />
      </v-menu>
    </template>
  </WordsField>
</template>

<style scoped>
.pick {
  border: 0;
  background: none;
  color: var(--ink-2);
  padding: 4px 2px;
  cursor: pointer;
}
</style>
