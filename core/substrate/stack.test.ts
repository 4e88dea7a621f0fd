import { describe, expect, it } from 'vitest';
import type { Layer } from '../commission/schema';
import { polygonContains } from '../geometry/polygon';
import { scape, soil } from '../testing/scape';
import { bedField, cellAt, layerTopsAt, regionHas, surfaceAt } from './bedField';
import { cellGradient, steepestOf } from './slope';
import { DrawnAlong, groundOf, layersAt, stackOf } from './stack';

const { vessel } = scape({ inner: [300, 200, 200] });
const half: [number, number][] = [
  [150, -5],
  [305, -5],
  [305, 205],
  [150, 205],
];
const level = (mm: number, rest: Partial<Layer> = {}) => soil({ kind: 'level', mm }, rest);

function topsAt(bed: Layer[], x: number, y: number): number[] {
  const stack = stackOf(bed, vessel);
  const inside = new Uint8Array(bed.length);
  const tops = new Float64Array(bed.length);
  stack.regions.forEach((region, i) => (inside[i] = !region || polygonContains(region, x, y) ? 1 : 0));
  const drawn = new DrawnAlong(stack, Float64Array.of(x));
  drawn.at(y);
  layersAt(stack, drawn, 0, inside, tops);
  return [...tops];
}

describe('layers at a spot', () => {
  it('lie on each other, and are absent where their top is lower', () => {
    const bed = [level(30), level(50, { id: 'b' }), level(40, { id: 'c' })];
    expect(topsAt(bed, 10, 10)).toEqual([30, 50, 50]);
  });

  it('lie as high over others as they are drawn, where they are to follow the ground; never over the rim', () => {
    const over = level(20, { id: 'b', over: true });
    expect(topsAt([level(30), over], 10, 10)).toEqual([30, 50]);
    expect(topsAt([level(30), level(80, { id: 'c', region: half }), over], 200, 100)).toEqual([30, 80, 100]);
    expect(topsAt([level(190), over], 10, 10)).toEqual([190, 200]);
    // In a cut it follows the floor of the cut.
    const cut = level(12, { id: 'c', cuts: true, floorMm: 10 });
    expect(topsAt([level(60), cut, over], 10, 10)).toEqual([10, 12, 32]);
    const ground = groundOf([level(30), level(80, { id: 'c', region: half })], vessel);
    expect([ground(100, 100), ground(200, 100), groundOf([], vessel)(5, 5)]).toEqual([30, 80, 0]);
  });

  it('are there only in their region', () => {
    const bed = [level(30), level(80, { id: 'b', region: half })];
    expect(topsAt(bed, 100, 100)).toEqual([30, 30]);
    expect(topsAt(bed, 200, 100)).toEqual([30, 80]);
  });

  it('give way to a cut down to its floor, and fill up to its top', () => {
    const bed = [
      level(30),
      level(90, { id: 'b' }),
      level(40, { id: 'cut', region: half, cuts: true, floorMm: 20 }),
    ];
    expect(topsAt(bed, 100, 100)).toEqual([30, 90, 90]);
    expect(topsAt(bed, 200, 100)).toEqual([20, 20, 40]);
  });

  it('stay where a cut’s floor is above them', () => {
    const bed = [level(15), level(40, { id: 'cut', region: half, cuts: true, floorMm: 20 })];
    expect(topsAt(bed, 200, 100)).toEqual([15, 40]);
  });

  it('never rise above the rim nor sink below the glass', () => {
    const hill = level(190, { mounds: [{ at: [150, 100], radiusMm: 80, heightMm: 60 }] });
    expect(topsAt([hill], 150, 100)).toEqual([200]);
    const pit = level(20, { mounds: [{ at: [150, 100], radiusMm: 80, heightMm: -60 }] });
    expect(topsAt([pit], 150, 100)).toEqual([0]);
  });
});

describe('the field', () => {
  const bed = [
    soil({ kind: 'ramp', frontMm: 20, backMm: 120 }),
    level(60, { id: 'path', region: half, cuts: true }),
  ];
  const field = bedField(vessel, bed);

  it('is asked at any spot, outside the floor at the nearest wall', () => {
    expect(surfaceAt(field, 75, 100)).toBe(70);
    expect([...layerTopsAt(field, 200, 100)]).toEqual([0, 60]);
    expect(surfaceAt(field, -50, 500)).toBe(120);
    expect(surfaceAt(bedField(vessel, []), 10, 10)).toBe(0);
  });

  it('knows which cell a spot is in, and asks an outline only at its edge', () => {
    expect(cellAt(field, 0, 0)).toBe(0);
    expect(cellAt(field, 300, 200)).toBe(field.columns * field.rows - 1);
    expect(regionHas(half, 0, 200, 100)).toBe(false);
    expect(regionHas(half, 1, 100, 100)).toBe(true);
    expect([regionHas(half, 0.5, 149, 100), regionHas(half, 0.5, 151, 100)]).toEqual([false, true]);
  });

  it('has the slope of a ramp in every cell of it, and none of its cut', () => {
    expect(cellGradient(field, 3, 3)[0]).toBeCloseTo(0, 9);
    expect(cellGradient(field, 3, 3)[1]).toBeCloseTo(0.5, 9);
    expect(steepestOf(field, 0).deg).toBeCloseTo((Math.atan(0.5) * 180) / Math.PI, 9);
    expect(steepestOf(field, 1).deg).toBeCloseTo(0, 9);
  });
});
