<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { keepKeys } from '../design/commands';
import { useCommission } from './commissionStore';
import { useFormField } from './localForm';
import { useFigures } from '../units/figures';
import { otherScale, systemOf, type FigureKind } from '../../core/words/scales';
import { typedFigure } from '../../core/words/typed';
import { useStudio } from './studioStore';
import { wording } from '../words/wording';

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
  /** What is taken while nothing is typed, as it would be typed. */
  usual?: number | string;
  /** A temperature that may be far above that of water and rooms. */
  hot?: boolean;
}>();

const f = useFigures();
const commission = useCommission();
const studio = useStudio();
const typed = ref('');
const fault = ref('');

const scale = computed(() => f.scale(props.kind, props.unit));
const unit = computed(() => props.unit ?? scale.value.unit);

/** Typed since the field was last left: an answer that comes meanwhile, to the field before this one say, does not take it away. */
let pending = false;
watch(
  [() => props.value, scale],
  () => {
    if (pending) return;
    typed.value = props.value === undefined ? '' : String(scale.value.out(props.value));
    fault.value = '';
  },
  { immediate: true },
);

function commit(): void {
  pending = false;
  fault.value = taken() ?? '';
}

/** Hands on what was typed; answers with what is wrong with it, if anything. */
function taken(): string | undefined {
  const text = typed.value.trim();
  if (text === '') return emptied();
  // What stands there as it was shown is no answer: digits that were not shown are not lost.
  if (props.value !== undefined && text === String(scale.value.out(props.value))) return undefined;
  const read = typedFigure(text, props.kind, { ...f.habits.value, locale: studio.locale, unit: props.unit });
  if (!read.ok) return f.words(read.says);
  const isBare = Number.isFinite(Number(text.replace(',', '.')));
  const asked = props.kind === 'temperature' && isBare && !props.hot && otherScale(scale.value.out(read.value), systemOf('temperature', f.habits.value) === 'us'); // prettier-ignore
  return asked ? f.words(asked) : props.apply(read.value);
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
  if (!props.optional) return wording('figureField.missing');
  return props.value === undefined ? undefined : props.apply(undefined);
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
    :placeholder="usual === undefined ? undefined : `usually ${usual}`"
    :persistent-placeholder="usual !== undefined"
    :error-messages="fault"
    :class="{ narrow }"
    :inputmode="f.us.value && kind === 'length' ? 'text' : 'decimal'"
    @update:model-value="typing"
    @focus="arrived = true"
    @click="mark"
    @blur="commit"
    @keydown="keyed"
  />
</template>

<style scoped>
:deep(input::placeholder) {
  font-weight: 400;
}
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
