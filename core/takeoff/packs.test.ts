import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cheapestPacks, type PackChoice } from './packs';

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
});
