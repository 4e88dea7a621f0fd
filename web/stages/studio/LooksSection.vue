<script setup lang="ts">
import { usePreferences } from '../../units/preferences';
import { wording } from '../../words/wording';

/** What whoever sits at this browser reads: units and light. */
const preferences = usePreferences();
const UNITS = [
  { value: 'metric', title: 'millimetres, litres, kilograms, °C' },
  { value: 'us', title: 'inches, US gallons, pounds, °F' },
];
const GALLONS = [
  { value: 'as-units', title: 'as the units have them' },
  { value: 'imperial', title: 'imperial gallons' },
];
const HARDNESS = [
  { value: 'degree', title: 'degrees, °d' },
  { value: 'ppm', title: 'mg/L as CaCO3' },
  { value: 'mmol', title: 'mmol/L' },
];
const THEMES = [
  { value: 'system', title: 'by the system' },
  { value: 'paper', title: 'paper, for daylight' },
  { value: 'dim', title: 'dim, for evenings in a hall' },
];
</script>

<template>
  <section class="looks">
    <h2>Units and looks</h2>
    <p class="quiet">{{ wording('looksSection.what') }}</p>
    <div class="figures">
      <v-select v-model="preferences.units" label="units" :items="UNITS" data-test="looks-units" />
      <v-select v-model="preferences.gallons" label="volumes" :items="GALLONS" />
      <v-select v-model="preferences.hardness" label="hardness" :items="HARDNESS" />
      <v-select v-model="preferences.theme" label="light" :items="THEMES" data-test="looks-theme" />
    </div>
  </section>
</template>

<style scoped>
.looks {
  max-width: 900px;
}
@media (max-width: 700px) {
  .figures {
    grid-template-columns: 1fr;
  }
}
</style>
