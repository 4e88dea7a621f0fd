import { Box3, Mesh } from 'three';
import { describe, expect, it } from 'vitest';
import { bedSurface } from './bedSurface';
import { straight, type Seen } from './place';

/** A bed of one layer, 40 mm high, in four cells by three of 10 mm. */
function seen(inside?: boolean[]): Seen {
  const count = 5 * 4;
  const field = {
    columns: 4,
    rows: 3,
    dxMm: 10,
    dyMm: 10,
    cornerMm: new Float64Array(count).fill(40),
    cornerLayer: new Int16Array(count),
    cornerThicknessMm: [new Float64Array(count).fill(40)],
    ...(inside ? { inside } : {}),
  };
  const option = { bed: [{ id: 'soil', material: 'none', top: { kind: 'level', mm: 40 } }] };
  return { field, option, materials: [] } as unknown as Seen;
}
const boxOf = (of: Seen) => {
  const meshes = bedSurface(of, straight, true).filter((o): o is Mesh => o instanceof Mesh);
  const cut = meshes.at(-1)!;
  return new Box3().setFromObject(cut);
};

describe('the cut of a bed', () => {
  it('goes from its surface to the glass, along front and sides', () => {
    const { min, max } = boxOf(seen());
    expect([min.x, max.x, min.y, max.y]).toEqual([0, 40, 0, 40]);
    expect([Math.abs(min.z), Math.abs(max.z)]).toEqual([30, 0]);
  });

  it('goes around a bent pane where that lies: a bed never hangs in the air', () => {
    // Only the corners of the two cells in the middle are inside, and what touches them is drawn.
    const inside = Array.from({ length: 20 }, (_, k) => k === 11 || k === 12 || k === 13);
    const { min, max } = boxOf(seen(inside));
    expect([min.y, max.y]).toEqual([0, 40]);
    expect(Math.abs(max.z)).toBe(10);
    expect([min.x, max.x]).toEqual([0, 40]);
  });
});
