<script setup lang="ts">
import { shallowRef } from 'vue';
import { people, type Device } from '../../document/people';
import { momentDay } from '../../units/days';
import { wording } from '../../words/wording';

/** Where one is signed in: each device by what its browser says of itself, and a way to end it there. */
const devices = shallowRef<readonly Device[]>([]);
const load = () => people.devices().then((d) => (devices.value = d.sessions));
void load().catch(() => undefined);
const end = (id: string) => people.signOutThere(id).then(load, load);

const SYSTEMS = ['Android', 'iPhone', 'iPad', 'Windows', 'Mac OS', 'Linux'];
const BROWSERS = ['Firefox', 'Edg', 'Chrome', 'Safari'];
/** Two words of a long line: which browser, on what. */
function nameOf(device: string | null): string {
  const first = (list: string[]) => list.find((w) => device?.includes(w));
  const found = [first(BROWSERS)?.replace('Edg', 'Edge'), first(SYSTEMS)].filter(Boolean);
  return found.length > 0 ? found.join(', ') : wording('people.unknownDevice');
}
</script>

<template>
  <h3>{{ wording('people.devices') }}</h3>
  <ul>
    <li v-for="d in devices" :key="d.id" data-test="device">
      <b>{{ nameOf(d.device) }}</b>
      <span>{{ wording('people.used', { day: momentDay(d.used) }) }}</span>
      <span v-if="d.isThis">{{ wording('people.here') }}</span>
      <button v-else class="act" data-test="sign-out-there" @click="end(d.id)">
        {{ wording('people.signOutThere') }}
      </button>
    </li>
  </ul>
</template>

<style scoped src="./own.css" />
