<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core';
import { keepKeys } from '../../design/commands';
import { useStudio } from '../studioStore';

/** A material out of those at hand. Where the studio has more than came with the page, it is typed for. */
defineProps<{ label: string; items: readonly { value: string; title: string }[] }>();
const chosen = defineModel<string | null | undefined>({ required: true });
const studio = useStudio();
const TYPED_MS = 120;
const lookUp = useDebounceFn((words: string) => studio.lookUp('materials', words), TYPED_MS);
</script>

<template>
  <v-autocomplete
    v-if="studio.hasMore('materials')"
    v-model="chosen"
    :label="label"
    :items="[...items]"
    @update:search="lookUp"
    @keydown="keepKeys"
  />
  <v-select v-else v-model="chosen" :label="label" :items="[...items]" />
</template>
