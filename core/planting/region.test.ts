import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cellCoverage } from '../geometry/coverage';
import { polygonContains, type Point } from '../geometry/polygon';
import { bedField } from '../substrate/bedField';
import { scape, soil } from '../testing/scape';
import type { Layer } from '../commission/schema';
import { plugSpots, slopedAreaMm2, thinnestUnder } from './region';

const { vessel } = scape({ inner: [400, 300, 400] });
const square: Point[] = [
  [100, 50],
  [300, 50],
  [300, 250],
  [100, 250],
];
const area = (bed: Layer[], region: Point[]) => {
  const field = bedField(vessel, bed);
  return slopedAreaMm2(field, cellCoverage(field, region));
};

describe('regions of plants', () => {
  it('are as large as their plan on a level bed, and larger by 1 / cos on a slope', () => {
    expect(area([soil({ kind: 'level', mm: 40 })], square)).toBeCloseTo(40_000, 6);
    const slope = Math.atan(90 / 300);
    expect(area([soil({ kind: 'ramp', frontMm: 20, backMm: 110 })], square)).toBeCloseTo(
      40_000 / Math.cos(slope),
      4,
    );
  });

  it('do not count the face of a step beyond a 45° bed', () => {
    const terrace: Layer = soil(
      { kind: 'level', mm: 200 },
      {
        id: 't',
        region: [
          [200, -5],
          [405, -5],
          [405, 305],
          [200, 305],
        ],
      },
    );
    const stepped = area([soil({ kind: 'level', mm: 20 }), terrace], square);
    expect(stepped).toBeGreaterThanOrEqual(40_000);
    expect(stepped).toBeLessThan(40_000 + 2 * 5 * 200 * (Math.SQRT2 - 1) + 1);
  });

  it('know where the soil under them is thinnest', () => {
    const field = bedField(vessel, [soil({ kind: 'ramp', frontMm: 20, backMm: 110 })]);
    const thinnest = thinnestUnder(field, square, [true])!;
    expect(thinnest.mm).toBeCloseTo(20 + (90 * 50) / 300, 9);
    expect(thinnest.xyMm[1]).toBe(50);
    expect(
      thinnestUnder(
        field,
        [
          [900, 900],
          [950, 900],
          [950, 950],
        ],
        [true],
      ),
    ).toBeUndefined();
  });

  it('find a hollow in their middle', () => {
    const hollow = soil(
      { kind: 'level', mm: 80 },
      { mounds: [{ at: [200, 150], radiusMm: 60, heightMm: -50 }] },
    );
    const thinnest = thinnestUnder(bedField(vessel, [hollow]), square, [true])!;
    expect(thinnest.mm).toBeCloseTo(30, 0);
    expect(Math.hypot(thinnest.xyMm[0] - 200, thinnest.xyMm[1] - 150)).toBeLessThan(6);
  });

  it('are drawn with plugs inside, near the number that is planted', () => {
    const spots = plugSpots(square, 25);
    expect(Math.abs(spots.length / (40_000 / 625) - 1)).toBeLessThan(0.1);
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 90 }), (spacing) => {
        const list = plugSpots(square, spacing, 300);
        expect(list.length).toBeLessThanOrEqual(300);
        expect(list.every(([x, y]) => polygonContains(square, x, y))).toBe(true);
      }),
    );
  });
});
