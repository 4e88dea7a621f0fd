<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { defineAsyncComponent, onMounted, ref, watchEffect } from 'vue';
import { onOpeningKey, overlaysWanted } from './design/commands';
import { newerHere, watchForNewer } from './design/newerHere';
import { keepSending } from './document/outbox';
import { usePreferences } from './units/preferences';

const AppOverlays = defineAsyncComponent(() => import('./frame/AppOverlays.vue'));
/** Long enough for the first rows to be drawn before anything else is fetched. */
const OVERLAYS_AFTER_MS = 1_500;
const preferences = usePreferences();
const idle = ref(false);

keepSending();
watchForNewer();
const reload = () => window.location.reload();
watchEffect(() => (document.documentElement.dataset.theme = preferences.theme));
useEventListener(window, 'keydown', onOpeningKey);
onMounted(() => setTimeout(() => (idle.value = true), OVERLAYS_AFTER_MS));
</script>

<template>
  <p v-if="newerHere" class="newer screen-only" role="alert" data-test="newer">
    A newer version of Utsuwa is here, and this page is of the one before. What you typed is kept.
    <button class="solid" @click="reload">Load the newer one</button>
  </p>
  <router-view />
  <AppOverlays v-if="idle || overlaysWanted" />
</template>

<style scoped>
.newer {
  position: fixed;
  inset: auto 0 0;
  z-index: 3000;
  margin: 0;
  padding: 10px 24px;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  background: var(--paper);
  border-top: 2px solid var(--warn);
}
</style>
