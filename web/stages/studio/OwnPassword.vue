<script setup lang="ts">
import { ref } from 'vue';
import { useAttempt } from '../../design/attempt';
import { people } from '../../document/people';
import DoorField from '../../frame/people/DoorField.vue';
import { wording } from '../../words/wording';

/** Another password: it ends every other device's session. */
const [current, next, isChanged] = [ref(''), ref(''), ref(false)];
const { fault, attempt } = useAttempt();
async function change(): Promise<void> {
  isChanged.value = await attempt(() => people.password(current.value, next.value));
  if (isChanged.value) [current.value, next.value] = ['', ''];
}
</script>

<template>
  <h3>{{ wording('people.change') }}</h3>
  <form @submit.prevent="change">
    <DoorField
      v-model="current"
      :label="wording('people.current')"
      fills="current-password"
      type="password"
      test="password-now"
    />
    <DoorField
      v-model="next"
      :label="wording('people.newPassword')"
      fills="new-password"
      type="password"
      test="password-next"
    />
    <button class="solid" data-test="password-change">{{ wording('people.change.go') }}</button>
  </form>
  <p class="quiet">{{ wording('people.password.rule') }}</p>
  <p v-if="fault || isChanged" :class="{ late: fault }" role="status" data-test="password-said">
    {{ fault || wording('people.changed') }}
  </p>
</template>

<style scoped src="./own.css" />
