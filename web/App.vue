<script setup lang="ts">
import { storeToRefs } from 'pinia';
import CommandPalette from './shell/CommandPalette.vue';
import ShortcutSheet from './shell/ShortcutSheet.vue';
import { keepSending } from './shell/outbox';
import { usePreferences } from './shell/preferences';

keepSending();
const { theme } = storeToRefs(usePreferences());
</script>

<template>
  <v-app :theme="theme">
    <router-view />
    <CommandPalette />
    <ShortcutSheet />
  </v-app>
</template>
