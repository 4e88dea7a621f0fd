import { describe, expect, it } from 'vitest';
import type { Layer } from '../commission/schema';
import { box } from '../testing/vessel';
import { bedField } from './bedField';
import { asGrid, brushed, type Dab, type GridTop } from './sculpt';

const vessel = box(600, 360, 360);
const ramp: Layer = { id: 'soil', material: 'soil', top: { kind: 'ramp', frontMm: 40, backMm: 100 } };
const litres = (top: Layer['top']) => {
  const { surfaceMm, dxMm, dyMm } = bedField(vessel, [{ ...ramp, top }]);
  return (surfaceMm.reduce((s, z) => s + z, 0) * dxMm * dyMm) / 1e6;
};
const dab = (part: Partial<Dab>): Dab => ({ brush: 'raise', at: [300, 180], radiusMm: 80, strengthMm: 10, ...part }); // prettier-ignore
const at = (top: GridTop, x: number, y: number) => top.mm[(y / top.stepMm) * top.columns + x / top.stepMm];

describe('a sculpted surface', () => {
  it('holds what the ramp or the hill held that it was made from', () => {
    expect(litres(asGrid(ramp, vessel))).toBeCloseTo(litres(ramp.top), 3);
    const hill = { ...ramp, mounds: [{ at: [200, 200] as [number, number], radiusMm: 120, heightMm: 60 }] };
    const { surfaceMm, dxMm, dyMm } = bedField(vessel, [hill]);
    const drawn = (surfaceMm.reduce((s, z) => s + z, 0) * dxMm * dyMm) / 1e6;
    expect(Math.abs(litres(asGrid(hill, vessel)) - drawn)).toBeLessThan(0.01);
    // What is sculpted already stays as it is.
    const grid = asGrid(ramp, vessel);
    expect(asGrid({ ...ramp, top: grid }, vessel)).toBe(grid);
    // A large floor is kept in fewer, wider steps.
    expect(asGrid(ramp, box(3000, 1000, 600)).mm.length).toBeLessThan(31_000);
  });

  it('raises by π r² s / 3, the volume under its profile', () => {
    const grid = asGrid(ramp, vessel);
    const raised = brushed(grid, vessel, dab({}));
    expect(litres(raised) - litres(grid)).toBeCloseTo((Math.PI * 80 ** 2 * 10) / 3 / 1e6, 3);
    expect(at(raised, 300, 180) - at(grid, 300, 180)).toBeCloseTo(10, 6);
    expect(at(raised, 300, 260)).toBe(at(grid, 300, 260));
    expect(litres(brushed(raised, vessel, dab({ brush: 'lower' })))).toBeCloseTo(litres(grid), 3);
  });

  it('goes neither through the glass nor over the rim, and changes nothing in place', () => {
    const grid = asGrid(ramp, vessel);
    const before = grid.mm.slice();
    expect(at(brushed(grid, vessel, dab({ brush: 'lower', strengthMm: 500 })), 300, 180)).toBe(0);
    expect(at(brushed(grid, vessel, dab({ strengthMm: 500 })), 300, 180)).toBe(360);
    expect(grid.mm).toEqual(before);
  });

  it('levels to a height and smooths a peak, by no more than its strength', () => {
    const grid = asGrid(ramp, vessel);
    const level = (strengthMm: number) => at(brushed(grid, vessel, dab({ brush: 'level', toMm: 80, strengthMm })), 300, 180); // prettier-ignore
    expect(level(50)).toBe(80);
    expect(level(4)).toBe(74);
    const peak = { ...grid, mm: grid.mm.map((z, k) => (k === 18 * grid.columns + 30 ? z + 30 : z)) };
    expect(at(brushed(peak, vessel, dab({ brush: 'smooth', strengthMm: 40 })), 300, 180)).toBeCloseTo(70, 1);
    // A slope that is even is smooth already.
    expect(brushed(grid, vessel, dab({ brush: 'smooth' })).mm).toEqual(grid.mm);
  });
});
