<script setup lang="ts">
import { shallowRef } from 'vue';
import { people, type Passkey } from '../../document/people';
import OwnCodes from './OwnCodes.vue';
import OwnPasskeys from './OwnPasskeys.vue';

/** How one gets in besides a password, or after it. */
const ways = shallowRef<{ keys: readonly Passkey[]; codes: boolean }>();
const load = () =>
  people.keys().then(
    (answer) => (ways.value = answer),
    () => undefined,
  );
void load();
</script>

<template>
  <template v-if="ways">
    <OwnPasskeys :keys="ways.keys" @changed="load" />
    <OwnCodes :on="ways.codes" @changed="load" />
  </template>
</template>
