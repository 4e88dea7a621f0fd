<script setup lang="ts">
import { useTitle } from '@vueuse/core';
import { ref } from 'vue';
import { people } from '../../document/people';
import { wording } from '../../words/wording';
import DoorForm from './DoorForm.vue';

/** An invitation that was opened: an account of one's own, made once. What opens it stands behind the #, which no server is sent. */
useTitle('Utsuwa');
const secret = window.location.hash.slice(1);
const fault = ref('');
const [name, email, password] = [ref(''), ref(''), ref('')];
const isKnown = ref(false);
void people.invited(secret).then(
  (found) => ([name.value, isKnown.value] = [found.name, true]),
  (error: unknown) => (fault.value = error instanceof Error ? error.message : String(error)),
);
async function join(): Promise<void> {
  await people.join({ secret, name: name.value, email: email.value, password: password.value });
  // Whole, so that nothing that was asked before it is left of it.
  window.location.replace('/');
}
</script>

<template>
  <main v-if="fault" class="gone">
    <p role="alert" data-test="join-fault">{{ fault }}</p>
  </main>
  <DoorForm
    v-else-if="isKnown"
    :title="wording('people.join')"
    :says="wording('people.join.says')"
    :action="wording('people.join.go')"
    :submit="join"
  >
    <label class="boxed"
      >{{ wording('people.name')
      }}<input v-model="name" autocomplete="name" required maxlength="200" data-test="join-name"
    /></label>
    <label class="boxed"
      >{{ wording('people.email')
      }}<input v-model="email" type="email" autocomplete="username" required data-test="join-email"
    /></label>
    <label class="boxed"
      >{{ wording('people.newPassword')
      }}<input
        v-model="password"
        type="password"
        autocomplete="new-password"
        required
        data-test="join-password"
    /></label>
    <p class="quiet">{{ wording('people.password.rule') }}</p>
  </DoorForm>
</template>

<style scoped>
.gone {
  padding: 30vh 24px;
  text-align: center;
}
</style>
