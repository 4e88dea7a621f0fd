import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { firstCrossing, polygonArea, polygonBounds, type Point } from '../geometry/polygon';
import { driftRegion } from './drift';

const floor: Point[] = [[0, 0], [900, 0], [900, 450], [0, 450]]; // prettier-ignore
const round = (cx: number, cy: number, r: number, n = 80): Point[] =>
  Array.from({ length: n }, (_, i): Point => [cx + r * Math.cos((i / n) * 2 * Math.PI), cy + r * Math.sin((i / n) * 2 * Math.PI)]); // prettier-ignore

describe('a drift drawn by hand', () => {
  it('is the stroke, closed and within the floor', () => {
    const ring = driftRegion(round(300, 200, 100), floor);
    expect(polygonArea(ring) / (Math.PI * 100 * 100)).toBeCloseTo(1, 1);
    expect(ring.length).toBeLessThan(60);
    const [l, f, r, b] = polygonBounds(driftRegion(round(880, 20, 100), floor));
    expect([l >= 0, f >= 0, r <= 900, b <= 450]).toEqual([true, true, true, true]);
    expect(driftRegion([[1, 1], [2, 2]], floor)).toEqual([]); // prettier-ignore
    expect(driftRegion(round(300, 200, 5), floor)).toEqual([]);
  });

  it('never crosses itself, whatever the hand did', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -50, max: 950 }), fc.integer({ min: -50, max: 500 })), { minLength: 3, maxLength: 60 }), // prettier-ignore
        (stroke) => {
          const ring = driftRegion(stroke, floor);
          if (ring.length > 0) expect(firstCrossing(ring)).toBeUndefined();
        },
      ),
      {
        numRuns: 150,
        examples: [
          [
            [
              [8, 0],
              [10, 3],
              [7, 0],
              [0, 114],
              [-4, 0],
            ],
          ],
        ],
      },
    );
  });
});
