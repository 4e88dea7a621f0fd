import type { Shape } from '../commission/schema';
import type { Mesh } from '../geometry/mesh';
import { rotation, turned, type Matrix } from '../geometry/rotation';
import { solidMesh } from './solid';

/** Lowest and highest x, y, z of a turned shape around its own origin, mm. */
export interface Extent {
  lo: [number, number, number];
  hi: [number, number, number];
}

/**
 * The box that a turned shape fills, exactly: for an ellipsoid with half axes d and rotation R the half
 * extent along axis i is √Σⱼ (Rᵢⱼ·dⱼ)² (support function of an ellipsoid), otherwise over all corners.
 */
export function extentOf(shape: Shape, m: Matrix): Extent {
  if (shape.kind === 'ellipsoid') {
    const [a, b, c] = shape.sizeMm.map((s) => s / 2);
    const half = (row: number) => Math.hypot(m[row * 3] * a, m[row * 3 + 1] * b, m[row * 3 + 2] * c);
    const hi: Extent['hi'] = [half(0), half(1), half(2)];
    return { lo: [-hi[0], -hi[1], -hi[2]], hi };
  }
  const known = kept.get(shape);
  if (known?.m.every((v, i) => v === m[i])) return known.extent;
  const extent = extentOfMesh(solidMesh(shape), m);
  kept.set(shape, { m, extent });
  return extent;
}

/** The same of a surface: the box around all of its turned corners. */
export function extentOfMesh({ vertices }: Mesh, m: Matrix): Extent {
  return boxOf(turned(vertices, m));
}

/** Length, width and height of a shape as it lies in the hand, mm; of a scan as it was measured. */
export function sizeMmOf(shape: Shape): readonly [number, number, number] {
  if (shape.kind !== 'mesh') return shape.sizeMm;
  const known = sizes.get(shape);
  if (known) return known;
  const { lo, hi } = extentOfMesh(solidMesh(shape), rotation(0));
  const size = [hi[0] - lo[0], hi[1] - lo[1], hi[2] - lo[2]] as const;
  sizes.set(shape, size);
  return size;
}

/** Sizes by the shape that has them; apart from `kept`, which knows it as it stands. */
const sizes = new WeakMap<Shape, readonly [number, number, number]>();

/** As each shape was last turned: shapes are replaced, never changed in place. */
const kept = new WeakMap<Shape, { m: Matrix; extent: Extent }>();

function boxOf(vertices: Float64Array): Extent {
  const lo: Extent['lo'] = [Infinity, Infinity, Infinity];
  const hi: Extent['hi'] = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < vertices.length; i += 3)
    for (let k = 0; k < 3; k++) {
      const v = vertices[i + k];
      if (v < lo[k]) lo[k] = v;
      if (v > hi[k]) hi[k] = v;
    }
  return { lo, hi };
}
