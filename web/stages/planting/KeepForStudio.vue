<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Plant } from '../../../core/commission/schema';
import { api, ApiProblem } from '../../document/api';
import { useStudio } from '../../document/studioStore';
import { wording } from '../../words/wording';

/** What a plant is bought in was said here and the studio does not know it: by a press it does, for the next commission. */
const props = defineProps<{ plant: Plant }>();
const studio = useStudio();
const said = ref('');
const isNew = computed(
  () =>
    (props.plant.packs?.length ?? 0) > 0 &&
    studio.studio !== undefined &&
    !studio.studio.catalogue.plants.some((p) => p.id === props.plant.id && p.packs?.length),
);
async function keep(): Promise<void> {
  try {
    await api.keepEntry('plants', props.plant);
    await studio.again();
    said.value = wording('entries.kept', { name: props.plant.name });
  } catch (error) {
    said.value = error instanceof ApiProblem ? error.message : wording('entries.notKept');
  }
}
</script>

<template>
  <p v-if="isNew || said" data-test="keep-for-studio">
    <button v-if="isNew" class="act" @click="keep">Keep its pack in the studio’s list</button>
    <span v-if="said" role="status">{{ said }}</span>
  </p>
</template>
