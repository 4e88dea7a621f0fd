import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { inMm } from '../../core/words/measure';
import { PRACTICE, say } from '../../core/words/text';
import type { Finding } from '../../core/words/finding';
import { mount } from '../testing/mount';
import FindingList from './FindingList.vue';
import { usePreferences } from '../units/preferences';

const pinia = createPinia();
const shallow: Finding = {
  id: 'bed.shallow',
  severity: 'warn',
  at: { plant: 'P-1' },
  measured: 38,
  limit: 50,
  unit: 'mm',
  says: say('bed.shallow.says', {
    depth: inMm(38),
    plant: 'Cryptocoryne wendtii',
    grain: say('grain.soil'),
    where: say('where.front.left'),
  }),
  because: say('bed.shallow.because', { limit: inMm(50) }),
  source: PRACTICE,
};

describe('findings', () => {
  beforeEach(() => {
    setActivePinia(pinia);
    usePreferences().units = 'metric';
  });

  it('are counted, numbered and told with their cause', () => {
    const note: Finding = {
      ...shallow,
      id: 'vessel.label',
      severity: 'note',
      at: { field: 'vessel.labelL' },
    };
    const list = mount(FindingList, { findings: [shallow, note] }, pinia);
    expect(list.words()).toMatch(
      /^Findings 1 to settle, 1 note 1\s+38 mm of soil .* It roots in the bed and needs 50 mm\./,
    );
    expect([...list.el.querySelectorAll('li')].map((li) => li.className)).toEqual(['warn', 'note']);
  });

  it('lead to what they are about', async () => {
    const show = vi.fn();
    const list = mount(FindingList, { findings: [shallow], onShow: show }, pinia);
    await list.click('li button');
    expect(show).toHaveBeenCalledWith(shallow);
  });

  it('say when there are none, without calling anything safe', () => {
    expect(mount(FindingList, { findings: [] }, pinia).words()).toBe(
      'Findings none Nothing measured lies outside its limit.',
    );
  });

  it('speak US units', () => {
    usePreferences().units = 'us';
    expect(mount(FindingList, { findings: [shallow] }, pinia).words()).toContain('1.50 in of soil');
  });
});
