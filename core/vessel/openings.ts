import type { Vessel } from '../commission/schema';
import { edgesOf, isConvex, leftOf, shrunk } from '../geometry/offset';
import {
  anticlockwise,
  clippedAlong,
  polygonArea,
  polygonBounds,
  polygonContains,
  type Point,
  type Polygon,
} from '../geometry/polygon';
import { displayOutline } from './display';

/** Openings smaller than this are no openings, mm². */
const LEAST_MM2 = 100;

/** Whether anything is in the way at the top: a rim or braces. */
export function isNarrowed({ rimMm, braces }: Vessel): boolean {
  return Boolean(rimMm || braces?.length);
}

/** What is open at the top of the display, from left to right: within the rim, between the braces. */
export function openings(vessel: Vessel): Polygon[] {
  const within = shrunk(displayOutline(vessel), vessel.rimMm ?? 0);
  const braces = [...(vessel.braces ?? [])].sort((a, b) => a.fromMm - b.fromMm);
  let left = -Infinity;
  const gaps: [number, number][] = [];
  for (const { fromMm, toMm } of braces) {
    gaps.push([left, fromMm]);
    left = Math.max(left, toMm);
  }
  gaps.push([left, Infinity]);
  return gaps
    .filter(([from, to]) => to > from)
    .map(([from, to]) => clippedAlong(clippedAlong(within, 0, from, 'above'), 0, to, 'below'))
    .filter((opening) => opening.length > 2 && polygonArea(opening) > LEAST_MM2);
}

/** Ways a thing is turned over an opening, and the step in which an odd-shaped one is tried, mm. */
const TURNS = 24;
const TRY_MM = 12;

/**
 * Whether a thing passes through an opening, end first: its two smaller sizes, as a rectangle turned any
 * way, must fit inside. Sizes are of the box around it, so a rounded stone may pass where this says no.
 */
export function passes(opening: Polygon, sizeMm: readonly [number, number, number]): boolean {
  const [a, b] = [...sizeMm].sort((p, q) => p - q);
  return Array.from({ length: TURNS }, (_, i) => (i * Math.PI) / TURNS).some((turn) =>
    rectangleFits(opening, a / 2, b / 2, turn),
  );
}

function rectangleFits(opening: Polygon, halfA: number, halfB: number, turn: number): boolean {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const corner = (u: number, v: number): Point => [
    u * halfA * c - v * halfB * s,
    u * halfA * s + v * halfB * c,
  ];
  const corners = [corner(1, 1), corner(-1, 1), corner(-1, -1), corner(1, -1)];
  const ring = anticlockwise(opening);
  if (isConvex(ring)) {
    // Where its middle may be: inside of every side by as much as the rectangle reaches towards it.
    const middles = edgesOf(ring).reduce<Point[]>(
      (left, [p, q]) => {
        const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
        if (length === 0) return left;
        const reach = Math.max(...corners.map(([x, y]) => ((q[1] - p[1]) * x - (q[0] - p[0]) * y) / length));
        return leftOf(left, p, q, reach - 1e-6);
      },
      [...ring] as Point[],
    );
    return middles.length > 0;
  }
  const [left, front, right, back] = polygonBounds(ring);
  for (let y = front; y <= back; y += TRY_MM)
    for (let x = left; x <= right; x += TRY_MM) {
      const placed = corners.map(([u, v]): Point => [x + u, y + v]);
      const clear = placed.every(([u, v]) => polygonContains(ring, u, v));
      if (clear && ring.every(([u, v]) => !polygonContains(placed, u, v))) return true;
    }
  return false;
}

/** Length and width of the box around an opening, mm; for saying how large it is. */
export function openingSize(opening: Polygon): [number, number] {
  const [left, front, right, back] = polygonBounds(opening);
  return [right - left, back - front];
}
