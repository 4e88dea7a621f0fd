import { EndType, FillRule, inflatePathsD, intersectD, JoinType } from 'clipper2-ts';
import { pathOf, ringOf } from './paths';
import { anticlockwise, polygonArea, signedArea, type Point, type Polygon } from './polygon';

/** Sum of the sides, mm. A 300 × 100 rectangle has 800. */
export function perimeter(polygon: Polygon): number {
  return edgesOf(polygon).reduce((sum, [a, b]) => sum + Math.hypot(b[0] - a[0], b[1] - a[1]), 0);
}

export function edgesOf(polygon: Polygon): [Point, Point][] {
  return polygon.map((a, i) => [a, polygon[(i + 1) % polygon.length]]);
}

/** True when no corner turns inwards. */
export function isConvex(polygon: Polygon): boolean {
  return anticlockwise(polygon).every((_, i, ring) => turnAt(ring, i) >= -1e-12);
}

/** Angle by which an anticlockwise ring turns at a corner, radians; negative at a corner that points inwards. */
function turnAt(ring: Polygon, i: number): number {
  const n = ring.length;
  const [a, b, c] = [ring[(i + n - 1) % n], ring[i], ring[(i + 1) % n]];
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
  return Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy);
}

/**
 * Area of the ring with every side moved outwards by a distance, corners mitred, mm²:
 * A + P·t + t²·Σ tan(θ/2) over the turns θ. A 300 × 100 rectangle with 10 mm glass covers 320 × 120.
 * Valid for convex rings, any distance outwards. Leaves out: where a bay closes.
 * Test: outline.test.ts, "outwards covers a frame with mitred corners".
 */
export function grownArea(polygon: Polygon, byMm: number): number {
  const ring = anticlockwise(polygon);
  const mitres = ring.reduce((sum, _, i) => sum + Math.tan(turnAt(ring, i) / 2), 0);
  return polygonArea(ring) + perimeter(ring) * byMm + byMm * byMm * mitres;
}

/** Corners this many times as far out as their sides are moved are still mitred; and digits that offsets keep, mm. */
const MOST_MITRE = 1_000;
const DIGITS = 8;

/** The ring with every side moved inwards; an empty ring when nothing is left, the largest when it falls apart. */
export function shrunk(polygon: Polygon, byMm: number): Point[] {
  const ring = anticlockwise(polygon);
  if (byMm <= 0) return [...ring] as Point[];
  const left = inflatePathsD([pathOf(ring)], -byMm, JoinType.Miter, EndType.Polygon, MOST_MITRE, DIGITS);
  const rings = left.map(ringOf);
  return rings.sort((a, b) => polygonArea(b) - polygonArea(a))[0] ?? [];
}

/** The part of a ring that lies at least a distance to the left of the line from a to b. */
export function leftOf(ring: Polygon, a: Point, b: Point, byMm: number): Point[] {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const off = ([x, y]: Point) => ((b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0])) / length - byMm;
  return ring.flatMap((p, i) => {
    const q = ring[(i + 1) % ring.length];
    const [dp, dq] = [off(p), off(q)];
    const out: Point[] = dp >= 0 ? [p] : [];
    if (dp > 0 !== dq > 0 && dp !== 0 && dq !== 0) {
      const t = dp / (dp - dq);
      out.push([p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])]);
    }
    return out;
  });
}

/** Distance from a point to a side, mm. */
export function distanceTo([x, y]: Point, [a, b]: readonly [Point, Point]): number {
  const [ux, uy] = [b[0] - a[0], b[1] - a[1]];
  const t = ((x - a[0]) * ux + (y - a[1]) * uy) / (ux * ux + uy * uy);
  const s = Math.min(1, Math.max(0, t));
  return Math.hypot(x - a[0] - s * ux, y - a[1] - s * uy);
}

/** Area that two rings have in common, mm²: two squares of 100 that are shifted by half along both sides share 2,500. */
export function commonArea(a: Polygon, b: Polygon): number {
  const common = intersectD([pathOf(a)], [pathOf(b)], FillRule.NonZero, DIGITS);
  return common.reduce((sum, ring) => sum + signedArea(ringOf(ring)), 0);
}
