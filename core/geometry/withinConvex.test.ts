import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { polygonContains, type Polygon } from './polygon';
import { withinConvex } from './withinConvex';

const square: Polygon = [[2, -1], [4, -1], [4, 1], [2, 1]]; // prettier-ignore

describe('the part of a segment within a convex ring', () => {
  it('is known by hand', () => {
    expect(withinConvex([0, 0], [10, 0], square)).toEqual([0.2, 0.4]);
    expect(withinConvex([0, 0], [10, 0], square.toReversed())).toEqual([0.2, 0.4]);
    expect(withinConvex([3, 0], [3, 5], square)).toEqual([0, 0.2]);
    expect(withinConvex([0, 2], [10, 2], square)).toBeUndefined();
    expect(withinConvex([5, 0], [9, 0], square)).toBeUndefined();
  });

  it('has its points inside and those beyond it outside', () => {
    const at = fc.tuple(fc.integer({ min: -6, max: 12 }), fc.integer({ min: -6, max: 6 }));
    fc.assert(
      fc.property(at, at, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (a, b, t) => {
        if (a[0] === b[0] && a[1] === b[1]) return;
        const part = withinConvex(a, b, square);
        const [x, y] = [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];
        const isWithin = part !== undefined && t > part[0] && t < part[1];
        const edge = Math.min(Math.abs(x - 2), Math.abs(x - 4), Math.abs(y + 1), Math.abs(y - 1)) < 1e-6;
        if (!edge) expect(isWithin).toBe(polygonContains(square, x, y));
      }),
    );
  });
});
