<script setup lang="ts">
import { ref } from 'vue';
import { wording } from '../../words/wording';

/** What stands at the door: a heading, fields, one press; what was refused is said below it, and nothing that was typed is lost. */
const props = defineProps<{ title: string; says?: string; action: string; submit: () => Promise<unknown> }>();
const fault = ref('');
const busy = ref(false);
async function send(): Promise<void> {
  if (busy.value) return;
  [busy.value, fault.value] = [true, ''];
  try {
    await props.submit();
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <main class="door">
    <form @submit.prevent="send">
      <p class="mark">Utsuwa</p>
      <h1>{{ title }}</h1>
      <p v-if="says" class="quiet">{{ says }}</p>
      <slot />
      <p v-if="fault" class="late" role="alert" data-test="door-fault">{{ fault }}</p>
      <button class="solid" :disabled="busy" data-test="door-go">
        {{ busy ? wording('people.busy') : action }}
      </button>
    </form>
  </main>
</template>

<style scoped>
.door {
  position: fixed;
  inset: 0;
  z-index: 2500;
  overflow: auto;
  display: grid;
  place-items: center;
  background: var(--ash);
  padding: 24px 16px;
}
form {
  width: min(400px, 100%);
  background: var(--paper);
  border-top: 6px solid var(--clay);
  padding: 26px 30px 30px;
  display: grid;
  gap: 12px;
}
.mark {
  font-family: var(--display, inherit);
  font-size: 18px;
  margin: 0;
}
h1 {
  font-size: 26px;
  margin: 0;
}
p {
  margin: 0;
}
form :deep(label) {
  display: grid;
  gap: 3px;
  font-size: 13.5px;
}
form :deep(input) {
  min-height: 44px;
  padding: 8px 10px;
  font: inherit;
  font-size: 16px;
  color: var(--ink);
  background: var(--paper);
  border: 1px solid var(--ink-2);
}
.solid {
  min-height: 44px;
  margin-top: 6px;
}
</style>
