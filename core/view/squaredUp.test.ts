import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Matrix4, PerspectiveCamera, Vector3 } from 'three';
import { areCorners } from '../geometry/polygon';
import { squaredUp, squaringUp, type Corners } from './squaredUp';

/** A table of 900 × 450 mm as a camera of three.js sees it, px of a picture of 1600 × 1200. */
function camera(x: number, y: number, z: number) {
  const eye = new PerspectiveCamera(50, 4 / 3, 1, 10_000);
  eye.position.set(x, y, z);
  eye.up.set(0, 0, 1);
  eye.lookAt(450, 225, 0);
  eye.updateMatrixWorld(true);
  const m = new Matrix4().multiplyMatrices(eye.projectionMatrix, eye.matrixWorldInverse);
  return (mx: number, my: number): [number, number] => {
    const p = new Vector3(mx, my, 0).applyMatrix4(m);
    return [((p.x + 1) / 2) * 1600, ((1 - p.y) / 2) * 1200];
  };
}

describe('a photograph that is squared up', () => {
  it('maps known points of a photographed plane', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -600, max: 1500, noNaN: true }),
        fc.double({ min: -1500, max: -300, noNaN: true }),
        fc.double({ min: 400, max: 2000, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (x, y, z, u, v) => {
          const seen = camera(x, y, z);
          const corners = [seen(0, 450), seen(900, 450), seen(900, 0), seen(0, 0)] as Corners;
          expect(areCorners(corners)).toBe(true);
          const [px, py] = squaringUp(corners)(u, v);
          const [ex, ey] = seen(900 * u, 450 * (1 - v));
          expect(px).toBeCloseTo(ex, 6);
          expect(py).toBeCloseTo(ey, 6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('leaves a picture as it is whose corners are its own, and leaves clear what is outside', () => {
    const data = Uint8ClampedArray.from({ length: 8 * 6 * 4 }, (_, i) =>
      i % 4 === 3 ? 255 : (i * 37) % 256,
    );
    const whole = { width: 8, height: 6, data };
    const own: Corners = [[0, 0], [8, 0], [8, 6], [0, 6]]; // prettier-ignore
    expect(squaredUp(whole, own, 8, 6).data).toEqual(data);
    const wide: Corners = [[-8, 0], [8, 0], [8, 6], [-8, 6]]; // prettier-ignore
    const half = squaredUp(whole, wide, 16, 6);
    expect(half.data[3]).toBe(0);
    expect(half.data[(3 * 16 + 12) * 4 + 3]).toBe(255);
  });

  it('knows corners that are none: crossed, dented, or in one line', () => {
    expect(areCorners([[0, 0], [9, 9], [9, 0], [0, 9]])).toBe(false); // prettier-ignore
    expect(areCorners([[0, 0], [9, 0], [2, 2], [0, 9]])).toBe(false); // prettier-ignore
    expect(areCorners([[0, 0], [1, 0], [2, 0], [3, 0]])).toBe(false); // prettier-ignore
  });
});
