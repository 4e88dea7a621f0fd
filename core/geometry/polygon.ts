import { polygonArea as signedAreaDown } from 'd3-polygon';
import Flatbush from 'flatbush';
import { orient2d } from 'robust-predicates';

/** A point on the floor in mm: x from the left, y from the front glass. */
export type Point = readonly [number, number];
/** A closed ring of corners in order; the last is joined to the first and not repeated. */
export type Polygon = readonly Point[];

/**
 * Area in mm², whichever way round the corners run. A 300 × 100 rectangle has 30 000.
 * Valid for rings that do not cross themselves. Leaves out: nothing, to rounding.
 * Test: polygon.test.ts, "has an area, inside and outside".
 */
export function polygonArea(polygon: Polygon): number {
  return Math.abs(signedArea(polygon));
}

/** The same with its sign: positive when the corners run anticlockwise seen from above. */
export function signedArea(polygon: Polygon): number {
  // The package has y downwards.
  return -signedAreaDown(polygon as [number, number][]);
}

/** The same ring anticlockwise seen from above. */
export function anticlockwise(polygon: Polygon): Polygon {
  return signedArea(polygon) < 0 ? [...polygon].reverse() : polygon;
}

/**
 * To which side one goes at b on the way from a to c: 1 left, −1 right, 0 straight on, exactly whatever the
 * figures (Shewchuk, "Adaptive precision floating-point arithmetic and fast robust geometric predicates", 1997).
 */
export function turn(a: Point, b: Point, c: Point): number {
  return -Math.sign(orient2d(a[0], a[1], b[0], b[1], c[0], c[1]));
}

/** True when the point lies inside, by counting the edges that a ray to the right crosses. */
export function polygonContains(polygon: Polygon, x: number, y: number): boolean {
  let inside = false;
  for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
    const [xi, yi] = polygon[i];
    const [xj, yj] = polygon[j];
    // Half-open in y, so that a ray through a corner counts it once; left of an edge that goes up.
    if (yi > y === yj > y) continue;
    const side = orient2d(xi, yi, xj, yj, x, y);
    if (yj > yi ? side < 0 : side > 0) inside = !inside;
  }
  return inside;
}

/** Where a line from left to right at y meets a ring, mm from the left, in order. */
export function crossingsAt(ring: Polygon, y: number): number[] {
  const at: number[] = [];
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [ax, ay] = ring[j];
    const [bx, by] = ring[i];
    if (ay > y !== by > y) at.push(ax + ((y - ay) / (by - ay)) * (bx - ax));
  }
  return at.sort((a, b) => a - b);
}

/** Left, front, right and back of a polygon, mm. */
export function polygonBounds(polygon: Polygon): [number, number, number, number] {
  let [left, front, right, back] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of polygon) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    front = Math.min(front, y);
    back = Math.max(back, y);
  }
  return [left, front, right, back];
}

/**
 * The part of a polygon on one side of a line parallel to an axis (Sutherland and Hodgman's clip, one side
 * of it). For a polygon with bays the result may run along the line and back, which leaves its area right.
 */
export function clippedAlong(polygon: Polygon, axis: 0 | 1, limit: number, keep: 'below' | 'above'): Point[] {
  const sign = keep === 'below' ? 1 : -1;
  const out: Point[] = [];
  for (let i = 0; i < polygon.length; i++) {
    const a = polygon[i];
    const b = polygon[(i + 1) % polygon.length];
    const da = sign * (a[axis] - limit);
    const db = sign * (b[axis] - limit);
    if (da <= 0) out.push(a);
    if (da < 0 !== db < 0 && da !== 0 && db !== 0) {
      const t = da / (da - db);
      out.push([a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])]);
    }
  }
  return out;
}

/** Edges from which on an index of their boxes is worth making. */
const MANY_EDGES = 60;

/**
 * The first pair of edges that cross or touch other than at their shared corner, or undefined. Two edges of
 * one corner touch elsewhere when the ring turns back on itself there: a spike without width.
 */
export function firstCrossing(polygon: Polygon): [number, number] | undefined {
  const n = polygon.length;
  const near = n > MANY_EDGES ? edgesNear(polygon) : undefined;
  for (let i = 0; i < n; i++) {
    const others = near ? near(i) : undefined;
    const count = others ? others.length : n - i - 1;
    for (let k = 0; k < count; k++) {
      const j = others ? others[k] : i + 1 + k;
      if (edgesMeet(polygon, i, j)) return [i, j];
    }
  }
  return undefined;
}

function edgesMeet(polygon: Polygon, i: number, j: number): boolean {
  const n = polygon.length;
  const [a, b, c, d] = [polygon[i], polygon[(i + 1) % n], polygon[j], polygon[(j + 1) % n]];
  if (j === i + 1) return turnsBack(a, b, d);
  if (i === 0 && j === n - 1) return turnsBack(c, a, b);
  return segmentsMeet(a, b, c, d);
}

/** Whether a way from a over b to c comes back along itself, or stays where it is. */
function turnsBack(a: Point, b: Point, c: Point): boolean {
  if (turn(a, b, c) !== 0) return false;
  return (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]) <= 0;
}

/** For each edge the later ones whose boxes touch its own, in order (a packed Hilbert R-tree). */
function edgesNear(polygon: Polygon): (i: number) => number[] {
  const n = polygon.length;
  const index = new Flatbush(n);
  const box = (i: number): [number, number, number, number] => {
    const [[ax, ay], [bx, by]] = [polygon[i], polygon[(i + 1) % n]];
    return [Math.min(ax, bx), Math.min(ay, by), Math.max(ax, bx), Math.max(ay, by)];
  };
  for (let i = 0; i < n; i++) index.add(...box(i));
  index.finish();
  return (i) => index.search(...box(i), (j) => j > i).sort((a, b) => a - b);
}

function within(a: Point, b: Point, p: Point): boolean {
  return (
    Math.min(a[0], b[0]) <= p[0] &&
    p[0] <= Math.max(a[0], b[0]) &&
    Math.min(a[1], b[1]) <= p[1] &&
    p[1] <= Math.max(a[1], b[1])
  );
}

function segmentsMeet(a: Point, b: Point, c: Point, d: Point): boolean {
  const [c1, c2, d1, d2] = [turn(a, b, c), turn(a, b, d), turn(c, d, a), turn(c, d, b)];
  if (c1 !== c2 && d1 !== d2) return true;
  return (
    (c1 === 0 && within(a, b, c)) ||
    (c2 === 0 && within(a, b, d)) ||
    (d1 === 0 && within(c, d, a)) ||
    (d2 === 0 && within(c, d, b))
  );
}

/** True where four corners are those of a rectangle seen from somewhere: in turn, and none of them dented. */
export function areCorners([a, b, c, d]: readonly [Point, Point, Point, Point]): boolean {
  const turns = [turn(a, b, c), turn(b, c, d), turn(c, d, a), turn(d, a, b)];
  return turns.every((t) => t > 0) || turns.every((t) => t < 0);
}
