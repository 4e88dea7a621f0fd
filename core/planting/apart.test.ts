import { describe, expect, it } from 'vitest';
import { commonArea } from '../geometry/offset';
import { firstCrossing, polygonArea, polygonContains, type Point } from '../geometry/polygon';
import { lyingOn, regionWithout } from './apart';

const block = (l: number, r: number): [number, number][] => [[l, 0], [r, 0], [r, 100], [l, 100]]; // prettier-ignore

describe('regions that lie on each other', () => {
  it('are found where both would be counted for the whole', () => {
    const own = { id: 'P-1', plant: 'a', region: block(0, 200) };
    const others = [
      own,
      { id: 'P-2', plant: 'b', region: block(150, 300) },
      { id: 'P-3', plant: 'b', region: block(202, 300) },
      { id: 'P-4', plant: 'a', region: block(0, 200) },
      { id: 'P-5', plant: 'c', region: block(0, 200), share: 0.4 },
    ];
    expect(lyingOn(own, others).map((p) => p.id)).toEqual(['P-2', 'P-5']);
    // Mixed by shares they have room for each other.
    expect(lyingOn({ ...own, share: 0.6 }, others).map((p) => p.id)).toEqual(['P-2']);
  });

  it('is what the other leaves of it', () => {
    const left = regionWithout(block(0, 200) as Point[], [block(150, 300)]);
    expect(polygonArea(left)).toBeCloseTo(150 * 100, 0);
    expect(polygonContains(left, 175, 50)).toBe(false);
    // Cut in two, the larger stays.
    expect(polygonArea(regionWithout(block(0, 200), [block(60, 80)]))).toBeCloseTo(120 * 100, 0);
    expect(regionWithout(block(0, 200), [block(-10, 220)])).toEqual([]);
    // Whichever way round they were drawn, also where the others lie on each other.
    const both = regionWithout(block(0, 200), [block(100, 300), block(150, 300).reverse()]);
    expect(polygonArea(both)).toBeCloseTo(100 * 100, 0);
  });

  it('leaves out what lies in its middle, over a slit to the nearest edge', () => {
    const whole: [number, number][] = [[0, 0], [400, 0], [400, 300], [0, 300]]; // prettier-ignore
    const inner: [number, number][] = [[100, 100], [200, 100], [200, 200], [100, 200]]; // prettier-ignore
    const left = regionWithout(whole, [inner]);
    expect(firstCrossing(left)).toBeUndefined();
    expect(commonArea(left, inner)).toBeLessThan(400);
    // 400 · 300 − 100 · 100, less a slit of 6 mm by 100.
    expect(polygonArea(left)).toBeGreaterThan(109_000);
    expect(polygonArea(left)).toBeLessThanOrEqual(110_000);
  });
});
