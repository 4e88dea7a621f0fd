<script setup lang="ts">
import { api, ApiProblem, type FiledList } from '../api';
import FileLink from '../FileLink.vue';
import { useStudio } from '../studioStore';
import { wording } from '../../words/wording';

/** A list of the studio out of Utsuwa as a file, and in again: all of it, or nothing where one line is wrong. */
const props = defineProps<{ list: FiledList }>();
const emit = defineEmits<{ says: [words: string]; taken: [] }>();
const studio = useStudio();
const TAKEN = {
  plants: 'listFile.plants',
  materials: 'listFile.materials',
  animals: 'listFile.animals',
} as const;

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  try {
    const { taken, fresh } = await api.takeList(props.list, file);
    emit('taken');
    await studio.again();
    emit('says', wording(TAKEN[props.list], { taken, fresh }));
  } catch (error) {
    const words =
      error instanceof ApiProblem
        ? wording('listFile.refused', { why: error.message })
        : wording('listFile.unreadable');
    emit('says', words);
  }
}
</script>

<template>
  <span class="files">
    <FileLink :href="api.listUrl(list)" :data-test="`${list}-out`">As CSV</FileLink>
    <label class="act"
      ><input type="file" accept=".csv,text/csv" class="sr" :data-test="`${list}-in`" @change="take" />Take in
      a list</label
    >
  </span>
</template>

<style scoped>
.files {
  display: inline-flex;
  gap: 18px;
  align-items: baseline;
}
</style>
