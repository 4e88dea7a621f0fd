<script setup lang="ts">
import { shallowRef } from 'vue';
import { useAttempt } from '../../design/attempt';
import { useCommission } from '../../document/commissionStore';
import { people, type Member } from '../../document/people';
import { wording } from '../../words/wording';

/** Who of the crew builds this, and which guests read it: the others do not see that it is there. */
const commission = useCommission();
const all = shallowRef<readonly Member[]>([]);
const { fault, attempt } = useAttempt();
const load = () => people.members(commission.id).then(({ people: now }) => void (all.value = now));
void attempt(load);
const set = (m: Member, isOn: boolean) => attempt(() => people.setOn(commission.id, m.id, isOn).then(load));
</script>

<template>
  <section data-test="who-is-on">
    <h2>{{ wording('whoIsOn.title') }}</h2>
    <p v-if="fault" class="late" role="alert">{{ fault }}</p>
    <p v-if="all.length === 0" class="quiet">{{ wording('whoIsOn.none') }}</p>
    <label v-for="m in all" :key="m.id" :data-on="m.name" :data-is="m.on"
      ><input type="checkbox" :checked="m.on" @change="set(m, ($event.target as HTMLInputElement).checked)" />
      {{ m.name }}
      <span class="quiet">{{ wording(m.role === 'crew' ? 'people.crew' : 'people.guest') }}</span></label
    >
  </section>
</template>

<style scoped>
section {
  margin-bottom: 18px;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 40px;
}
</style>
