<script setup lang="ts">
import type { Plant } from '../../../core/commission/schema';
import PlantEntries from '../../document/catalogue/PlantEntries.vue';

/** The plants of the studio, looked up while one is planted. */
defineProps<{ plants: readonly Plant[] }>();
const open = defineModel<boolean>('open', { required: true });
</script>

<template>
  <v-dialog v-model="open" width="760">
    <div class="dialog" role="dialog" aria-label="Plants of the studio" data-test="studio-plants">
      <h2>Plants of the studio</h2>
      <PlantEntries :plants="plants">
        <button class="act" data-test="close-list" @click="open = false">Close</button>
      </PlantEntries>
    </div>
  </v-dialog>
</template>
