import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { h } from 'vue';
import { plan } from '../../../core/pipeline/plan';
import { example } from '../../../core/testing/scape';
import { usePreferences } from '../../units/preferences';
import { mount, wordsOf } from '../../testing/mount';
import TakeOffRow from './TakeOffRow.vue';

const commission = example('held-root');
const { lines } = plan(commission).takeOff;
const pinia = createPinia();

/** A row stands in a table. */
function row(id: string, props: Record<string, unknown> = {}) {
  const line = lines.find((l) => l.id === id)!;
  const given = { line, commission, orderBy: '2027-01-08', late: false, open: false, ...props };
  return mount({ render: () => h('table', h('tbody', h(TakeOffRow, given as any))) }, {}, pinia);
}

describe('a line of the take-off', () => {
  beforeEach(() => {
    setActivePinia(pinia);
    usePreferences().units = 'metric';
  });

  it('says what was measured, what is needed, the packs, from whom, by when and for how much', () => {
    const words = row('soil-granules').words();
    expect(words).toMatch(/Active soil, granules 15\.0 L 16\.1 L 2 × 9 L Marl & Timber Yard 8 Jan £64\.00/);
    expect(row('carpet-grass').find('em').textContent).toBe('Eleocharis pusilla');
  });

  it('opens its workings in place, and adds them up from the drawing to the pack', () => {
    const open = row('soil-granules', { open: true });
    const steps = [...open.el.querySelectorAll('li')].map((li) => wordsOf(li));
    expect(steps[0]).toMatch(/15\.1 L under the drawn surface 8640 cells of 5 mm/);
    expect(steps[1]).toMatch(/− 0\.13 L less pieces standing in it S-1/);
    expect(steps.at(-1)).toMatch(/18\.0 L 2 × 9 L/);
    expect(open.find('button').getAttribute('aria-expanded')).toBe('true');
  });

  it('says when it is too late, and when there is no pack', () => {
    expect(row('soil-granules', { late: true }).words()).toContain('8 Jan , too late');
    expect(row('glue', { orderBy: undefined }).words()).toContain('not in the catalogue');
  });

  it('turns measured figures into US units, not the packs, which are sold as they are', () => {
    usePreferences().units = 'us';
    const words = row('soil-granules', { open: true }).words();
    expect(words).toContain('US gal');
    expect(words).toContain('2 × 9 L');
    expect(words).toContain('cells of 0.20 in');
  });
});
