import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cellCoverage } from './coverage';
import { firstCrossing, polygonArea, polygonContains, type Point } from './polygon';

const CELLS = { columns: 60, rows: 40, dxMm: 5, dyMm: 5 };

/** A star-shaped ring around the middle of a 300 × 200 floor: simple, often with bays. */
const ring = fc
  .array(fc.double({ min: 5, max: 95, noNaN: true }), { minLength: 3, maxLength: 14 })
  .map((radii) =>
    radii.map((r, i): Point => {
      const angle = (2 * Math.PI * i) / radii.length;
      return [150 + r * Math.cos(angle), 100 + r * Math.sin(angle)];
    }),
  );

describe('polygons', () => {
  it('has an area, inside and outside', () => {
    const rectangle: Point[] = [
      [0, 0],
      [300, 0],
      [300, 100],
      [0, 100],
    ];
    expect(polygonArea(rectangle)).toBe(30_000);
    expect(polygonContains(rectangle, 10, 99)).toBe(true);
    expect(polygonContains(rectangle, 10, 101)).toBe(false);
  });

  it('finds the edges of a bow tie that cross', () => {
    const bowTie: Point[] = [
      [0, 0],
      [100, 100],
      [100, 0],
      [0, 100],
    ];
    expect(firstCrossing(bowTie)).toEqual([0, 2]);
    expect(firstCrossing([...bowTie.slice(0, 1), [100, 0], [100, 100], [0, 100]])).toBeUndefined();
  });

  it('finds no crossing in a star-shaped ring', () => {
    fc.assert(
      fc.property(ring, (polygon) => {
        expect(firstCrossing(polygon)).toBeUndefined();
      }),
    );
  });

  it('covers cells that add up to its own area', () => {
    fc.assert(
      fc.property(ring, (polygon) => {
        const covered = cellCoverage(CELLS, polygon).reduce((sum, share) => sum + share * 25, 0);
        expect(covered).toBeCloseTo(polygonArea(polygon), 4);
      }),
    );
  });

  it('covers whole, half and no cells of a rectangle', () => {
    const half: Point[] = [
      [-50, 0],
      [12.5, 0],
      [12.5, 10],
      [-50, 10],
    ];
    const share = cellCoverage(CELLS, half);
    expect([share[0], share[1], share[2], share[3]]).toEqual([1, 1, 0.5, 0]);
    expect(share[120]).toBe(0);
  });
});
