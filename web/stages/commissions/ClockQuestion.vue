<script setup lang="ts">
import { onMounted, shallowRef } from 'vue';
import { api } from '../../document/api';
import { longDate } from '../../units/days';
import { wording } from '../../words/wording';

/** Asked where the machine's clock has leapt since the server last ran: nothing is deleted for good meanwhile. */
const leap = shallowRef<{ seen: string; now: string } | null>(null);
const dayOf = (moment: string) => longDate(moment.slice(0, 10));
onMounted(async () => (leap.value = (await api.clock().catch(() => ({ leap: null }))).leap));

async function accept(): Promise<void> {
  await api.acceptClock();
  leap.value = null;
}
</script>

<template>
  <div v-if="leap" class="noted" role="alert" data-test="clock">
    <b>{{ wording('clockQuestion.asks', { now: dayOf(leap.now) }) }}</b>
    <p>
      {{ wording('clockQuestion.why', { seen: dayOf(leap.seen) }) }}
    </p>
    <button class="act" data-test="clock-right" @click="accept">It is right</button>
  </div>
</template>
