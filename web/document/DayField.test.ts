import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { mount, type Mounted } from '../testing/mount';
import DayField from './DayField.vue';
import { useStudio } from './studioStore';

let field: Mounted;
const apply = vi.fn<(day: string) => string | undefined>();
const pinia = createPinia();
const value = () => field.find<HTMLInputElement>('input').value;

function show(locale?: string): void {
  useStudio().studio = { locale } as never;
  field = mount(DayField, { label: 'Build day', value: '2027-01-14', apply }, pinia);
}

beforeEach(() => {
  setActivePinia(pinia);
  apply.mockReset();
});
afterEach(() => field.unmount());

describe('a field for a day', () => {
  it('shows and reads days as the studio writes them', async () => {
    show();
    expect(value()).toBe('14 Jan 2027');
    await field.type('input', '3/4/2027');
    expect(apply).toHaveBeenLastCalledWith('2027-04-03');
    field.unmount();
    show('en-US');
    expect(value()).toBe('Jan 14 2027');
    await field.type('input', '3/4/2027');
    expect(apply).toHaveBeenLastCalledWith('2027-03-04');
  });

  it('keeps what is no day, and says how one is written', async () => {
    show();
    await field.type('input', '31/2/2027');
    expect(field.words()).toContain('is no day here, must be one like 14 Jan 2027');
    expect(value()).toBe('31/2/2027');
    expect(apply).not.toHaveBeenCalled();
  });

  it('hands on that it was emptied, and what is wrong with that', async () => {
    show();
    apply.mockReturnValue('is missing');
    await field.type('input', '');
    expect(apply).toHaveBeenLastCalledWith('');
    expect(field.words()).toContain('is missing');
  });
});
