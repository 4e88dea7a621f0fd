import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { defineComponent, h, ref } from 'vue';
import { mount, type Mounted } from '../testing/mount';
import { usePreferences } from '../units/preferences';
import DayField from './DayField.vue';
import FigureField from './FigureField.vue';
import { useLocalForm } from './localForm';

const pinia = createPinia();
let shown: Mounted;
const taken: (number | string | undefined)[] = [];
let settled: () => boolean;

/** A form with a temperature and a day, as the log has them. */
const Form = defineComponent(() => {
  const celsius = ref<number>();
  const day = ref('2026-11-30');
  settled = useLocalForm().settled;
  const keep = (value: number | undefined) => {
    taken.push(value);
    celsius.value = value;
    return undefined;
  };
  const keepDay = (value: string) => {
    taken.push(value);
    day.value = value;
    return undefined;
  };
  return () => [
    h(FigureField, { class: 'celsius', label: 'water', kind: 'temperature', optional: true, value: celsius.value, apply: keep }), // prettier-ignore
    h(DayField, { class: 'day', label: 'Day', value: day.value, apply: keepDay }),
  ];
});
beforeEach(() => {
  setActivePinia(pinia);
  usePreferences().units = 'metric';
  taken.length = 0;
  shown = mount(Form, {}, pinia);
});
afterEach(() => shown.unmount());

/** Typed letter by letter, the field not left. */
function keys(selector: string, text: string): HTMLInputElement {
  const input = shown.find<HTMLInputElement>(`${selector} input`);
  for (let n = 1; n <= text.length; n++) {
    input.value = text.slice(0, n);
    input.dispatchEvent(new Event('input', { bubbles: true }));
  }
  return input;
}

describe('a form that is taken as a whole', () => {
  it('hands on what was typed when its field is left, never a keystroke on the way', () => {
    const day = keys('.day', '19 Jan 2027');
    expect(taken).toEqual([]);
    day.dispatchEvent(new Event('blur'));
    expect(taken).toEqual(['2027-01-19']);
  });

  it('is not taken while a field shows what is no value, and the last valid keystroke is not kept', () => {
    keys('.celsius', '75');
    expect(settled()).toBe(false);
    expect(taken).toEqual([]);
    keys('.celsius', '25');
    expect(settled()).toBe(true);
    expect(taken).toEqual([25]);
  });
});
