import type { Shape } from '../commission/schema';
import { turned, type Matrix } from '../geometry/rotation';
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
  const vertices = turned(solidMesh(shape).vertices, m);
  const lo: Extent['lo'] = [Infinity, Infinity, Infinity];
  const hi: Extent['hi'] = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < vertices.length; i++) {
    lo[i % 3] = Math.min(lo[i % 3], vertices[i]);
    hi[i % 3] = Math.max(hi[i % 3], vertices[i]);
  }
  return { lo, hi };
}
