import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { floorCells, usualCellMm } from '../substrate/cells';
import { scape } from '../testing/scape';
import { footprintM2, glassKg, standingMm } from './glass';
import { litresToHeight } from './litres';

const vessel = (inner: [number, number, number]) => scape({ inner }).vessel;

describe('a box', () => {
  it('holds 216.0 L when it measures 900 × 500 × 480 mm, and half of it half-way up', () => {
    const box = vessel([900, 500, 480]);
    expect(litresToHeight(box, 480)).toBe(216);
    expect(litresToHeight(box, 240)).toBe(108);
    expect(litresToHeight(box, 999)).toBe(216);
    expect(litresToHeight(box, -5)).toBe(0);
  });

  it('has five panes: bottom, two long, two short, once', () => {
    const box = { ...vessel([600, 300, 300]), glassMm: 10 };
    // Bottom 620 × 320, walls 300 high: two of 620 and two of 300 long, 10 mm thick; 2.5 kg/L.
    const panes = 620 * 320 * 10 + 2 * 620 * 300 * 10 + 2 * 300 * 300 * 10;
    expect(glassKg(box)).toBeCloseTo((panes / 1e6) * 2.5, 9);
  });

  it('bears on its own base, or on the stated footprint', () => {
    const box = vessel([600, 300, 300]);
    expect(footprintM2(box)).toBeCloseTo(0.616 * 0.316, 9);
    expect(footprintM2({ ...box, footprintMm: { length: 700, width: 400 } })).toBeCloseTo(0.28, 9);
    expect(standingMm(box)).toEqual({ length: 616, width: 316 });
    expect(standingMm({ ...box, footprintMm: { length: 700, width: 400 } }).length).toBe(700);
  });

  it('is read in cells that tile it: 5 mm, finer when it is small', () => {
    expect(usualCellMm(vessel([1200, 500, 450]))).toBe(5);
    expect(usualCellMm(vessel([200, 200, 200]))).toBeCloseTo(200 / 60, 9);
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 3000 }), fc.integer({ min: 20, max: 900 }), (length, width) => {
        const cells = floorCells(vessel([length, width, 300]));
        expect(cells.columns * cells.dxMm).toBeCloseTo(length, 6);
        expect(cells.rows * cells.dyMm).toBeCloseTo(width, 6);
        // A floor of more than 2.5 m² is read in 100 000 cells, whatever its size.
        const most = Math.max(5, Math.sqrt((length * width) / 100_000));
        expect(Math.max(cells.dxMm, cells.dyMm)).toBeLessThanOrEqual(most + 1e-9);
      }),
    );
    const pond = floorCells(vessel([10_000, 10_000, 800]));
    expect(pond.columns * pond.rows).toBeLessThanOrEqual(101_000);
  });
});
