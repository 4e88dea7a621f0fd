import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { example } from '../testing/scape';
import { mayChange, seen, SIGHTS } from './sight';

/** Names of all fields in a JSON schema. */
const fieldsIn = (value: unknown): string[] =>
  value !== null && typeof value === 'object'
    ? Object.entries(value).flatMap(([key, v]) => [
        ...(key === 'properties' ? Object.keys(v as object) : []),
        ...fieldsIn(v),
      ])
    : [];

describe('what somebody sees of a commission', () => {
  it('leaves out every field of money that the format has, by its name', () => {
    const schema = JSON.parse(readFileSync(new URL('../../docs/commission.schema.json', import.meta.url), 'utf8')) as object; // prettier-ignore
    const named = [...new Set(fieldsIn(schema))].filter((name) => /minor/i.test(name));
    expect(named.length).toBeGreaterThan(8);
    const whole = Object.fromEntries(named.map((name) => [name, 900]));
    expect([seen(whole, 'crew'), seen(whole, 'guest'), seen(whole, 'books')]).toEqual([{}, {}, whole]);
    // A pack keeps that it has a price, and not which.
    const pack = { id: 'p', leadDays: 2, priceMinor: 900, steps: [{ from: 5, priceMinor: 800 }] };
    expect(seen(pack, 'crew')).toEqual({ id: 'p', leadDays: 2, priceMinor: 0 });
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
