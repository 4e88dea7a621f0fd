import type { Point, Polygon } from './polygon';

/**
 * The part of a segment that lies within a convex ring, as shares of its length from its beginning; undefined where none
 * does. `withinConvex([0, 0], [10, 0], square from 2 to 4)` is `[0.2, 0.4]`.
 * Source: M. Cyrus and J. Beck, Generalized two- and three-dimensional clipping, Computers & Graphics 3, 1978 (from memory).
 */
export function withinConvex(from: Point, to: Point, ring: Polygon): [number, number] | undefined {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  let [enters, leaves] = [0, 1];
  const turn = Math.sign(signedArea(ring)) || 1;
  for (let i = 0; i < ring.length; i++) {
    const [a, b] = [ring[i], ring[(i + 1) % ring.length]];
    // Outwards of the edge, whichever way the ring goes round.
    const [nx, ny] = [turn * (b[1] - a[1]), -turn * (b[0] - a[0])];
    const along = nx * dx + ny * dy;
    const outside = nx * (from[0] - a[0]) + ny * (from[1] - a[1]);
    if (along === 0) {
      if (outside > 0) return undefined;
      continue;
    }
    const at = -outside / along;
    if (along < 0) enters = Math.max(enters, at);
    else leaves = Math.min(leaves, at);
    if (enters >= leaves) return undefined;
  }
  return [enters, leaves];
}

function signedArea(ring: Polygon): number {
  return ring.reduce((sum, [x, y], i) => {
    const [nx, ny] = ring[(i + 1) % ring.length];
    return sum + x * ny - nx * y;
  }, 0);
}
