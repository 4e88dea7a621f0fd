<script setup lang="ts">
import { renderSVG } from 'uqr';
import { computed, ref } from 'vue';
import { useAttempt } from '../../design/attempt';
import { people } from '../../document/people';
import DoorField from '../../frame/people/DoorField.vue';
import { wording } from '../../words/wording';

/** One-time codes: turned on with an app that reads a picture, shown once; off with the password. */
defineProps<{ on: boolean }>();
const emit = defineEmits<{ changed: [] }>();
const [password, code] = [ref(''), ref('')];
const begun = ref<{ uri: string; paper: string[] }>();
const { fault, busy, attempt } = useAttempt();
const begin = () =>
  attempt(async () => {
    begun.value = await people.beginCodes(password.value);
    password.value = '';
  });
const turnOn = () =>
  attempt(async () => {
    await people.codesOn(code.value);
    [begun.value, code.value] = [undefined, ''];
    emit('changed');
  });
const turnOff = () =>
  attempt(async () => {
    await people.codesOff(password.value);
    password.value = '';
    emit('changed');
  });
const picture = computed(
  () => begun.value && ['data:image/svg+xml', encodeURIComponent(renderSVG(begun.value.uri))].join(','),
);
/** The key as somebody types it who cannot show the picture to an app: in fours. */
const key = computed(() =>
  new URL(begun.value!.uri).searchParams.get('secret')!.replace(/.{4}(?=.)/g, '$& '),
);
</script>

<template>
  <h3>{{ wording('people.codes') }}</h3>
  <p class="quiet">{{ on ? wording('people.codes.areOn') : wording('people.codes.what') }}</p>
  <form v-if="!begun" @submit.prevent="on ? turnOff() : begin()">
    <DoorField
      v-model="password"
      :label="wording('people.current')"
      fills="current-password"
      type="password"
      test="codes-password"
    />
    <button :class="on ? 'act' : 'solid'" :disabled="busy" data-test="codes-begin">
      {{ on ? wording('people.codes.off') : wording('people.codes.begin') }}
    </button>
  </form>
  <div v-else class="begun">
    <img :src="picture" :alt="wording('people.codes.picture')" width="180" height="180" />
    <div>
      <p>{{ wording('people.codes.read') }} <code data-test="codes-key">{{ key }}</code></p>
      <p>{{ wording('people.codes.paper') }}</p>
      <p class="paper on-paper" data-test="codes-paper">
        <code v-for="c in begun.paper" :key="c">{{ c }}</code>
      </p>
      <form @submit.prevent="turnOn">
        <DoorField v-model="code" :label="wording('people.code')" fills="one-time-code" test="codes-code" />
        <button class="solid" :disabled="busy" data-test="codes-on">{{ wording('people.codes.on') }}</button>
      </form>
    </div>
  </div>
  <p v-if="fault" class="late" role="alert" data-test="codes-said">{{ fault }}</p>
</template>

<style scoped src="./own.css" />
<style scoped>
.begun {
  display: flex;
  flex-wrap: wrap;
  gap: 18px 24px;
  align-items: start;
}
.begun > div {
  flex: 1 1 320px;
}
.begun p {
  margin: 0 0 8px;
}
.begun img {
  background: #fff;
}
.paper {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
  gap: 2px 14px;
  padding: 8px 12px;
  background: var(--paper);
}
</style>
