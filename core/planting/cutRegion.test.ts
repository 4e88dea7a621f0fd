import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { commonArea } from '../geometry/offset';
import { polygonArea, type Point } from '../geometry/polygon';
import { acrossMiddle, joinedRegion, splitAcross, splitRegion } from './cutRegion';

const box = (x: number, y: number, w: number, d: number): Point[] => [[x, y], [x + w, y], [x + w, y + d], [x, y + d]]; // prettier-ignore

describe('a region that is cut', () => {
  it('has two parts that make up the whole', () => {
    fc.assert(
      fc.property(
        fc.record({ x: fc.integer({ min: 0, max: 500 }), y: fc.integer({ min: 0, max: 300 }), w: fc.integer({ min: 60, max: 400 }), d: fc.integer({ min: 60, max: 300 }), deg: fc.integer({ min: 0, max: 359 }) }), // prettier-ignore
        ({ x, y, w, d, deg }) => {
          const [cx, cy] = [x + w / 2, y + d / 2];
          const way = (deg * Math.PI) / 180;
          const parts = splitRegion(box(x, y, w, d), [cx, cy], [cx + 50 * Math.cos(way), cy + 50 * Math.sin(way)])!; // prettier-ignore
          // Any line through its middle halves a rectangle; corners are whole millimetres.
          for (const p of parts) expect(Math.abs(polygonArea(p) / (w * d) - 0.5)).toBeLessThan(0.03);
          expect(commonArea(...parts)).toBeLessThan(1.2 * Math.hypot(w, d));
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is cut across its longer side where no line was drawn, the left part first', () => {
    const [a, b] = acrossMiddle(box(100, 50, 300, 80));
    const [left, right] = splitRegion(box(100, 50, 300, 80), a, b)!;
    expect(Math.max(...left.map(([x]) => x))).toBe(250);
    expect(Math.min(...right.map(([x]) => x))).toBe(250);
    expect(acrossMiddle(box(0, 0, 50, 200)).map(([, y]) => y)).toEqual([100, 100]);
  });

  it('is cut along the front', () => {
    const [front, behind] = splitAcross(box(100, 50, 300, 200), 120)!;
    expect(polygonArea(front) + polygonArea(behind)).toBe(60_000);
    expect(Math.max(...front.map(([, y]) => y))).toBe(120);
    expect(Math.min(...behind.map(([, y]) => y))).toBe(120);
    expect(splitAcross(box(100, 50, 300, 200), 50)).toBeUndefined();
  });

  it('is left alone by a line that does not meet it', () => {
    expect(splitRegion(box(0, 0, 100, 100), [200, 0], [200, 100])).toBeUndefined();
    expect(splitRegion(box(0, 0, 100, 100), [50, 50], [50, 50])).toBeUndefined();
  });
});

describe('two regions', () => {
  it('are one again', () => {
    const whole = box(40, 30, 320, 140);
    const [one, other] = splitRegion(whole, [180, 0], [220, 200])!;
    const joined = joinedRegion(one, other)!;
    expect(polygonArea(joined) / polygonArea(whole)).toBeCloseTo(1, 2);
    expect(commonArea(joined, whole) / polygonArea(whole)).toBeCloseTo(1, 2);
  });

  it('are one over a gap of a finger and where they overlap, and stay two where they lie apart', () => {
    expect(polygonArea(joinedRegion(box(0, 0, 100, 100), box(106, 0, 100, 100))!)).toBeGreaterThanOrEqual(20_000); // prettier-ignore
    expect(polygonArea(joinedRegion(box(0, 0, 100, 100), box(60, 20, 100, 60).reverse())!)).toBeCloseTo(13_600, -2); // prettier-ignore
    expect(joinedRegion(box(0, 0, 100, 100), box(130, 0, 100, 100))).toBeUndefined();
  });
});
