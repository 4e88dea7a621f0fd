import { describe, expect, it } from 'vitest';
import { polygonArea, polygonContains, type Point } from '../geometry/polygon';
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
    // Going to the back its left is at the smaller x: from 400 to 350 mm.
    expect(polygonContains(left, 375, 200)).toBe(true);
    expect(polygonContains(left, 425, 200)).toBe(false);
    expect(polygonContains(beltAlong(straight, 50, 'right', floor), 525, 200)).toBe(true);
    // Where the path narrows the belt comes nearer.
    const narrows = beltAlong({ ...straight, widthMm: [100, 20] }, 50, 'left', floor);
    expect(polygonContains(narrows, 435, 440)).toBe(true);
    expect(polygonContains(narrows, 435, 10)).toBe(false);
  });
});
