<script setup lang="ts">
import { ref } from 'vue';
import { ApiProblem, fetchFile } from './api';
import { wording } from '../words/wording';

/*
 * A file to take away. It is fetched by the page and not by the browser's own link: what the server has no room for at
 * the moment is asked for again, and a refusal is said beside the link, not in place of the page.
 */
const props = defineProps<{ href: string }>();
const working = ref(false);
const trouble = ref<string>();

async function take(event: MouseEvent): Promise<void> {
  // Opened in another tab or saved under another name: the browser's business.
  if (event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return;
  event.preventDefault();
  if (working.value) return;
  working.value = true;
  trouble.value = undefined;
  try {
    const { name, blob } = await fetchFile(props.href);
    const link = document.createElement('a');
    link.href = URL.createObjectURL(blob);
    link.download = name;
    link.click();
    // Taken up by the browser in this turn; kept a moment for those that begin with the next.
    setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
  } catch (error) {
    trouble.value = error instanceof ApiProblem ? error.message : wording('fileLink.failed');
  } finally {
    working.value = false;
  }
}
</script>

<template>
  <a class="act" :href="href" :aria-busy="working" @click="take"
    ><slot /><span v-if="trouble" class="file-trouble" role="alert">: {{ trouble }}</span></a
  >
</template>

<style scoped>
a[aria-busy='true'] {
  cursor: progress;
  color: var(--ink-2);
}
.file-trouble {
  color: var(--warn);
  white-space: normal;
}
</style>
