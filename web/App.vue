<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { defineAsyncComponent, onMounted, ref, watchEffect } from 'vue';
import { useRoute } from 'vue-router';
import { onOpeningKey, overlaysWanted } from './design/commands';
import { newerHere, watchForNewer } from './design/newerHere';
import { mustSignIn } from './document/api';
import { lookWhoIsHere } from './document/people';
import { keepSending } from './document/outbox';
import { usePreferences } from './units/preferences';
import { wording } from './words/wording';

/** A server that is away for a moment when they are fetched is asked again. */
const AGAIN_AFTER_MS = 2_000;
const AppOverlays = defineAsyncComponent({
  loader: () => import('./frame/AppOverlays.vue'),
  onError: (_error, retry) => void setTimeout(retry, AGAIN_AFTER_MS),
});
/** Long enough for the first rows to be drawn before anything else is fetched. */
const OVERLAYS_AFTER_MS = 1_500;
const SignIn = defineAsyncComponent(() => import('./frame/people/SignIn.vue'));
const route = useRoute();
/** Where nobody has to be signed in. */
const DOORS: readonly unknown[] = ['join', 'link'];
const preferences = usePreferences();
const idle = ref(false);

keepSending();
void lookWhoIsHere();
watchForNewer();
const reload = () => window.location.reload();
watchEffect(() => (document.documentElement.dataset.theme = preferences.light));
useEventListener(window, 'keydown', onOpeningKey);
onMounted(() => setTimeout(() => (idle.value = true), OVERLAYS_AFTER_MS));
</script>

<template>
  <p v-if="newerHere" class="newer screen-only" role="alert" data-test="newer">
    {{ wording('app.newer') }}
    <button class="solid" @click="reload">Load the newer one</button>
  </p>
  <router-view />
  <SignIn v-if="mustSignIn && !DOORS.includes(route.name)" />
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
