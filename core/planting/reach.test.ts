import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Layer } from '../commission/schema';
import { clippedAlong, type Point } from '../geometry/polygon';
import { cellCoverage } from '../geometry/coverage';
import { bedField } from '../substrate/bedField';
import { scape, soil } from '../testing/scape';
import { reachFromFront } from './reach';
import { slopedAreaMm2 } from './region';

const bed = (top: Layer['top']) => bedField(scape({ inner: [600, 360, 400] }).vessel, [soil(top)]);
const box: Point[] = [[50, 42], [350, 42], [350, 242], [50, 242]]; // prettier-ignore

describe('how far back plugs reach', () => {
  it('is where the front part has its share of the surface', () => {
    // A hill that rises to the back: behind there is more surface for each millimetre than in front.
    const field = bed({ kind: 'grid', stepMm: 120, columns: 6, rows: 4, mm: [20, 20, 110, 170].flatMap((mm) => Array<number>(6).fill(mm)) }); // prettier-ignore
    // Not even: the front half of the floor is less than half of the surface.
    expect(reachFromFront(field, box, 0.5)).toBeGreaterThan(144);
    const all = slopedAreaMm2(field, cellCoverage(field, box));
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.95, noNaN: true }), (share) => {
        const y = reachFromFront(field, box, share);
        const front = slopedAreaMm2(field, cellCoverage(field, clippedAlong(box, 1, y, 'below')));
        expect(front / all).toBeCloseTo(share, 2);
      }),
      { numRuns: 40 },
    );
  });

  it('is farther where a stone has taken ground in front', () => {
    const field = bed({ kind: 'level', mm: 40 });
    expect(Math.abs(reachFromFront(field, box, 0.5) - 142)).toBeLessThan(1);
    const taken = new Float64Array(field.columns * field.rows);
    for (let cell = 0; cell < taken.length; cell++)
      if (Math.floor(cell / field.columns) * field.dyMm < 100) taken[cell] = 1;
    // What is left is 100 to 242: its middle is at 171.
    expect(Math.abs(reachFromFront(field, box, 0.5, taken) - 171)).toBeLessThan(1);
  });
});
