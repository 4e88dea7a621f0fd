import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { mount, type Mounted } from '../testing/mount';
import FigureField from './FigureField.vue';
import { usePreferences } from '../units/preferences';

let field: Mounted;
const apply = vi.fn<(v: number | undefined) => string | undefined>();
const pinia = createPinia();
const value = () => field.find<HTMLInputElement>('input').value;

beforeEach(() => {
  setActivePinia(pinia);
  usePreferences().units = 'metric';
  apply.mockReset();
});
afterEach(() => field.unmount());

function show(props: Record<string, unknown> = {}): void {
  field = mount(FigureField, { label: 'height', kind: 'length', value: 120, apply, ...props }, pinia);
}

describe('a typed figure', () => {
  it('shows its value and unit, and hands a new one on', async () => {
    show();
    expect(value()).toBe('120');
    expect(field.words()).toContain('mm');
    await field.type('input', '95.5');
    expect(apply).toHaveBeenCalledWith(95.5);
  });

  it('takes a comma for a point, and leaves alone what has not changed', async () => {
    show();
    await field.type('input', '95,5');
    expect(apply).toHaveBeenLastCalledWith(95.5);
    apply.mockClear();
    await field.type('input', '120');
    expect(apply).not.toHaveBeenCalled();
  });

  it('keeps what was typed and says what is wrong with it', async () => {
    show();
    apply.mockReturnValue('is -4, must be at least 0');
    await field.type('input', '-4');
    expect(field.words()).toContain('is -4, must be at least 0');
    expect(value()).toBe('-4');
    await field.type('input', 'high');
    expect(field.words()).toContain('is "high" (text), must be a number');
    await field.type('input', '');
    expect(field.words()).toContain('is missing, must be a number');
  });

  it('may be emptied when it is optional', async () => {
    show({ optional: true });
    await field.type('input', '');
    expect(apply).toHaveBeenCalledWith(undefined);
  });

  it('that was never answered is left alone by whoever passes by', async () => {
    show({ optional: true, value: undefined });
    await field.type('input', '');
    expect(apply).not.toHaveBeenCalled();
  });

  it('speaks the reader’s unit and hands on the document’s', async () => {
    show({ value: 254 });
    usePreferences().units = 'us';
    await nextTick();
    expect(value()).toBe('10');
    expect(field.words()).toContain('in');
    await field.type('input', '12');
    expect(apply.mock.lastCall![0]).toBeCloseTo(304.8, 9);
  });

  it('counts money in whole units and hands on minor ones', async () => {
    show({ kind: 'money', unit: 'GBP', value: 95_000 });
    expect(value()).toBe('950');
    await field.type('input', '12.34');
    expect(apply).toHaveBeenCalledWith(1234);
  });

  it('steps by the arrow keys', async () => {
    show();
    const key = new KeyboardEvent('keydown', { key: 'ArrowUp', shiftKey: true, bubbles: true });
    field.find('input').dispatchEvent(key);
    await nextTick();
    expect(apply).toHaveBeenCalledWith(130);
  });

  it('is marked by the press that comes to it, to be typed over; the next press sets the caret', async () => {
    show();
    const input = field.find<HTMLInputElement>('input');
    input.dispatchEvent(new FocusEvent('focus'));
    input.click();
    expect([input.selectionStart, input.selectionEnd]).toEqual([0, 3]);
    input.setSelectionRange(1, 1);
    input.click();
    expect([input.selectionStart, input.selectionEnd]).toEqual([1, 1]);
  });

  it('keeps letters to itself, and lets chords with Ctrl through', () => {
    show();
    const heard: string[] = [];
    field.el.addEventListener('keydown', (e) => heard.push((e as KeyboardEvent).key));
    const press = (key: string, ctrlKey: boolean) =>
      field.find('input').dispatchEvent(new KeyboardEvent('keydown', { key, ctrlKey, bubbles: true }));
    press('f', false);
    press('k', true);
    expect(heard).toEqual(['k']);
  });

  it('takes a hot tap for what it is', async () => {
    show({ kind: 'temperature', value: undefined, optional: true, hot: true });
    await field.type('input', '58');
    expect(apply).toHaveBeenCalledWith(58);
  });

  it('asks when a temperature was read on the other scale, and keeps what was typed', async () => {
    show({ kind: 'temperature', value: 24 });
    await field.type('input', '75');
    expect(apply).not.toHaveBeenCalled();
    expect(field.words()).toContain('is 75 °C: is that °F? Then it is 23.9 °C');
    expect(value()).toBe('75');
    await field.type('input', '23.9');
    expect(apply).toHaveBeenCalledWith(23.9);
    usePreferences().units = 'us';
    await nextTick();
    await field.type('input', '24');
    expect(field.words()).toContain('is 24 °F: is that °C? Then it is 75.2 °F');
  });
});
