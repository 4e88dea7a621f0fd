import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TUB_MM, tubsFor, type Soaked } from './tubsFor';

const piece = (id: string, ...sizeMm: [number, number, number]): Soaked => ({ id, sizeMm });

describe('tubs to soak in', () => {
  it('take small pieces together, the next tub when one is full, and none that is longer than they are', () => {
    // 900 × 500 × 400 mm are 180 L: boxes of 100 L and 90 L are two tubs, 30 L more goes into the first.
    const [large, middle, small] = [piece('R-1', 500, 500, 400), piece('R-2', 450, 500, 400), piece('R-3', 300, 250, 400)]; // prettier-ignore
    expect(tubsFor([small])).toEqual({ tubs: 1, tooLong: [] });
    expect(tubsFor([small, large, middle])).toEqual({ tubs: 2, tooLong: [] });
    // From corner to corner √(900² + 500² + 400²) = 1,105 mm.
    expect(tubsFor([piece('R-4', 1_100, 80, 80)]).tooLong).toEqual([]);
    expect(tubsFor([piece('R-5', 1_110, 80, 80), small])).toEqual({ tubs: 2, tooLong: ['R-5'] });
    expect(tubsFor([])).toEqual({ tubs: 0, tooLong: [] });
  });

  it('holds no tub fuller than it is, with never more tubs than pieces', () => {
    const size = fc.integer({ min: 20, max: 1_000 });
    fc.assert(
      fc.property(fc.array(fc.tuple(size, size, size), { maxLength: 30 }), (sizes) => {
        const pieces = sizes.map((s, i) => piece(`R-${i}`, ...s));
        const { tubs, tooLong } = tubsFor(pieces);
        expect(tubs).toBeLessThanOrEqual(pieces.length);
        const litres = pieces.filter((p) => !tooLong.includes(p.id)).reduce((n, p) => n + Math.min(1.8e8, p.sizeMm[0] * p.sizeMm[1] * p.sizeMm[2]), 0); // prettier-ignore
        expect((tubs - tooLong.length) * TUB_MM[0] * TUB_MM[1] * TUB_MM[2]).toBeGreaterThanOrEqual(
          litres - 1,
        );
        // First fit: two neighbours in size are never both less than half full.
        expect(tubs - tooLong.length).toBeLessThanOrEqual(Math.ceil((2 * litres) / 1.8e8) + 1);
      }),
    );
  });
});
