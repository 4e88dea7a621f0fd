<script setup lang="ts">
import { useTitle } from '@vueuse/core';
import { ref } from 'vue';
import { mustBeIn, people } from '../../document/people';
import { wording } from '../../words/wording';
import DoorField from './DoorField.vue';
import DoorForm from './DoorForm.vue';

/** An invitation that was opened: an account of one's own, made once. What opens it stands behind the #, which no server is sent. */
useTitle('Utsuwa');
const secret = window.location.hash.slice(1);
const fault = ref('');
const [name, email, password] = [ref(''), ref(''), ref('')];
/** Whether it makes an account, or lets somebody in again who has one. */
const opens = ref<'account' | 'again'>();
void people.invited(secret).then(
  (found) => ([name.value, opens.value] = [found.name, found.isAgain ? 'again' : 'account']),
  (error: unknown) => (fault.value = error instanceof Error ? error.message : String(error)),
);
async function join(): Promise<void> {
  if (opens.value === 'again') await people.again(secret, password.value);
  else await people.join({ secret, name: name.value, email: email.value, password: password.value });
  await mustBeIn();
  // Whole, so that nothing that was asked before it is left of it.
  window.location.replace('/');
}
</script>

<template>
  <main v-if="fault" class="gone">
    <p role="alert" data-test="join-fault">{{ fault }}</p>
  </main>
  <DoorForm
    v-else-if="opens"
    :title="opens === 'again' ? wording('people.getIn', { name }) : wording('people.join')"
    :says="opens === 'again' ? wording('people.getIn.says') : wording('people.join.says')"
    :action="opens === 'again' ? wording('people.getIn.go') : wording('people.join.go')"
    :submit="join"
  >
    <template v-if="opens === 'account'">
      <DoorField v-model="name" :label="wording('people.name')" fills="name" test="join-name" />
      <DoorField
        v-model="email"
        :label="wording('people.email')"
        fills="username"
        type="email"
        test="join-email"
      />
    </template>
    <DoorField
      v-model="password"
      :label="wording('people.newPassword')"
      fills="new-password"
      type="password"
      test="join-password"
    />
    <p class="quiet">{{ wording('people.password.rule') }}</p>
  </DoorForm>
</template>

<style scoped>
.gone {
  padding: 30vh 24px;
  text-align: center;
}
</style>
