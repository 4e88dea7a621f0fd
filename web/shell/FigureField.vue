<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { celsiusFromFahrenheit, fahrenheitFromCelsius } from '../../core/units/temperature';
import { useFigures } from './figures';

/**
 * One typed figure with its unit. `apply` is given the value in the document's unit and answers with what is
 * wrong, if anything: it then stands below, and what was typed stays.
 */
const props = defineProps<{
  label: string;
  value: number | undefined;
  kind: 'length' | 'volume' | 'mass' | 'degrees' | 'temperature' | 'hardness' | 'plain' | 'money';
  unit?: string;
  optional?: boolean;
  apply: (value: number | undefined) => string | undefined;
  narrow?: boolean;
}>();

const f = useFigures();
const typed = ref('');
const fault = ref('');

const unit = computed(
  () =>
    props.unit ??
    {
      length: f.lengthUnit.value,
      volume: f.volumeUnit.value,
      mass: f.massUnit.value,
      degrees: '°',
      temperature: f.temperatureUnit.value,
      hardness: f.hardnessUnit.value,
      plain: '',
      money: '',
    }[props.kind],
);
const outward = (v: number) =>
  ({
    length: f.fromMm,
    volume: f.fromL,
    mass: f.fromKg,
    degrees: tenth,
    temperature: f.fromC,
    hardness: f.fromDegrees,
    plain: (x: number) => x,
    money: (x: number) => x / 100,
  })[props.kind](v);
const inward = (v: number) =>
  ({
    length: f.toMm,
    volume: f.toL,
    mass: f.toKg,
    degrees: (x: number) => x,
    temperature: f.toC,
    hardness: f.toDegrees,
    plain: (x: number) => x,
    money: (x: number) => Math.round(x * 100),
  })[props.kind](v);

function tenth(v: number): number {
  return Math.round(v * 10) / 10;
}

watch(
  [() => props.value, f.us, f.volumeUnit, f.hardnessUnit],
  () => {
    typed.value = props.value === undefined ? '' : String(outward(props.value));
    fault.value = '';
  },
  { immediate: true },
);

function commit(): void {
  const text = typed.value.trim().replace(',', '.');
  if (text === '') return settle(props.optional ? props.apply(undefined) : 'is missing, must be a number');
  const number = Number(text);
  if (!Number.isFinite(number)) return settle(`is "${text}" (text), must be a number`);
  if (props.value !== undefined && number === outward(props.value)) return settle(undefined);
  const asked = otherScale(number);
  if (asked) return settle(asked);
  settle(props.apply(inward(number)));
}

/** Water and rooms are between freezing and 45 °C: beyond that somebody read the other scale. */
function otherScale(number: number): string | undefined {
  if (props.kind !== 'temperature') return undefined;
  if (!f.us.value && number > 45 && number <= 113)
    return `is ${number} °C: is that °F? Then it is ${tenth(celsiusFromFahrenheit(number))} °C`;
  if (f.us.value && number >= 0 && number < 40)
    return `is ${number} °F: is that °C? Then it is ${tenth(fahrenheitFromCelsius(number))} °F`;
  return undefined;
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
