<script setup lang="ts">
import { onMounted, shallowRef } from 'vue';
import { api } from '../../document/api';
import { longDate } from '../../units/days';

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
    <b>Is today {{ dayOf(leap.now) }}?</b>
    <p>
      This machine’s clock says so, and Utsuwa last ran on {{ dayOf(leap.seen) }}. Until somebody says that it
      is right, nothing that was removed is deleted for good, and no older backup makes way for a new one. If
      it is wrong, set the clock of the machine and start Utsuwa again.
    </p>
    <button class="act" data-test="clock-right" @click="accept">It is right</button>
  </div>
</template>
