<script setup lang="ts">
import { useLibrary } from '../design/library';
import CommandPalette from './CommandPalette.vue';
import ShortcutSheet from './ShortcutSheet.vue';

/** What lies over every screen; fetched when the first screen stands, or with the first key for it. */
useLibrary();
</script>

<template>
  <CommandPalette />
  <ShortcutSheet />
</template>
