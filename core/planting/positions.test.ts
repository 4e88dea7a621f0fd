import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { polygonContains, type Point } from '../geometry/polygon';
import { columnsOf } from '../hardscape/columns';
import { settle } from '../hardscape/settle';
import { bedField } from '../substrate/bedField';
import { piece, soil } from '../testing/scape';
import { box } from '../testing/vessel';
import { arrangedPositions } from './arranged';
import { inPlantingOrder, plugPositions } from './positions';
import { standsOn } from './standsOn';

const vessel = box(600, 360, 400);
const level = bedField(vessel, [soil({ kind: 'level', mm: 50 })]);
const rising = bedField(vessel, [soil({ kind: 'ramp', frontMm: 20, backMm: 380 })]);
const field: Point[] = [[100, 50], [400, 50], [400, 250], [100, 250]]; // prettier-ignore
const each = (spots: Float64Array) => Array.from({ length: spots.length / 3 }, (_, i) => spots.subarray(i * 3, i * 3 + 3)); // prettier-ignore
const nearest = (spots: Float64Array) =>
  each(spots).map((a, i, all) => Math.min(...all.filter((_, j) => j !== i).map((b) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])))); // prettier-ignore

describe('plugs over a region', () => {
  it('are as many as asked for, inside, and apart', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 260 }), fc.integer({ min: 1, max: 1e6 }), (count, seed) => {
        const spots = plugPositions(level, field, count, seed);
        expect(spots.length / 3).toBe(count);
        for (const [x, y, z] of each(spots)) {
          expect(polygonContains(field, x, y)).toBe(true);
          expect(z).toBeCloseTo(50, 6);
        }
        if (count < 2) return;
        // Of so many none can be farther apart than in a triangular grid: they come to more than half of that.
        const most = Math.sqrt((2 * 300 * 200) / (Math.sqrt(3) * count));
        expect(Math.min(...nearest(spots))).toBeGreaterThan(0.5 * Math.min(most, 200));
      }),
      { numRuns: 25 },
    );
  });

  it('are the same for the same seed, and others for another', () => {
    expect(plugPositions(level, field, 60, 7)).toEqual(plugPositions(level, field, 60, 7));
    expect(plugPositions(level, field, 60, 8)).not.toEqual(plugPositions(level, field, 60, 7));
  });

  it('lie along the slope as far apart as on the level', () => {
    // At 45° a region has √2 times the surface; as many plugs more keep the same distance along it.
    const [flat, steep] = [plugPositions(level, field, 100, 3), plugPositions(rising, field, 141, 3)];
    const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length;
    expect(mean(nearest(steep)) / mean(nearest(flat))).toBeCloseTo(1, 1);
  });

  it('leave out what stands there', () => {
    const stone = piece({ shape: { kind: 'box', sizeMm: [100, 80, 120] }, at: [250, 150], stand: { kind: 'bed', buryMm: 20 } }); // prettier-ignore
    const taken = standsOn(level, [settle(stone, columnsOf(stone.shape, 0), level, new Map())]);
    // Columns and cells have steps of their own: within a tenth of 100 × 80 mm.
    const mm2 = taken.reduce((a, b) => a + b, 0) * level.dxMm * level.dyMm;
    expect(Math.abs(mm2 / 8000 - 1)).toBeLessThan(0.1);
    for (const [x, y] of each(plugPositions(level, field, 120, 5, taken)))
      expect(Math.abs(x - 250) < 46 && Math.abs(y - 150) < 36).toBe(false);
    // Hanging above the bed it leaves it free.
    const above = { ...stone, stand: { kind: 'at' as const, zMm: 200 } };
    expect(Math.max(...standsOn(level, [settle(above, columnsOf(stone.shape, 0), level, new Map())]))).toBe(
      0,
    );
  });

  it('are planted row after row from the front, to and fro', () => {
    const spots = inPlantingOrder(plugPositions(level, field, 80, 2), 27);
    const rows = each(spots).map(([, y]) => Math.floor(y / 27));
    expect(rows).toEqual([...rows].sort((a, b) => a - b));
    const along = each(spots).filter((_, i) => rows[i] === rows[0]).map(([x]) => x); // prettier-ignore
    expect(along).toEqual([...along].sort((a, b) => (rows[0] % 2 === 0 ? a - b : b - a)));
  });

  it('of one group are planted one after another', () => {
    const groups = arrangedPositions('threes', level, field, 60, 27, 5);
    const ordered = each(inPlantingOrder(groups, 27, 3));
    expect(ordered.map(String).sort()).toEqual(each(groups).map(String).sort());
    for (let g = 0; g < 60; g += 3) {
      const [a, b, c] = ordered.slice(g, g + 3);
      // Three plugs around one middle, 0.3 of their spacing from it: at most 0.6 of it apart.
      for (const [p, q] of [[a, b], [b, c], [a, c]]) expect(Math.hypot(p[0] - q[0], p[1] - q[1])).toBeLessThan(0.61 * 27); // prettier-ignore
    }
  });
});
