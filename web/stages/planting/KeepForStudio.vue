<script setup lang="ts">
import { computed } from 'vue';
import type { Plant } from '../../../core/commission/schema';
import { useKeeping } from '../../document/catalogue/keeping';
import { useStudio } from '../../document/studioStore';

/** What a plant is bought in was said here and the studio does not know it: by a press it does, for the next commission. */
const props = defineProps<{ plant: Plant }>();
const studio = useStudio();
const { said, keep } = useKeeping('plants');
const isNew = computed(
  () =>
    (props.plant.packs?.length ?? 0) > 0 &&
    studio.studio !== undefined &&
    !studio.studio.catalogue.plants.some((p) => p.id === props.plant.id && p.packs?.length),
);
</script>

<template>
  <p v-if="isNew || said" data-test="keep-for-studio">
    <button v-if="isNew" class="act" @click="keep(plant)">Keep its pack in the studio’s list</button>
    <span v-if="said" role="status">{{ said }}</span>
  </p>
</template>
