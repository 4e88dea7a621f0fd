<script setup lang="ts">
import { computed, ref } from 'vue';
import { api, ApiProblem } from '../../document/api';
import { useCommission } from '../../document/commissionStore';
import { useStudio } from '../../document/studioStore';
import { wording } from '../../words/wording';

/** An animal that only this commission knows is kept for the studio by a press of its own: undo takes back what it seems to. */
const props = defineProps<{ id: string }>();
const commission = useCommission();
const studio = useStudio();
const said = ref('');
const own = computed(() => commission.document?.catalogue.animals?.find((a) => a.id === props.id));
const isKept = computed(() => studio.studio?.catalogue.animals?.some((a) => a.id === props.id) ?? true);

async function keep(): Promise<void> {
  try {
    await api.keepEntry('animals', own.value!);
    await studio.again();
    said.value = wording('entries.kept', { name: own.value!.name });
  } catch (error) {
    said.value = error instanceof ApiProblem ? error.message : wording('entries.notKept');
  }
}
</script>

<template>
  <button v-if="own && !isKept" class="act" data-test="keep-animal" @click="keep">Keep for the studio</button>
  <small v-if="said" role="status" class="quiet">{{ said }}</small>
</template>
