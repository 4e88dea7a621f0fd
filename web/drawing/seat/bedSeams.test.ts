import { Color, type Mesh } from 'three';
import { describe, expect, it } from 'vitest';
import { bedSeams, isSeam, type LayerLook } from './bedSeams';
import { straight, type Seen } from './place';

const look = (colour: string): LayerLook => ({ colour: new Color(colour), grain: 0, relief: undefined });
const LAYERS = [look('#ff0000'), look('#00ff00')];
const BARE = look('#0000ff');
/** Two cells beside each other, 10 mm each: the left front corner of the first is another layer. */
const field = {
  columns: 2,
  rows: 1,
  dxMm: 10,
  dyMm: 10,
  cornerMm: Float64Array.from([0, 0, 0, 0, 0, 0]),
  cornerLayer: Int16Array.from([0, 1, 1, 1, 1, 1]),
} as unknown as Seen['field'];

const areaOf = (mesh: Mesh): number => {
  const p = mesh.geometry.getAttribute('position');
  const index = mesh.geometry.getIndex()!;
  let sum = 0;
  for (let i = 0; i < index.count; i += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => index.getX(i + k));
    sum += Math.abs((p.getX(b) - p.getX(a)) * (p.getZ(c) - p.getZ(a)) - (p.getX(c) - p.getX(a)) * (p.getZ(b) - p.getZ(a))) / 2; // prettier-ignore
  }
  return sum;
};

describe('where two materials meet', () => {
  it('only the cells with both are cut, and into all of their ground', () => {
    expect([isSeam(field, 0, 0), isSeam(field, 1, 0)]).toEqual([true, false]);
    const parts = bedSeams({ field } as Seen, LAYERS, BARE, straight);
    expect(parts).toHaveLength(2);
    expect(parts.reduce((sum, m) => sum + areaOf(m), 0)).toBeCloseTo(100);
  });

  it('a corner of one layer has the spots that are nearer to it than half of the cell', () => {
    const parts = bedSeams({ field } as Seen, LAYERS, BARE, straight);
    const own = parts.find((m) => m.geometry.getAttribute('color').getX(0) === 1)!;
    // Of 25 parts those at whose middle (1 − u)(1 − v) > ½: 0.81, 0.63, 0.63 and no other.
    expect(areaOf(own)).toBeCloseTo(12);
  });
});
