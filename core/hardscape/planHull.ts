import { polygonHull } from 'd3-polygon';
import type { Point, Polygon } from '../geometry/polygon';
import type { Columns } from './columns';
import type { Standing } from './settle';

const hulls = new WeakMap<Columns, Polygon>();

/**
 * The convex ring around a turned piece seen from above, around its own origin, mm: over the middles of its
 * outermost columns, stretched so that it reaches exactly as far as the piece along x and y.
 */
export function planHull(columns: Columns): Polygon {
  const known = hulls.get(columns);
  if (known) return known;
  const hull = stretched(hullOf(outermost(columns)), columns);
  hulls.set(columns, hull);
  return hull;
}

/** The ring around a piece where it stands. */
export function ringOf({ columns, xMm, yMm }: Pick<Standing, 'columns' | 'xMm' | 'yMm'>): Polygon {
  return planHull(columns).map(([x, y]) => [xMm + x, yMm + y]);
}

/** The first and the last solid column of every row. */
function outermost({ columns, rows, x0, y0, dxMm, dyMm, first }: Columns): Point[] {
  const points: Point[] = [];
  for (let row = 0; row < rows; row++) {
    let left = -1;
    let right = -1;
    for (let column = 0; column < columns; column++) {
      const c = row * columns + column;
      if (first[c] === first[c + 1]) continue;
      if (left < 0) left = column;
      right = column;
    }
    if (left >= 0) points.push([x0 + left * dxMm, y0 + row * dyMm], [x0 + right * dxMm, y0 + row * dyMm]);
  }
  return points;
}

/** Convex hull, anticlockwise seen from above; the points themselves where there are too few for one. */
export function hullOf(points: readonly Point[]): Point[] {
  // The package has y downwards: its anticlockwise is clockwise here.
  return polygonHull(points as [number, number][])?.reverse() ?? [...points];
}

function stretched(hull: readonly Point[], { extent }: Columns): Point[] {
  const along = (axis: 0 | 1) => {
    const at = hull.map((p) => p[axis]);
    const [from, to] = [Math.min(...at), Math.max(...at)];
    const scale = to > from ? (extent.hi[axis] - extent.lo[axis]) / (to - from) : 1;
    return (v: number) => extent.lo[axis] + (v - from) * scale;
  };
  const [x, y] = [along(0), along(1)];
  return hull.map((p) => [x(p[0]), y(p[1])]);
}
