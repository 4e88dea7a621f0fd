<script setup lang="ts">
import { ref } from 'vue';
import { useAttempt } from '../../design/attempt';
import { canPasskey, signInWithPasskey } from '../../document/passkey';
import { mustBeIn, people } from '../../document/people';
import { wording } from '../../words/wording';
import DoorField from './DoorField.vue';
import DoorForm from './DoorForm.vue';

/** Over whatever was open: what was typed there is kept in this browser, and goes to the server after it. */
const [email, password, code, asksCode] = [ref(''), ref(''), ref(''), ref(false)];
const { fault, busy, attempt } = useAttempt();
const isIn = async () => {
  await mustBeIn();
  window.location.reload();
};
async function signIn(): Promise<void> {
  if (asksCode.value) await people.signInCode(code.value);
  else if ((await people.signIn(email.value, password.value))?.code) return void (asksCode.value = true);
  await isIn();
}
const byPasskey = () => attempt(() => signInWithPasskey().then(isIn));
function anew(): void {
  [code.value, asksCode.value] = ['', false];
}
</script>

<template>
  <DoorForm :title="wording('people.signIn')" :action="wording('people.signIn')" :submit="signIn">
    <template v-if="asksCode">
      <p class="quiet">{{ wording('people.code.says') }}</p>
      <DoorField v-model="code" :label="wording('people.code')" fills="one-time-code" test="sign-in-code" />
      <button type="button" class="act" @click="anew">{{ wording('people.code.anew') }}</button>
    </template>
    <template v-else>
      <DoorField
        v-model="email"
        :label="wording('people.email')"
        fills="username"
        type="email"
        test="sign-in-email"
      />
      <DoorField
        v-model="password"
        :label="wording('people.password')"
        fills="current-password"
        type="password"
        test="sign-in-password"
      />
    </template>
    <template v-if="!asksCode" #after>
      <button
        v-if="canPasskey()"
        type="button"
        class="act"
        :disabled="busy"
        data-test="sign-in-passkey"
        @click="byPasskey"
      >
        {{ wording('people.passkey.signIn') }}
      </button>
      <p v-if="fault" class="late" role="alert" data-test="passkey-fault">{{ fault }}</p>
      <p class="quiet">{{ wording('people.forgotten') }}</p>
    </template>
  </DoorForm>
</template>
