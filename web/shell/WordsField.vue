<script setup lang="ts">
import { ref, watch } from 'vue';
import { keepKeys } from './commands';

/** Typed words. `apply` answers with what is wrong, if anything; what was typed stays in the field. */
const props = defineProps<{
  label: string;
  value: string | undefined;
  apply: (value: string) => string | undefined;
  lines?: number;
  type?: string;
}>();
const typed = ref('');
const fault = ref('');
watch(
  () => props.value,
  (v) => {
    typed.value = v ?? '';
    fault.value = '';
  },
  { immediate: true },
);
function commit(): void {
  if (typed.value === (props.value ?? '')) return void (fault.value = '');
  fault.value = props.apply(typed.value) ?? '';
}
function keyed(event: KeyboardEvent): void {
  keepKeys(event);
  if (event.key === 'Enter') commit();
}
</script>

<template>
  <v-textarea
    v-if="lines"
    v-model="typed"
    :label="label"
    :rows="lines"
    auto-grow
    :error-messages="fault"
    @blur="commit"
    @keydown="keepKeys"
  />
  <v-text-field
    v-else
    v-model="typed"
    :label="label"
    :type="type"
    :error-messages="fault"
    @blur="commit"
    @keydown="keyed"
  />
</template>
