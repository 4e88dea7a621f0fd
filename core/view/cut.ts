import { polygonBounds, type Point, type Polygon } from '../geometry/polygon';

/** An upright cut through a scape: a spot that it goes through, mm, and how far it is turned, degrees. */
export interface Cut {
  at: Point;
  /** Anticlockwise seen from above, from −90 to 90: 0 runs from front to back, −90 from left to right. */
  turnDeg: number;
}

/** Where a cut runs within the panes. */
export interface CutRun {
  from: Point;
  to: Point;
  lengthMm: number;
  /** Way along the cut, of length 1. */
  way: Point;
}

const RAD = Math.PI / 180;
/** Along a pane itself a cut would have nothing on one side. */
const EDGE_MM = 0.01;

/**
 * The stretch of a cut between the panes: where its line first and last meets the outline of the floor.
 * Valid for rings that do not cross themselves. Leaves out: what a chamber takes between two stretches.
 * Test: cut.test.ts, "runs from pane to pane".
 *
 * @returns undefined where the line misses the outline
 */
export function cutRun(ring: Polygon, { at, turnDeg }: Cut): CutRun | undefined {
  const way = wayOf(turnDeg);
  const meets: number[] = [];
  for (let i = 0; i < ring.length; i++) {
    const [a, b] = [ring[i], ring[(i + 1) % ring.length]];
    const [da, db] = [acrossOf(a, at, way), acrossOf(b, at, way)];
    if (da < 0 === db < 0) continue;
    const t = da / (da - db);
    meets.push(alongOf([a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])], at, way));
  }
  if (meets.length < 2) return undefined;
  const [first, last] = [Math.min(...meets), Math.max(...meets)];
  const spot = (t: number): Point => [at[0] + t * way[0], at[1] + t * way[1]];
  return { from: spot(first), to: spot(last), lengthMm: last - first, way };
}

/** A cut that still meets the floor: its spot brought back between the outermost panes. */
export function cutWithin(ring: Polygon, { at: [x, y], turnDeg }: Cut): Cut {
  const [left, front, right, back] = polygonBounds(ring);
  const kept = (v: number, from: number, to: number) => Math.min(Math.max(v, from + EDGE_MM), to - EDGE_MM);
  return { at: [kept(x, left, right), kept(y, front, back)], turnDeg };
}

/** A cut moved to its right, mm. */
export function movedCut(ring: Polygon, { at, turnDeg }: Cut, rightMm: number): Cut {
  const [wx, wy] = wayOf(turnDeg);
  const spot = (v: number) => Math.round(v * 10) / 10 || 0;
  return cutWithin(ring, { at: [spot(at[0] + rightMm * wy), spot(at[1] - rightMm * wx)], turnDeg });
}

/** How far a spot lies along a cut from where it begins, and to the right of it, mm. */
export function besideCut({ from, way }: CutRun, spot: Point): { alongMm: number; rightMm: number } {
  return { alongMm: alongOf(spot, from, way), rightMm: acrossOf(spot, from, way) };
}

/** Turns that are taken when one is near, and how near, degrees. */
const UPRIGHT = [-90, -45, 0, 45, 90];
const NEAR_DEG = 2;

/** A cut turned about its spot, to whole degrees; half a turn further it is the same cut. */
export function turnedCut(ring: Polygon, { at }: Cut, deg: number): Cut {
  const half = halfTurn(deg);
  const near = UPRIGHT.find((u) => Math.abs(u - half) <= NEAR_DEG);
  return cutWithin(ring, { at, turnDeg: halfTurn(near ?? Math.round(half)) });
}

/** The same line from −90 to below 90 degrees. */
const halfTurn = (deg: number) => ((((deg + 90) % 180) + 180) % 180) - 90;

/** The turn that makes a cut run in a direction; either way along it is the same cut. */
export function turnTowards([dx, dy]: Point): number {
  return halfTurn(Math.atan2(-dx, dy) / RAD);
}

function wayOf(turnDeg: number): Point {
  return [-Math.sin(turnDeg * RAD), Math.cos(turnDeg * RAD)];
}
const alongOf = (p: Point, o: Point, [x, y]: Point) => (p[0] - o[0]) * x + (p[1] - o[1]) * y;
const acrossOf = (p: Point, o: Point, [x, y]: Point) => (p[0] - o[0]) * y - (p[1] - o[1]) * x;
