<script setup lang="ts">
import { computed, ref } from 'vue';
import { keepKeys } from '../../design/commands';
import { useRouter } from 'vue-router';
import { api } from '../../document/api';
import FileLink from '../../document/FileLink.vue';
import { useCommission } from '../../document/commissionStore';
import { lastErasure, tellErased } from '../../document/erased';
import { forget } from '../../document/journal';
import { may } from '../../document/people';
import { wording } from '../../words/wording';

/** Everything about one client: handed over in one act, erased in one act. */
const commission = useCommission();
const router = useRouter();
const client = computed(() => commission.document!.brief.client?.name ?? '');
/** What cannot be taken back is the owner's. */
const mayErase = computed(() => may('erase'));
const asked = ref(false);
const typed = ref('');
const fault = ref('');

async function erase(): Promise<void> {
  if (typed.value.trim() !== client.value)
    return void (fault.value = wording('clientData.typeName', { client: client.value }));
  try {
    await commission.flush();
    const { erased, left } = await api.eraseClient(client.value);
    tellErased(erased);
    await Promise.all(erased.map(forget));
    lastErasure.value = { count: erased.length, left };
    commission.abandon();
    await router.push('/');
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <section v-if="client && mayErase">
    <h2>What is kept about {{ client }}</h2>
    <p class="quiet">
      {{ wording('clientData.whatErasingDoes') }}
    </p>
    <p class="acts">
      <FileLink :href="api.clientExport(client)" data-test="client-export"
        >Export everything about {{ client }}</FileLink
      >
      <button v-if="!asked" class="act" data-test="erase" @click="asked = true">Erase …</button>
    </p>
    <form v-if="asked" @submit.prevent="erase">
      <v-text-field
        v-model="typed"
        :label="`Type ${client}`"
        :error-messages="fault"
        data-test="erase-name"
        @keydown="keepKeys"
      />
      <button class="solid" type="submit" data-test="erase-now">Erase for good</button>
      <button class="act" type="button" @click="asked = false">Keep</button>
    </form>
  </section>
</template>

<style scoped>
.acts {
  display: flex;
  gap: 24px;
}
form {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 16px;
  align-items: end;
  max-width: 460px;
}
</style>
