<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { defineAsyncComponent, onMounted, ref, watchEffect } from 'vue';
import { onOpeningKey, overlaysWanted } from './design/commands';
import { keepSending } from './document/outbox';
import { usePreferences } from './units/preferences';

const AppOverlays = defineAsyncComponent(() => import('./frame/AppOverlays.vue'));
/** Long enough for the first rows to be drawn before anything else is fetched. */
const OVERLAYS_AFTER_MS = 1_500;
const preferences = usePreferences();
const idle = ref(false);

keepSending();
watchEffect(() => (document.documentElement.dataset.theme = preferences.theme));
useEventListener(window, 'keydown', onOpeningKey);
onMounted(() => setTimeout(() => (idle.value = true), OVERLAYS_AFTER_MS));
</script>

<template>
  <router-view />
  <AppOverlays v-if="idle || overlaysWanted" />
</template>
