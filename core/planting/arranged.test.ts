import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KNOWN_PLANTS } from '../catalogue/knownPlants';
import { polygonContains, type Point } from '../geometry/polygon';
import { coverDays, growthOf } from '../growth/growth';
import { bedField } from '../substrate/bedField';
import { soil } from '../testing/scape';
import { box } from '../testing/vessel';
import { arrangedPositions, closesLike, type Arranged } from './arranged';

const level = bedField(box(600, 360, 400), [soil({ kind: 'level', mm: 50 })]);
const region: Point[] = [[100, 50], [400, 50], [400, 250], [100, 250]]; // prettier-ignore
const each = (spots: Float64Array) => Array.from({ length: spots.length / 3 }, (_, i) => [...spots.subarray(i * 3, i * 3 + 3)]); // prettier-ignore
const nearest = (spots: Float64Array, k = 1) =>
  each(spots).map((a, i, all) => all.filter((_, j) => j !== i).map((b) => Math.hypot(a[0] - b[0], a[1] - b[1])).sort((p, q) => p - q)[k - 1]); // prettier-ignore

describe('plugs told how to stand', () => {
  it('are as many as are bought, inside, on the bed, however they stand', () => {
    fc.assert(
      fc.property(fc.constantFrom<Arranged>(undefined, 'rows', 'twos', 'threes'), fc.integer({ min: 18, max: 60 }), (set, spacing) => {
        const count = Math.ceil((300 * 200) / spacing ** 2);
        const spots = arrangedPositions(set, level, region, count, spacing, 5);
        expect(spots.length / 3).toBe(count);
        for (const [x, y, z] of each(spots)) {
          expect(polygonContains(region, x, y)).toBe(true);
          expect(z).toBeCloseTo(50, 6);
        }
      }), // prettier-ignore
      { numRuns: 40 },
    );
  });

  it('rows are level with the front and staggered', () => {
    const spots = each(arrangedPositions('rows', level, region, 60, 31.6, 1));
    const rows = [...new Set(spots.map(([, y]) => Math.round(y)))];
    expect(rows.length).toBeGreaterThan(4);
    expect(rows.length).toBeLessThan(9);
    const [one, two] = rows.map((y) => spots.filter((s) => Math.round(s[1]) === y).map(([x]) => x));
    const step = one[1] - one[0];
    // By area they stand 31.6 mm apart, and so they do to a tenth.
    expect(step / 31.6).toBeGreaterThan(0.9);
    expect(step / 31.6).toBeLessThan(1.1);
    expect(Math.abs(two[0] - one[0]) / step).toBeCloseTo(0.5, 6);
  });

  it('groups of three stand together and apart from the next', () => {
    const spots = arrangedPositions('threes', level, region, 60, 31.6, 3);
    const [second, third] = [nearest(spots, 2), nearest(spots, 3)];
    // 0.3 of the spacing from the middle: 0.52 of it from each other; the next group is farther.
    const near = second.filter((d) => d < 0.6 * 31.6).length;
    expect(near).toBeGreaterThan(50);
    const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length;
    expect(mean(third)).toBeGreaterThan(1.4 * mean(second));
  });

  it('groups close later than the same plugs scattered', () => {
    const plant = KNOWN_PLANTS.find((p) => p.id === 'eleocharis-pusilla')!;
    const growth = growthOf(plant, { dli: 2.2, co2: true });
    const days = (set: Arranged) => coverDays(plant, closesLike(set, 30), growth)!.days;
    expect(closesLike('rows', 30)).toBe(30);
    expect(days('twos')).toBeGreaterThan(days(undefined));
    expect(days('threes')).toBeGreaterThan(days('twos'));
  });
});
