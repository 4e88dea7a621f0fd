import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { priceChanges, type ListLine } from './priceChanges';

const line = (article: string, priceMinor: number, more: Partial<ListLine> = {}): ListLine => ({
  article,
  name: `article ${article}`,
  priceMinor,
  ...more,
});

describe('a price list against the one before', () => {
  it('says what is new, gone, dearer, cheaper and sold by another size', () => {
    const before = [
      line('a', 1_000),
      line('b', 1_000),
      line('c', 1_000, { size: 9, unit: 'L' }),
      line('d', 200),
      line('e', 5),
      line('f', 7),
    ];
    const now = [
      line('a', 1_100),
      line('b', 900),
      line('c', 900, { size: 8, unit: 'L' }),
      line('d', 260),
      line('g', 1),
      line('f', 7),
    ];
    const found = priceChanges(before, now);
    // 30 % before 10 %.
    expect(found.dearer.map((d) => [d.article, d.wasMinor, d.isMinor])).toEqual([['d', 200, 260], ['a', 1_000, 1_100]]); // prettier-ignore
    expect(found.cheaper.map((d) => d.article)).toEqual(['b']);
    expect(found.resized).toEqual([{ article: 'c', name: 'article c', was: '9 L', is: '8 L' }]);
    expect(found.fresh.map((d) => d.article)).toEqual(['g']);
    expect(found.gone.map((d) => d.article)).toEqual(['e']);
    expect(found.same).toBe(1);
  });

  it('has nothing gone whose line could not be read', () => {
    expect(priceChanges([line('a', 1), line('b', 1)], [], new Set(['a'])).gone.map((l) => l.article)).toEqual(['b']); // prettier-ignore
  });

  it('every article of both lists is in one group, or as it was', () => {
    const list = fc.uniqueArray(fc.record({ article: fc.constantFrom(...'abcdefgh'), priceMinor: fc.nat(5), size: fc.option(fc.constantFrom(1, 2), { nil: undefined }) }), { selector: (l) => l.article }); // prettier-ignore
    fc.assert(
      fc.property(list, list, (a, b) => {
        const [before, now] = [a, b].map((l) => l.map((x): ListLine => line(x.article, x.priceMinor, x.size ? { size: x.size, unit: 'kg' } : {}))); // prettier-ignore
        const { fresh, gone, dearer, cheaper, resized, same } = priceChanges(before, now);
        const named = [...fresh, ...gone, ...dearer, ...cheaper, ...resized].map((l) => l.article);
        expect(new Set(named).size).toBe(named.length);
        expect(named.length + same).toBe(new Set([...before, ...now].map((l) => l.article)).size);
      }),
    );
  });
});
