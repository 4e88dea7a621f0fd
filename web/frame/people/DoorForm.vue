<script setup lang="ts">
import { useAttempt } from '../../design/attempt';
import { wording } from '../../words/wording';

/** What stands at the door: a heading, fields, one press; what was refused is said below it, and nothing that was typed is lost. */
const props = defineProps<{ title: string; says?: string; action: string; submit: () => Promise<unknown> }>();
const { fault, busy, attempt } = useAttempt();
</script>

<template>
  <main class="door">
    <form @submit.prevent="attempt(props.submit)">
      <p class="mark">Utsuwa</p>
      <h1>{{ title }}</h1>
      <p v-if="says" class="quiet">{{ says }}</p>
      <slot />
      <p v-if="fault" class="late" role="alert" data-test="door-fault">{{ fault }}</p>
      <button class="solid" :disabled="busy" data-test="door-go">
        {{ busy ? wording('people.busy') : action }}
      </button>
      <slot name="after" />
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
.solid {
  min-height: 44px;
  margin-top: 6px;
}
</style>
