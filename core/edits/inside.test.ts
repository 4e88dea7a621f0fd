import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Piece } from '../commission/schema';
import type { Mesh } from '../geometry/mesh';
import { boxMesh } from '../hardscape/solid';
import { insideGlass } from './inside';

const tank = { innerMm: { length: 600, width: 360, height: 360 } };
const block = (at: [number, number], sizeMm: [number, number, number] = [100, 60, 80]): Piece => ({
  id: 'S-1',
  material: 'slate',
  shape: { kind: 'ellipsoid', sizeMm },
  at,
  turnDeg: 0,
  stand: { kind: 'floor' },
});

describe('pieces that are dragged over the floor', () => {
  it('stop at the pane, one for all that move together', () => {
    expect(insideGlass(tank, [block([300, 180])], [40, -20])).toEqual([40, -20]);
    expect(insideGlass(tank, [block([300, 180])], [400, -200])).toEqual([249, -149]);
    expect(insideGlass(tank, [block([300, 180]), block([100, 180])], [-400, 0])).toEqual([-49, 0]);
  });

  it('come in from outside, and are left alone where they are too large', () => {
    expect(insideGlass(tank, [block([620, 180])], [-100, 0])).toEqual([-100, 0]);
    expect(insideGlass(tank, [block([620, 180])], [10, 0])).toEqual([0, 0]);
    expect(insideGlass(tank, [block([300, 180], [700, 60, 80])], [90, 0])).toEqual([90, 0]);
  });

  it('are taken by the surface of a scan that is at hand, and by their place where none is', () => {
    const scan = { kind: 'scan' as const, mesh: 'f'.repeat(32), triangles: 4, sizeMm: [100, 60, 80] as [number, number, number], volumeL: 1 }; // prettier-ignore
    const way = (mesh: Mesh) =>
      insideGlass(tank, [{ ...block([300, 180]), shape: scan }], [400, 0], () => mesh);
    expect(way(boxMesh([100, 60, 80]))).toEqual([249, 0]);
    expect(way({ vertices: new Float64Array(0), faces: new Uint32Array(0) })).toEqual([299, 0]);
  });

  it('are wholly inside wherever they began inside, and went no further than they were dragged', () => {
    const mm = (least: number, most: number) => fc.integer({ min: least, max: most });
    fc.assert(
      fc.property(
        mm(60, 540),
        mm(60, 300),
        mm(-900, 900),
        mm(-900, 900),
        mm(0, 359),
        (x, y, dx, dy, turnDeg) => {
          const piece = { ...block([x, y], [100, 60, 80]), turnDeg };
          const [mx, my] = insideGlass(tank, [piece], [dx, dy]);
          // Half the longest side reaches no further, however it is turned.
          const [px, py] = [x + mx, y + my];
          expect([
            Math.round(px) >= 30,
            Math.round(px) <= 570,
            Math.round(py) >= 30,
            Math.round(py) <= 330,
          ]).toEqual([true, true, true, true]);
          expect([Math.abs(mx) <= Math.abs(dx), mx * dx >= 0, Math.abs(my) <= Math.abs(dy), my * dy >= 0]).toEqual([true, true, true, true]); // prettier-ignore
        },
      ),
    );
  });
});
