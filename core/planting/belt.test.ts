import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { firstCrossing, polygonArea, polygonContains, type Point } from '../geometry/polygon';
import { smooth } from '../substrate/path';
import { beltAlong, beltAround } from './belt';

const floor: Point[] = [[0, 0], [900, 0], [900, 450], [0, 450]]; // prettier-ignore
const stone: Point[] = [[300, 100], [400, 100], [400, 180], [300, 180]]; // prettier-ignore

describe('a belt', () => {
  it('covers a frame of its width around a stone', () => {
    const ring = beltAround(stone, 40, floor);
    // A block grown by 40 mm: its sides, and a full round of 40 mm at its corners.
    expect(polygonArea(ring) / (100 * 80 + 2 * (100 + 80) * 40 + Math.PI * 40 * 40)).toBeCloseTo(1, 2);
    // At the glass it ends.
    const atGlass = beltAround(
      stone.map(([x, y]): Point => [x - 290, y - 95]),
      40,
      floor,
    );
    expect(Math.min(...atGlass.flat())).toBeGreaterThanOrEqual(0);
  });

  it('runs along one edge of a path', () => {
    const straight = { line: [[450, 0], [450, 450]] as [number, number][], widthMm: [100, 100] as [number, number] }; // prettier-ignore
    const left = beltAlong(straight, 50, 'left', floor);
    expect(polygonArea(left)).toBeCloseTo(50 * 450, 0);
    // Going to the back its left is at the smaller x: a finger off the edge, from 390 to 340 mm.
    expect(polygonContains(left, 375, 200)).toBe(true);
    expect(polygonContains(left, 425, 200)).toBe(false);
    expect(polygonContains(beltAlong(straight, 50, 'right', floor), 525, 200)).toBe(true);
    // Where the path narrows the belt comes nearer.
    const narrows = beltAlong({ ...straight, widthMm: [100, 20] }, 50, 'left', floor);
    expect(polygonContains(narrows, 425, 440)).toBe(true);
    expect(polygonContains(narrows, 425, 10)).toBe(false);
  });

  it('keeps off the path however it winds', () => {
    const x = fc.integer({ min: 250, max: 650 });
    const winding = fc.record({ xs: fc.tuple(x, x, x, x), wide: fc.integer({ min: 40, max: 110 }), belt: fc.integer({ min: 30, max: 80 }), side: fc.constantFrom('left' as const, 'right' as const) }); // prettier-ignore
    fc.assert(
      fc.property(winding, ({ xs, wide, belt, side }) => {
        const line = xs.map((x, i): [number, number] => [x, i * 150]);
        const ring = beltAlong({ line, widthMm: [wide, wide] }, belt, side, floor);
        expect(firstCrossing(ring)).toBeUndefined();
        // Of the middle of the path nothing is in it; an inner bend may fold its edge over itself by a little.
        for (const [mx, my] of smooth(line))
          expect(polygonContains(ring, mx, Math.min(449, my + 0.5))).toBe(false);
      }),
      // Of this one a rounded corner once made a loop, and the whole was taken as its hull, across the path.
      { numRuns: 100, examples: [[{ xs: [422, 504, 278, 509], wide: 81, belt: 61, side: 'right' }]] },
    );
  });
});
