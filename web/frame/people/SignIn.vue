<script setup lang="ts">
import { ref } from 'vue';
import { people } from '../../document/people';
import { wording } from '../../words/wording';
import DoorForm from './DoorForm.vue';

/** Over whatever was open: what was typed there is kept in this browser, and goes to the server after it. */
const email = ref('');
const password = ref('');
async function signIn(): Promise<void> {
  await people.signIn(email.value, password.value);
  window.location.reload();
}
</script>

<template>
  <DoorForm :title="wording('people.signIn')" :action="wording('people.signIn')" :submit="signIn">
    <label class="boxed"
      >{{ wording('people.email')
      }}<input
        v-model="email"
        type="email"
        name="email"
        autocomplete="username"
        required
        data-test="sign-in-email"
    /></label>
    <label class="boxed"
      >{{ wording('people.password')
      }}<input
        v-model="password"
        type="password"
        name="password"
        autocomplete="current-password"
        required
        data-test="sign-in-password"
    /></label>
    <p class="quiet">{{ wording('people.forgotten') }}</p>
  </DoorForm>
</template>
