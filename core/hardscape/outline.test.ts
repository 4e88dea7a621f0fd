import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distanceTo, grownArea, isConvex, perimeter, shrunk } from '../geometry/offset';
import { anticlockwise, polygonArea, type Point } from '../geometry/polygon';
import { hullOf } from './planHull';

const box: Point[] = [
  [0, 0],
  [300, 0],
  [300, 100],
  [0, 100],
];
const ell: Point[] = [
  [0, 0],
  [300, 0],
  [300, 100],
  [200, 100],
  [200, 200],
  [0, 200],
];

describe('moving the sides of a ring', () => {
  it('outwards covers a frame with mitred corners', () => {
    expect(perimeter(box)).toBe(800);
    expect(grownArea(box, 10)).toBeCloseTo(320 * 120, 9);
    // The inward corner of an L takes away what the others add.
    expect(grownArea(ell, 10)).toBeCloseTo(320 * 120 + 220 * 100, 6);
  });

  it('inwards leaves what lies inside, or nothing', () => {
    expect(polygonArea(shrunk(box, 10))).toBeCloseTo(280 * 80, 6);
    expect(polygonArea(shrunk(ell, 10))).toBeCloseTo(280 * 80 + 180 * 100, 6);
    expect(shrunk(box, 60).length < 3 || polygonArea(shrunk(box, 60)) < 1e-6).toBe(true);
    expect(shrunk(ell, 120)).toEqual([]);
    expect(shrunk(box, 0)).toEqual(box);
  });

  it('goes either way round', () => {
    const back = [...ell].reverse();
    expect(anticlockwise(back)).toEqual(ell);
    expect(polygonArea(shrunk(back, 10))).toBeCloseTo(polygonArea(shrunk(ell, 10)), 9);
    expect([isConvex(box), isConvex(ell)]).toEqual([true, false]);
  });

  it('undoes itself on convex rings, for as long as anything is left', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 40, noNaN: true }), (by) => {
        expect(grownArea(shrunk(box, by), by)).toBeCloseTo(polygonArea(box), 4);
      }),
    );
  });
});

describe('distance to a side', () => {
  it('is square to it, or to its nearer end', () => {
    const side = [
      [0, 0],
      [10, 0],
    ] as const;
    expect(distanceTo([4, 3], side)).toBe(3);
    expect(distanceTo([13, 4], side)).toBe(5);
  });
});

describe('a hull', () => {
  it('has every point inside or on it, and is convex', () => {
    const point = fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }));
    fc.assert(
      fc.property(fc.uniqueArray(point, { minLength: 4, maxLength: 40, selector: String }), (points) => {
        const hull = hullOf(points);
        fc.pre(hull.length > 2 && polygonArea(hull) > 1);
        expect(isConvex(hull)).toBe(true);
        for (const [x, y] of points)
          hull.forEach(([ax, ay], i) => {
            const [bx, by] = hull[(i + 1) % hull.length];
            expect((bx - ax) * (y - ay) - (by - ay) * (x - ax)).toBeGreaterThanOrEqual(-1e-9);
          });
      }),
    );
  });
});
