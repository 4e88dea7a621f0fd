import type { Point, Polygon } from '../geometry/polygon';
import { distanceTo, edgesOf } from '../geometry/offset';
import type { Vessel } from '../commission/schema';
import { planHull } from './planHull';
import type { Standing } from './settle';

/** A clear distance seen from above: from a piece to a pane or to another piece, with the points between which it is. */
export interface Clearance {
  /** `front`, `left`, `right`, `back`, or the id of a piece. */
  to: string;
  from: Point;
  at: Point;
  mm: number;
}

/** Pieces that are further away are not asked about, mm; and no more than so many of them. */
const ASKED_MM = 160;
const MOST = 3;

/**
 * What is clear around a piece: to the front pane, to the nearer of the sides, to the pieces beside it. Seen from above
 * pieces are their convex outlines; those that overlap there have no distance.
 */
export function clearancesOf(
  standing: Standing,
  others: readonly Standing[],
  { innerMm }: Vessel,
): Clearance[] {
  const hull = placed(standing);
  const panes = [
    { to: 'front', axis: 1, at: 0, sign: 1 },
    { to: 'left', axis: 0, at: 0, sign: 1 },
    { to: 'right', axis: 0, at: innerMm.length, sign: -1 },
    { to: 'back', axis: 1, at: innerMm.width, sign: -1 },
  ] as const;
  const toPanes = panes.map(({ to, axis, at, sign }): Clearance => {
    const from = hull.reduce((a, b) => (sign * b[axis] < sign * a[axis] ? b : a));
    const foot: Point = axis === 1 ? [from[0], at] : [at, from[1]];
    return { to, from, at: foot, mm: sign * (from[axis] - at) };
  });
  const [front, ...sides] = toPanes;
  const nearest = sides.reduce((a, b) => (b.mm < a.mm ? b : a));
  const toPieces = others
    .map((o) => between(hull, placed(o), o.piece.id))
    .filter((c) => c.mm > 0 && c.mm < ASKED_MM)
    .sort((a, b) => a.mm - b.mm)
    .slice(0, MOST);
  return [front, ...(nearest.mm < ASKED_MM ? [nearest] : []), ...toPieces];
}

function placed({ columns, xMm, yMm }: Standing): Polygon {
  return planHull(columns).map(([x, y]): Point => [x + xMm, y + yMm]);
}

/** The shortest way between two convex rings; 0 where they overlap. */
function between(a: Polygon, b: Polygon, to: string): Clearance {
  let best: Clearance = { to, from: a[0], at: b[0], mm: Infinity };
  const tried = (p: Point, edge: readonly [Point, Point], flipped: boolean) => {
    const mm = distanceTo(p, edge);
    if (mm >= best.mm) return;
    const foot = footOn(p, edge);
    best = flipped ? { to, from: foot, at: p, mm } : { to, from: p, at: foot, mm };
  };
  for (const p of a) for (const edge of edgesOf(b)) tried(p, edge, false);
  for (const p of b) for (const edge of edgesOf(a)) tried(p, edge, true);
  return overlap(a, b) ? { ...best, mm: 0 } : best;
}

function footOn([x, y]: Point, [[ax, ay], [bx, by]]: readonly [Point, Point]): Point {
  const [dx, dy] = [bx - ax, by - ay];
  const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
  return [ax + t * dx, ay + t * dy];
}

/** True when two convex rings have floor in common: no side of either has all of the other beyond it. */
function overlap(a: Polygon, b: Polygon): boolean {
  const parted = (ring: Polygon, other: Polygon) =>
    edgesOf(ring).some(([p, q]) =>
      other.every(([x, y]) => (q[0] - p[0]) * (y - p[1]) - (q[1] - p[1]) * (x - p[0]) < 0),
    );
  return !parted(a, b) && !parted(b, a);
}
