import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { buildDayOf } from '../../../core/buildDay/buildPlan';
import { plan } from '../../../core/pipeline/plan';
import { example } from '../../../core/testing/scape';
import { usePreferences } from '../../units/preferences';
import { mount } from '../../testing/mount';
import DayNotes from './DayNotes.vue';
import RunSheet from './RunSheet.vue';

const commission = example('held-root');
const { build } = plan(commission);
const pinia = createPinia();

beforeEach(() => {
  setActivePinia(pinia);
  usePreferences().units = 'metric';
});

describe('the run sheet', () => {
  it('lists every task in order with its clock time, who does it, and a box to tick', () => {
    const sheet = mount(RunSheet, { build }, pinia);
    const rows = [...sheet.el.querySelectorAll('section:last-of-type .row')];
    expect(rows).toHaveLength(build.tasks.length);
    expect(rows.every((r) => r.querySelector('i'))).toBe(true);
    const times = rows.map((r) => r.querySelector('.at')!.textContent!.slice(0, 5));
    expect(times[0]).toBe('08:30');
    expect([...times].sort()).toEqual(times);
    expect(sheet.words()).toContain('Person 1');
  });

  it('has the days before, the cure, and the caution at its step', () => {
    const words = mount(RunSheet, { build }, pinia).words();
    expect(words).toContain('Thu 17 Dec Start maturing the filter media');
    expect(words).toMatch(
      /Joints: 1 contact fibre and liquid glue; held by hand or on props until it grabs . Leave it 1 min/,
    );
    expect(words).toMatch(/Liquid glue gets hot on fibre/);
    expect(words).toMatch(/residual-current device/);
  });

  it('speaks the reader’s units', () => {
    usePreferences().units = 'us';
    const words = mount(RunSheet, { build }, pinia).words();
    expect(words).toMatch(/Soil, first \d\.\d+ US gal/);
    expect(words).not.toMatch(/\d L\b/);
  });
});

describe('notes beside the day', () => {
  it('name the longest chain, each caution once, and the rates', () => {
    const notes = mount(DayNotes, { build, sitting: buildDayOf(build) }, pinia);
    const cautions = [...notes.el.querySelectorAll('.caution')].map((c) => c.textContent);
    expect(new Set(cautions).size).toBe(cautions.length);
    expect(notes.words()).toMatch(/Floor sheet → .* → Fill/);
    expect(notes.words()).toMatch(/Plug 24 s/);
    expect(notes.words()).toContain('common practice');
  });
});
