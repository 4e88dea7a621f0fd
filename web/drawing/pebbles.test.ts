import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pebblesRound } from './pebbles';

describe('loose stones on the sheet', () => {
  it('are as many as the lot holds, from the large to the small, each foot by turns', () => {
    // Stones of 20 mm are 4.19 cm³ each: 42 of them in 176 cm³.
    const lot = pebblesRound([[0, 0, 100, 80], [300, 0, 380, 60]], 0.176, [20, 20]); // prettier-ignore
    expect(lot).toHaveLength(42);
    expect(lot.filter((p) => p.at[0] > 200)).toHaveLength(21);
    const graded = pebblesRound([[0, 0, 100, 80]], 0.05, [10, 40]);
    expect([graded[0].mm, graded.at(-1)!.mm]).toEqual([40, 10]);
  });

  it('lie clear of the ellipse of their foot, however many', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 20, noNaN: true }),
        fc.integer({ min: 5, max: 60 }),
        (litres, mm) => {
          const pebbles = pebblesRound([[0, 0, 100, 80]], litres, [5, mm]);
          expect(pebbles.length).toBeLessThanOrEqual(90);
          for (const { at } of pebbles)
            expect(((at[0] - 50) / 50) ** 2 + ((at[1] - 40) / 40) ** 2).toBeGreaterThan(1);
        },
      ),
    );
  });
});
