<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useFigures } from './figures';
import { otherScale, type FigureKind } from './scales';

/**
 * One typed figure with its unit. `apply` is given the value in the document's unit and answers with what is
 * wrong, if anything: it then stands below, and what was typed stays.
 */
const props = defineProps<{
  label: string;
  value: number | undefined;
  kind: FigureKind;
  unit?: string;
  optional?: boolean;
  apply: (value: number | undefined) => string | undefined;
  narrow?: boolean;
}>();

const f = useFigures();
const typed = ref('');
const fault = ref('');

const scale = computed(() => f.scale(props.kind));
const unit = computed(() => props.unit ?? scale.value.unit);

watch(
  [() => props.value, scale],
  () => {
    typed.value = props.value === undefined ? '' : String(scale.value.out(props.value));
    fault.value = '';
  },
  { immediate: true },
);

function commit(): void {
  const text = typed.value.trim().replace(',', '.');
  if (text === '') return settle(props.optional ? props.apply(undefined) : 'is missing, must be a number');
  const number = Number(text);
  if (!Number.isFinite(number)) return settle(`is "${text}" (text), must be a number`);
  if (props.value !== undefined && number === scale.value.out(props.value)) return settle(undefined);
  const asked = props.kind === 'temperature' && otherScale(number, f.us.value);
  if (asked) return settle(asked);
  settle(props.apply(scale.value.in(number)));
}

/** A finger cannot mark what stands there: whoever comes to a figure types over it. */
function mark(event: FocusEvent): void {
  const input = event.target as HTMLInputElement;
  // The press that brought the focus sets the caret afterwards, and would undo the mark.
  setTimeout(() => document.activeElement === input && input.select());
}

function settle(says: string | undefined): void {
  fault.value = says ?? '';
}

/** Keys stay in the field: single letters are commands elsewhere. Arrows step. */
function keyed(event: KeyboardEvent): void {
  event.stopPropagation();
  if (event.key === 'Enter') return commit();
  const sign = { ArrowUp: 1, ArrowDown: -1 }[event.key];
  if (!sign || !Number.isFinite(Number(typed.value))) return;
  event.preventDefault();
  const by = props.kind === 'length' && f.us.value ? 0.25 : event.shiftKey ? 10 : 1;
  typed.value = String(Math.round((Number(typed.value) + sign * by) * 100) / 100);
  commit();
}
</script>

<template>
  <v-text-field
    v-model="typed"
    :label="label"
    :suffix="unit"
    :error-messages="fault"
    :class="{ narrow }"
    inputmode="decimal"
    @focus="mark"
    @blur="commit"
    @keydown="keyed"
  />
</template>

<style scoped>
.narrow {
  max-width: 96px;
}
:deep(input) {
  font-weight: 600;
  text-align: right;
}
:deep(.v-text-field__suffix) {
  padding-inline-start: 5px;
  color: var(--ink-2);
  opacity: 1;
  font-size: 12px;
  min-height: 28px;
  padding-top: 2px;
  padding-bottom: 2px;
}
</style>
