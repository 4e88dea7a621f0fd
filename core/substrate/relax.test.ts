import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { box } from '../testing/vessel';
import { bedField, type BedField } from './bedField';
import { relax } from './relax';

const litres = ({ dxMm, dyMm }: BedField, mm: Float64Array) =>
  (mm.reduce((s, z) => s + z, 0) * dxMm * dyMm) / 1e6;
/** A bare floor of 600 × 600 mm in 5 mm cells with heaps on it. */
function floor(height: (x: number, y: number) => number, side = 600, cellMm = 5): BedField {
  const field = bedField(box(side, side, 400), [], cellMm);
  return { ...field, surfaceMm: field.surfaceMm.map((_, c) => height(((c % field.columns) + 0.5) * field.dxMm, (Math.floor(c / field.columns) + 0.5) * field.dyMm)) }; // prettier-ignore
}
const steepest = ({ columns, rows, dxMm, dyMm }: BedField, mm: Float64Array) => {
  let most = 0;
  for (let r = 1; r + 1 < rows; r++)
    for (let c = 1; c + 1 < columns; c++) {
      const k = r * columns + c;
      most = Math.max(most, Math.hypot((mm[k + 1] - mm[k - 1]) / (2 * dxMm), (mm[k + columns] - mm[k - columns]) / (2 * dyMm))); // prettier-ignore
    }
  return most;
};
const TAN_34 = Math.tan((34 * Math.PI) / 180);

describe('grain that creeps', () => {
  it('brings a cone to the radius and height of its angle of repose', () => {
    // A cylinder of 1 L. A cone of 34° holds 1 L with r = (3V / (π tan θ))^(1/3) = 112.3 mm and h = 75.7 mm.
    const field = floor((x, y) => (Math.hypot(x - 300, y - 300) < 50 ? 1e6 / (Math.PI * 2500) : 0));
    const { surfaceMm, settled } = relax(field, () => TAN_34);
    expect(settled).toBe(true);
    expect(litres(field, surfaceMm)).toBeCloseTo(litres(field, field.surfaceMm), 9);
    expect(Math.max(...surfaceMm)).toBeGreaterThan(75.7 * 0.96);
    expect(Math.max(...surfaceMm)).toBeLessThan(75.7 * 1.05);
    const foot = surfaceMm.filter((z) => z > 0.5).length * field.dxMm * field.dyMm;
    expect(Math.sqrt(foot / Math.PI)).toBeGreaterThan(112.3 * 0.95);
    expect(Math.sqrt(foot / Math.PI)).toBeLessThan(112.3 * 1.05);
  });

  it('leaves what is not too steep as it is', () => {
    const field = floor((_x, y) => y * 0.5);
    expect(relax(field, () => TAN_34)).toMatchObject({ movedL: 0, settled: true });
  });

  it('is held back by a stone that is higher, and goes over one that is lower', () => {
    const step = (x: number) => (x > 300 ? 80 : 0);
    const field = floor(step, 600, 10);
    const wall = (mm: number) => field.surfaceMm.map((_, c) => (Math.abs((c % field.columns) * 10 - 290) < 5 ? mm : 0)); // prettier-ignore
    const held = relax(field, () => TAN_34, wall(90));
    expect(held.movedL).toBe(0);
    // Its own height is no bed.
    expect(held.surfaceMm[29]).toBe(0);
    expect(relax(field, () => TAN_34, wall(30)).movedL).toBeGreaterThan(0.2);
    expect(relax(field, () => TAN_34).movedL).toBeGreaterThan(relax(field, () => TAN_34, wall(30)).movedL);
  });

  it('can be stopped, and tells how far it is', () => {
    const field = floor((x) => (x > 300 ? 200 : 0), 600, 10);
    const rounds: number[] = [];
    const stopped = relax(
      field,
      () => TAN_34,
      undefined,
      (n) => rounds.push(n) < 5,
    );
    expect(stopped).toMatchObject({ rounds: 5, settled: false });
    expect(litres(field, stopped.surfaceMm)).toBeCloseTo(litres(field, field.surfaceMm), 9);
  });

  it('makes and loses none, and nowhere stands steeper than it holds, whatever is heaped', () => {
    const heap = fc.record({ x: fc.integer({ min: 0, max: 300 }), y: fc.integer({ min: 0, max: 300 }), r: fc.integer({ min: 20, max: 120 }), h: fc.integer({ min: 10, max: 150 }) }); // prettier-ignore
    fc.assert(
      fc.property(
        fc.array(heap, { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 20, max: 40 }),
        (heaps, deg) => {
          const field = floor((x, y) => heaps.reduce((z, h) => Math.max(z, Math.hypot(x - h.x, y - h.y) < h.r ? h.h : 0), 0), 300, 10); // prettier-ignore
          const tan = Math.tan((deg * Math.PI) / 180);
          const done = relax(field, () => tan);
          expect(litres(field, done.surfaceMm)).toBeCloseTo(litres(field, field.surfaceMm), 6);
          expect(steepest(field, done.surfaceMm)).toBeLessThan(tan * 1.09 + 0.02);
        },
      ),
      { numRuns: 25 },
    );
  });
});
