<script setup lang="ts">
import { ref } from 'vue';
import { people } from '../../document/people';
import { wording } from '../../words/wording';

/** Another password: it ends every other device's session. */
const [current, next, said, isWrong] = [ref(''), ref(''), ref(''), ref(false)];
async function change(): Promise<void> {
  try {
    await people.password(current.value, next.value);
    [current.value, next.value] = ['', ''];
    [said.value, isWrong.value] = [wording('people.changed'), false];
  } catch (error) {
    [said.value, isWrong.value] = [error instanceof Error ? error.message : String(error), true];
  }
}
</script>

<template>
  <h3>{{ wording('people.change') }}</h3>
  <form @submit.prevent="change">
    <label
      >{{ wording('people.current')
      }}<input
        v-model="current"
        type="password"
        autocomplete="current-password"
        required
        data-test="password-now"
    /></label>
    <label
      >{{ wording('people.newPassword')
      }}<input v-model="next" type="password" autocomplete="new-password" required data-test="password-next"
    /></label>
    <button class="solid" data-test="password-change">{{ wording('people.change.go') }}</button>
  </form>
  <p class="quiet">{{ wording('people.password.rule') }}</p>
  <p v-if="said" :class="{ late: isWrong }" role="status" data-test="password-said">{{ said }}</p>
</template>

<style scoped>
h3 {
  margin: 22px 0 4px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: end;
}
label {
  display: grid;
  gap: 3px;
}
input {
  min-height: 40px;
  min-width: 220px;
  padding: 6px 10px;
  font: inherit;
  background: var(--paper);
  color: var(--ink);
  border: 1px solid var(--ink-2);
}
</style>
