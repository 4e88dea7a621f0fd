import { describe, expect, it } from 'vitest';
import { vesselFaults } from '../../../core/commission/vesselFaults';
import { vesselOf } from '../../../core/testing/vessel';
import { resized, SHAPES, shapeOf } from './vesselShapes';
import { gripsOfVessel } from './vesselGrips';

const becoming = (key: string, from = vesselOf({})) => ({
  ...from,
  ...SHAPES.find((s) => s.key === key)!.becomes(from),
});

describe('picking a shape', () => {
  it('makes a vessel that can be, whichever is picked after whichever', () => {
    for (const first of SHAPES)
      for (const second of SHAPES)
        for (const third of SHAPES) {
          const vessel = becoming(third.key, becoming(second.key, becoming(first.key)));
          expect(vesselFaults(vessel), `${first.key}, ${second.key}, ${third.key}`).toEqual([]);
        }
  });

  it('knows a cube among the boxes', () => {
    expect(shapeOf(becoming('cube'))).toBe('cube');
    expect(shapeOf(vesselOf({}))).toBe('box');
  });
});

describe('another size', () => {
  it('keeps a cylinder round, a half one half, corners in place, and water below the rim', () => {
    expect(resized(becoming('cylinder'), 'width', 500).innerMm).toMatchObject({ length: 500, width: 500 });
    expect(resized(becoming('half-cylinder'), 'length', 700).innerMm).toMatchObject({
      length: 700,
      width: 350,
    });
    const angled = becoming('polygon');
    expect(resized(angled, 'length', 1200).corners?.[2]).toEqual([1200, 144]);
    // As far below the rim as before, whichever way the height goes.
    const { innerMm, waterLineMm } = vesselOf({});
    for (const high of [200, innerMm.height + 150])
      expect(resized(vesselOf({}), 'height', high).waterLineMm).toBe(high - (innerMm.height - waterLineMm));
    expect(resized(vesselOf({}), 'length', 900)).not.toHaveProperty('waterLineMm');
  });
});

describe('the handles of a vessel', () => {
  const grip = (key: string, v = becoming('bow')) => gripsOfVessel(v).find((g) => g.key === key)!;

  it('stand on the edges they move', () => {
    expect(gripsOfVessel(vesselOf({})).map((g) => [g.key, g.at])).toEqual([
      ['length', [600, 180]],
      ['width', [300, 360]],
    ]);
  });

  it('let the bow grow forwards while its corners stay', () => {
    const v = becoming('bow');
    const more = { ...v, ...grip('bow').moved(v, 0, -25) };
    expect(more.bowMm).toBe(v.bowMm! + 25);
    expect(more.innerMm.width - more.bowMm!).toBe(v.innerMm.width - v.bowMm!);
  });

  it('move one corner and keep it on the floor', () => {
    const v = becoming('polygon');
    const moved = gripsOfVessel(v)[2].moved(v, 900, 12);
    expect(moved.corners![2]).toEqual([600, 155]);
    expect(moved.corners![0]).toEqual(v.corners![0]);
  });
});
