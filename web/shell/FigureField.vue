<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { keepKeys } from './commands';
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
  /** A temperature that may be far above that of water and rooms. */
  hot?: boolean;
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
  if (text === '') return settle(emptied());
  const number = Number(text);
  if (!Number.isFinite(number)) return settle(`is "${text}" (text), must be a number`);
  if (props.value !== undefined && number === scale.value.out(props.value)) return settle(undefined);
  const asked = props.kind === 'temperature' && !props.hot && otherScale(number, f.us.value);
  if (asked) return settle(asked);
  settle(props.apply(scale.value.in(number)));
}

/**
 * A finger cannot mark what stands there: the press that comes to a figure marks all of it, to be typed over.
 * The next press sets the caret. Coming by Tab, the browser marks it itself.
 */
let arrived = false;
function mark(event: MouseEvent): void {
  if (!(event.target instanceof HTMLInputElement)) return;
  if (arrived) event.target.select();
  arrived = false;
}

/** An answer is taken back only where there was one: passing by an empty field is no answer. */
function emptied(): string | undefined {
  if (!props.optional) return 'is missing, must be a number';
  return props.value === undefined ? undefined : props.apply(undefined);
}

function settle(says: string | undefined): void {
  fault.value = says ?? '';
}

/** Enter takes what was typed, arrows step. */
function keyed(event: KeyboardEvent): void {
  keepKeys(event);
  arrived = false;
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
    @focus="arrived = true"
    @click="mark"
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
