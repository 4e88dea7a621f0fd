import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { example, parsed } from '../testing/scape';
import { changesBetween } from './changes';
import { parseCommission } from './parse';
import { mayChange, seen, SIGHTS } from './sight';

/** The demo's commissions, in which everything stands that can. */
const DEMO = new URL('../../demo/', import.meta.url);
const EXAMPLES = readdirSync(DEMO).filter(
  (f) => f.endsWith('.json') && JSON.parse(readFileSync(new URL(f, DEMO), 'utf8')).brief,
);
const demo = (name: string) => parsed(JSON.parse(readFileSync(new URL(name, DEMO), 'utf8')));
/** Every figure of money in a value, by the name of its field. */
const money = (value: unknown): number[] =>
  value !== null && typeof value === 'object'
    ? Object.entries(value).flatMap(([key, v]) => (/minor$/i.test(key) ? [v as number] : money(v)))
    : [];

describe('what somebody sees of a commission', () => {
  it.each(EXAMPLES)('%s is one for each, without a sum of money for who builds or reads', (name) => {
    const whole = {
      ...demo(name),
      quote: { hourMinor: 4_500, extras: [{ key: 'x', name: 'Crane', minor: 9 }] },
    };
    expect(money(whole).some((m) => m > 0)).toBe(true);
    for (const sight of SIGHTS) {
      const theirs = seen(whole, sight);
      expect([sight, parseCommission(JSON.parse(JSON.stringify(theirs))).ok]).toEqual([sight, true]);
      if (sight !== 'books') expect([sight, money(theirs).filter((m) => m !== 0)]).toEqual([sight, []]);
      // What may be changed is seen as it is, so that a change of it says truly what it was before.
      for (const { path } of changesBetween(whole, theirs)) expect(mayChange(sight, [{ path }])).toBe(false);
    }
  });

  it('has its pictures for who builds it, and none of a home for the books', () => {
    const pictures = [{ id: 'a'.repeat(32), day: '2027-01-02' }];
    const whole = { ...example('held-root'), pictures };
    expect(seen(whole, 'crew').pictures).toEqual(pictures);
    expect(seen(whole, 'books')).not.toHaveProperty('pictures');
  });

  it('is changed by the crew in the log and in what came, by the books in what was paid, by guests nowhere', () => {
    const may = (sight: (typeof SIGHTS)[number], ...parts: string[]) => mayChange(sight, parts.map((p) => ({ path: [p, { id: '1' }, 'x'] }))); // prettier-ignore
    expect([may('crew', 'log', 'received'), may('crew', 'log', 'options'), may('crew', 'quote')]).toEqual([true, false, false]); // prettier-ignore
    expect([may('books', 'taken'), may('books', 'brief')]).toEqual([true, false]);
    expect(may('guest', 'log')).toBe(false);
    expect(mayChange('crew', [{ path: [] }])).toBe(false);
    expect(mayChange('crew', [{ path: [{ id: 'log' }] }])).toBe(false);
  });
});
