import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cheapestPacks, priceFor, type PackChoice } from './packs';

/** The least price by trying every mix, for small needs. */
function bruteForce(needed: number, choices: readonly PackChoice[]): number {
  const [first, ...rest] = choices;
  if (needed <= 1e-9) return 0;
  if (!first) return Infinity;
  let best = Infinity;
  for (let n = 0; n <= Math.ceil(needed / first.size); n++)
    best = Math.min(best, n * first.priceMinor + bruteForce(needed - n * first.size, rest));
  return best;
}

const priceOf = (counts: { pack: string; count: number }[], choices: readonly PackChoice[]) =>
  counts.reduce((sum, c) => sum + c.count * choices.find((p) => p.id === c.pack)!.priceMinor, 0);

describe('cheapest whole packs', () => {
  const bags = [
    { id: '3', size: 3, priceMinor: 1400 },
    { id: '9', size: 9, priceMinor: 3200 },
  ];

  it('takes five bags of 9 L for 36.45 L, four for 36 L, none for nothing', () => {
    const nine = [bags[1]];
    expect(cheapestPacks(36.45, nine)).toEqual([{ pack: '9', count: 5 }]);
    expect(cheapestPacks(36, nine)).toEqual([{ pack: '9', count: 4 }]);
    expect(cheapestPacks(0, nine)).toEqual([]);
    expect(cheapestPacks(3, [])).toBeUndefined();
  });

  it('mixes sizes where that is cheaper', () => {
    expect(cheapestPacks(11, bags)).toEqual([
      { pack: '3', count: 1 },
      { pack: '9', count: 1 },
    ]);
    expect(cheapestPacks(16.12, bags)).toEqual([{ pack: '9', count: 2 }]);
    expect(cheapestPacks(3, bags)).toEqual([{ pack: '3', count: 1 }]);
  });

  it('agrees with trying every mix, and always holds enough', () => {
    const choice = fc.record({
      size: fc.integer({ min: 1, max: 24 }).map((n) => n / 2),
      priceMinor: fc.integer({ min: 1, max: 5000 }),
    });
    fc.assert(
      fc.property(
        fc.array(choice, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 1, max: 260 }),
        (list, tenths) => {
          const choices = list.map((c, i) => ({ ...c, id: `p${i}` }));
          const needed = tenths / 10;
          const counts = cheapestPacks(needed, choices)!;
          const held = counts.reduce(
            (sum, c) => sum + c.count * choices.find((p) => p.id === c.pack)!.size,
            0,
          );
          expect(held).toBeGreaterThanOrEqual(needed - 1e-9);
          expect(priceOf(counts, choices)).toBe(bruteForce(needed, choices));
        },
      ),
      { numRuns: 200 },
    );
  });

  it('has prices by number: ten at the price of ten may be less than nine', () => {
    const cups = [{ id: 'cup', size: 1, priceMinor: 520, steps: [{ from: 10, priceMinor: 450 }] }];
    // By hand: nine at 5.20 are 46.80, ten at 4.50 are 45.00; eight at 5.20 are 41.60.
    expect([priceFor(cups[0], 9), priceFor(cups[0], 10)]).toEqual([4_680, 4_500]);
    expect(cheapestPacks(9, cups)).toEqual([{ pack: 'cup', count: 10 }]);
    expect(cheapestPacks(8, cups)).toEqual([{ pack: 'cup', count: 8 }]);
  });

  it('agrees with trying every mix where prices go by number', () => {
    const step = fc.record({ from: fc.integer({ min: 2, max: 8 }), priceMinor: fc.integer({ min: 1, max: 900 }) }); // prettier-ignore
    const choice = fc.record({
      size: fc.integer({ min: 1, max: 6 }),
      priceMinor: fc.integer({ min: 1, max: 900 }),
      steps: fc.array(step, { maxLength: 2 }),
    });
    fc.assert(
      fc.property(fc.array(choice, { minLength: 1, maxLength: 2 }), fc.integer({ min: 1, max: 24 }), (list, needed) => {
        const choices = list.map((c, i) => ({ ...c, id: `p${i}` }));
        const counts = cheapestPacks(needed, choices)!;
        const heldBy = (all: { pack: string; count: number }[]) => all.reduce((n, c) => n + c.count * choices.find((p) => p.id === c.pack)!.size, 0);
        const price = counts.reduce((n, c) => n + priceFor(choices.find((p) => p.id === c.pack)!, c.count), 0);
        expect(heldBy(counts)).toBeGreaterThanOrEqual(needed);
        let best = Infinity;
        const [a, b] = choices;
        const most = needed + 8;
        for (let n = 0; n <= most; n++)
          for (let m = 0; m <= (b ? most : 0); m++)
            if (n * a.size + m * (b?.size ?? 0) >= needed)
              best = Math.min(best, priceFor(a, n) + (b ? priceFor(b, m) : 0));
        expect(price).toBe(best);
      }),
      { numRuns: 200 },
    ); // prettier-ignore
  });
});
