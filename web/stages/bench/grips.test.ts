import { describe, expect, it } from 'vitest';
import type { Layer, Vessel } from '../../../core/commission/schema';
import { gripsOf, type GripView } from './grips';

const vessel: Vessel = {
  kind: 'box',
  innerMm: { length: 600, width: 300, height: 400 },
  glassMm: 8,
  waterLineMm: 370,
};
const layer: Layer = {
  id: 'soil',
  material: 'soil',
  top: { kind: 'ramp', frontMm: 40, backMm: 100 },
  mounds: [{ at: [200, 150], radiusMm: 100, heightMm: 50 }],
};
const grip = (view: GripView, key: string) => gripsOf(view, layer, vessel, 0.5).find((g) => g.key === key)!;

describe('grips of the bed', () => {
  it('stand where the bed is, in the scale of the view', () => {
    expect(grip('section', 'back')).toMatchObject({ x: 150, y: 150, value: 100 });
    expect(grip('plan', 'hill 0')).toMatchObject({ x: 100, y: 75 });
    // The ramp is 70 mm high under the hill.
    expect(grip('front', 'top 0')).toMatchObject({ x: 100, y: (400 - 120) * 0.5, value: 50 });
  });

  it('raise one end of a ramp and leave the other, within the glass', () => {
    expect(grip('section', 'front').moved(layer, 99, 15).top).toEqual({
      kind: 'ramp',
      frontMm: 55,
      backMm: 100,
    });
    expect(grip('section', 'back').moved(layer, 0, 900).top).toEqual({
      kind: 'ramp',
      frontMm: 40,
      backMm: 400,
    });
  });

  it('move, widen and raise a hill', () => {
    expect(grip('plan', 'hill 0').moved(layer, 30, -200).mounds![0].at).toEqual([230, 0]);
    expect(grip('plan', 'foot 0').moved(layer, -500, 0).mounds![0].radiusMm).toBe(20);
    expect(grip('front', 'top 0').moved(layer, 0, 25).mounds![0].heightMm).toBe(75);
  });

  it('stand on the ground where a layer follows it', () => {
    const over: Layer = { ...layer, over: true, top: { kind: 'level', mm: 20 } };
    const on = gripsOf('section', over, vessel, 1, () => 70).find((g) => g.key === 'level')!;
    expect([vessel.innerMm.height - on.y, on.value]).toEqual([90, 20]);
    expect(on.moved(over, 0, 10).top).toEqual({ kind: 'level', mm: 30 });
    const top = (l: Layer) => gripsOf('front', l, vessel, 1, () => 70).find((g) => g.key === 'top 0')!.y;
    expect(top({ ...over, over: undefined }) - top(over)).toBe(70);
  });

  it('offer one height for a level bed, none for a sculpted one', () => {
    const level: Layer = { ...layer, top: { kind: 'level', mm: 60 }, mounds: [] };
    expect(gripsOf('section', level, vessel, 1).map((g) => g.key)).toEqual(['level']);
    const grid: Layer = {
      ...level,
      top: { kind: 'grid', stepMm: 300, columns: 2, rows: 2, mm: [1, 2, 3, 4] },
    };
    expect(gripsOf('section', grid, vessel, 1)).toEqual([]);
  });
});
