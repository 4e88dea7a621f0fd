<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue';
import { keepKeys } from '../design/commands';
import { useCommission } from './commissionStore';
import { useFormField } from './localForm';

/** Typed words. `apply` answers with what is wrong, if anything; what was typed stays in the field. */
const props = defineProps<{
  label: string;
  value: string | undefined;
  apply: (value: string) => string | undefined;
  lines?: number;
  type?: string;
  /** What is taken while nothing is typed. */
  usual?: string;
}>();
const commission = useCommission();
const typed = ref('');
const fault = ref('');
/** Typed since the field was last left: what comes from elsewhere meanwhile does not take it away. */
let pending = false;
watch(
  () => props.value,
  (v) => {
    if (pending) return;
    typed.value = v ?? '';
    fault.value = '';
  },
  { immediate: true },
);
function commit(): void {
  pending = false;
  fault.value = taken() ?? '';
}
function taken(): string | undefined {
  return typed.value === (props.value ?? '') ? undefined : props.apply(typed.value);
}
const inForm = useFormField({ commit, fault: () => fault.value });
/** With every key: kept in case the page goes before the field is left. A form is kept by whoever has it. */
function typing(): void {
  pending = true;
  if (!inForm) commission.typing(taken);
}
onBeforeUnmount(() => {
  if (pending) commit();
});
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
    @update:model-value="typing"
    @blur="commit"
    @keydown="keepKeys"
  />
  <v-text-field
    v-else
    v-model="typed"
    :label="label"
    :placeholder="usual && `usually ${usual}`"
    :persistent-placeholder="usual !== undefined"
    :type="type"
    :error-messages="fault"
    @update:model-value="typing"
    @blur="commit"
    @keydown="keyed"
  >
    <template v-if="$slots.append" #append-inner><slot name="append" /></template>
  </v-text-field>
</template>

<style scoped>
:deep(input::placeholder) {
  opacity: 1;
  color: var(--ink-2);
}
</style>
