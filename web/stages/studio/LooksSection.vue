<script setup lang="ts">
import { HARDNESS, MASSES, TEMPERATURES, UNITS, VOLUMES } from '../../units/choices';
import { useFigures } from '../../units/figures';
import { usePreferences } from '../../units/preferences';
import { wording } from '../../words/wording';

/** What whoever sits at this browser reads: units and light. */
const preferences = usePreferences();
const f = useFigures();
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
      <v-select v-model="preferences.gallons" label="volumes" :items="VOLUMES" data-test="looks-volumes" />
      <v-select v-model="preferences.masses" label="masses" :items="MASSES" data-test="looks-masses" />
      <v-select
        v-model="preferences.temperatures"
        label="temperatures"
        :items="TEMPERATURES"
        data-test="looks-temperatures"
      />
      <v-select v-model="preferences.hardness" label="hardness" :items="HARDNESS" />
      <v-select v-model="preferences.theme" label="light" :items="THEMES" data-test="looks-theme" />
    </div>
    <p data-test="looks-sample">
      {{
        wording('looksSection.sample', {
          length: f.length(600),
          water: f.volume(65),
          stone: f.mass(12),
          warmth: f.temperature(24, 0),
          gh: f.hardness(6),
        })
      }}
    </p>
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
