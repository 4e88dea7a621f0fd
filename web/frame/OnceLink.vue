<script setup lang="ts">
import { useClipboard } from '@vueuse/core';
import { wording } from '../words/wording';

/** A link that was just made and is shown this once: nobody keeps more of it than a hash. */
const props = defineProps<{ says: string; link: string }>();
const { copy, copied } = useClipboard({ legacy: true });
</script>

<template>
  <p class="made" role="status">
    {{ says }}
    <code data-test="link">{{ props.link }}</code>
    <button class="act" @click="copy(props.link)">
      {{ wording(copied ? 'onceLink.copied' : 'onceLink.copy') }}
    </button>
  </p>
</template>

<style scoped>
.made {
  background: var(--paper);
  border-left: 3px solid var(--celadon);
  margin: 14px 0 0;
  padding: 8px 14px;
}
code {
  display: block;
  overflow-wrap: anywhere;
  padding: 4px 0;
  user-select: all;
}
</style>
