<script setup lang="ts">
import { shortDay } from '../../units/days';
import { OVERLAY_NAMES, OVERLAYS, type Overlay } from './overlays';

/** Above the views: what lies over the plan, the week that is looked at, and the plan on paper. */
defineProps<{ on: string; to: string }>();
const overlay = defineModel<Overlay>('overlay', { required: true });
const week = defineModel<number>('week', { required: true });
</script>

<template>
  <header class="bar">
    <h1>Planting</h1>
    <span role="group" aria-label="Laid over the plan" class="overlays">
      <button
        v-for="o in OVERLAYS"
        :key="o"
        class="plain"
        :class="{ on: overlay === o }"
        :aria-pressed="overlay === o"
        :data-overlay="o"
        @click="overlay = o"
      >
        {{ OVERLAY_NAMES[o] }}
      </button>
    </span>
    <label class="weeks"
      ><span class="quiet">{{ week === 0 ? 'planting day' : `week ${week}` }}, {{ shortDay(on) }}</span>
      <input
        v-model.number="week"
        type="range"
        min="0"
        max="16"
        step="1"
        aria-label="Week after planting"
        data-test="week"
      />
    </label>
    <router-link class="act" :to="to" data-test="planting-plan-link">Planting plan</router-link>
  </header>
</template>

<style scoped src="./planting.css"></style>
