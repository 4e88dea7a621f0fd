<script setup lang="ts">
import { ref } from 'vue';
import { useAttempt } from '../../design/attempt';
import { addPasskey, canPasskey } from '../../document/passkey';
import { people, type Passkey } from '../../document/people';
import { momentDay } from '../../units/days';
import DoorField from '../../frame/people/DoorField.vue';
import { wording } from '../../words/wording';

/** Passkeys: the devices that let one in by themselves. */
defineProps<{ keys: readonly Passkey[] }>();
const emit = defineEmits<{ changed: [] }>();
const [name, password] = [ref(''), ref('')];
const { fault, busy, attempt } = useAttempt();
const add = () =>
  attempt(async () => {
    await addPasskey(name.value.trim(), password.value);
    [name.value, password.value] = ['', ''];
    emit('changed');
  });
const drop = (id: string) => attempt(() => people.dropKey(id).then(() => emit('changed')));
</script>

<template>
  <h3>{{ wording('people.passkeys') }}</h3>
  <p class="quiet">{{ wording('people.passkeys.what') }}</p>
  <ul>
    <li v-for="k in keys" :key="k.id" data-test="passkey">
      <b>{{ k.name }}</b>
      <span>{{
        k.usedAt
          ? wording('people.used', { day: momentDay(k.usedAt) })
          : wording('people.passkey.made', { day: momentDay(k.madeAt) })
      }}</span>
      <button class="act" data-test="passkey-drop" @click="drop(k.id)">
        {{ wording('people.passkey.drop') }}
      </button>
    </li>
  </ul>
  <form v-if="canPasskey()" @submit.prevent="add">
    <DoorField v-model="name" :label="wording('people.passkey.name')" fills="off" test="passkey-name" />
    <DoorField
      v-model="password"
      :label="wording('people.current')"
      fills="current-password"
      type="password"
      test="passkey-password"
    />
    <button class="solid" :disabled="busy" data-test="passkey-add">
      {{ wording('people.passkey.add') }}
    </button>
  </form>
  <p v-else class="quiet">{{ wording('people.passkey.cannot') }}</p>
  <p v-if="fault" class="late" role="alert" data-test="passkey-said">{{ fault }}</p>
</template>

<style scoped src="./own.css" />
