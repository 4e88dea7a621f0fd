import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Shape } from '../commission/schema';
import { meshFault, meshVolume } from '../geometry/mesh';
import { rotation } from '../geometry/rotation';
import { liftKgf, netLiftKgf, stoneToHoldKg } from './buoyancy';
import { columnsOf } from './columns';
import { extentOf } from './extent';
import { exactVolumeMm3, solidMesh } from './solid';

const angle = fc.double({ min: -180, max: 180, noNaN: true });
const size = fc.double({ min: 20, max: 200, noNaN: true });
const column = (shape: Shape, turn: number, tilt: [number, number]) => {
  const c = columnsOf(shape, turn, tilt);
  let sum = 0;
  for (let k = 0; k < c.lo.length; k++) sum += c.hi[k] - c.lo[k];
  return { ...c, counted: sum * c.dxMm * c.dyMm };
};

describe('solids', () => {
  it('are drawn by closed surfaces of nearly their volume', () => {
    for (const shape of [
      { kind: 'ellipsoid', sizeMm: [120, 80, 140] },
      { kind: 'box', sizeMm: [120, 80, 140] },
    ] as Shape[]) {
      const mesh = solidMesh(shape);
      expect(meshFault(mesh.vertices.length / 3, mesh.faces)).toBeUndefined();
      expect(Math.abs(meshVolume(mesh) / exactVolumeMm3(shape)! - 1)).toBeLessThan(0.06);
    }
    expect(exactVolumeMm3({ kind: 'ellipsoid', sizeMm: [120, 80, 140] })! / 1e6).toBeCloseTo(0.7037, 4);
  });

  it('fill columns of their volume however they are tilted and turned', () => {
    fc.assert(
      fc.property(size, size, size, angle, angle, angle, (a, b, c, turn, x, y) => {
        for (const kind of ['ellipsoid', 'box'] as const) {
          const shape: Shape = { kind, sizeMm: [a, b, c] };
          const { counted, volumeMm3 } = column(shape, turn, [x, y]);
          expect(volumeMm3).toBeCloseTo(exactVolumeMm3(shape)!, 6);
          expect(Math.abs(counted / volumeMm3 - 1)).toBeLessThan(0.03);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('count overlapping limbs of one piece once', () => {
    const box = solidMesh({ kind: 'box', sizeMm: [100, 40, 40] });
    const second = box.vertices.map((v, i) => (i % 3 === 0 ? v + 50 : v));
    const vertices = [...box.vertices, ...second];
    const limbs: Shape = {
      kind: 'mesh',
      vertices: Array.from(
        { length: 16 },
        (_, i) => vertices.slice(i * 3, i * 3 + 3) as [number, number, number],
      ),
      faces: [0, 8].flatMap((shift) =>
        Array.from(
          { length: 12 },
          (_, f) => [...box.faces.slice(f * 3, f * 3 + 3)].map((v) => v + shift) as [number, number, number],
        ),
      ),
    };
    const litres = columnsOf(limbs, 0).volumeMm3;
    expect(Math.abs(litres / (150 * 40 * 40) - 1)).toBeLessThan(0.01);
  });

  it('know their extent: a ball however turned, a box on its edge', () => {
    fc.assert(
      fc.property(angle, angle, angle, (turn, x, y) => {
        const { hi } = extentOf({ kind: 'ellipsoid', sizeMm: [90, 90, 90] }, rotation(turn, [x, y]));
        hi.forEach((v) => expect(v).toBeCloseTo(45, 9));
      }),
    );
    const edge = extentOf({ kind: 'box', sizeMm: [100, 100, 100] }, rotation(45));
    expect(edge.hi[0]).toBeCloseTo(100 / Math.SQRT2, 9);
  });

  it('a root half out of the water weighs more than it lifts', () => {
    expect(netLiftKgf(3.7, 6)).toBeCloseTo(-2.3, 10);
    // Wholly under water it is the same as by density: 8 L at 0.75 kg/L lift 2 kgf.
    expect(netLiftKgf(8, 6)).toBeCloseTo(liftKgf(8, 0.75), 10);
  });

  it('lift and hold: 2 L of branch at 0.70 kg/L lift 0.60 kgf and need 0.96 kg of stone at 2.65', () => {
    expect(liftKgf(2, 0.7)).toBeCloseTo(0.6, 10);
    expect(stoneToHoldKg(0.6, 2.65)).toBeCloseTo(0.96, 2);
  });
});
