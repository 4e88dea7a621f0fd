import { EndType, FillRule, inflatePathsD, JoinType, simplifyPathD, unionD, type PathsD } from 'clipper2-ts';
import { firstCrossing, polygonArea, turn, type Point } from '../geometry/polygon';
import { hullOf } from '../hardscape/planHull';

/** Digits while it is worked on; corners are whole millimetres in the end. */
const DIGITS = 2;
/** Spikes and slits narrower than twice this go: at the glass they would lie on themselves, mm. The first that is enough is taken. */
const SLITS_MM = [1, 2, 4];
/** Corners that change a side by less than this say nothing, mm. */
const PLAIN_MM = 0.4;

/** The largest of some rings as a document may have it: whole millimetres, nowhere on itself; empty where there is none. */
export function soundRing(rings: PathsD): Point[] {
  let ring: Point[] = [];
  for (const slit of SLITS_MM) {
    ring = opened(rings, slit);
    if (ring.length < 3 || !firstCrossing(ring)) return ring;
  }
  // What still lies on itself to the millimetre is taken as its hull.
  return hullOf(ring);
}

/** Rings less what is narrower than twice a width, and of them the largest, its corners to the millimetre. */
function opened(rings: PathsD, slit: number): Point[] {
  const narrowed = inflatePathsD(rings, -slit, JoinType.Miter, EndType.Polygon, 2, DIGITS);
  const open = inflatePathsD(narrowed, slit, JoinType.Miter, EndType.Polygon, 2, DIGITS);
  const plain = open.map((ring) => simplifyPathD(ring, PLAIN_MM));
  // Rounded, edges that nearly touch may cross: they are taken apart once more.
  const rounded = plain.map((ring) => ring.map(({ x, y }) => ({ x: Math.round(x), y: Math.round(y) })));
  const all = unionD(rounded, [], FillRule.NonZero, 0).map((ring) =>
    ring.map(({ x, y }): Point => [Math.round(x), Math.round(y)]),
  );
  const [largest = []] = all.sort((a, b) => polygonArea(b) - polygonArea(a));
  return withoutLoops(withoutSpikes(largest));
}

/** Loops that are gone through at most. */
const MOST_LOOPS = 20;
/** Where two edges cross, by the rounding of a corner, the smaller of the two loops goes. */
function withoutLoops(ring: Point[]): Point[] {
  let kept = ring;
  for (let n = 0; n < MOST_LOOPS; n++) {
    const met = firstCrossing(kept);
    if (!met) return kept;
    const [i, j] = met;
    const [inner, outer] = [kept.slice(i + 1, j + 1), [...kept.slice(0, i + 1), ...kept.slice(j + 1)]];
    kept = polygonArea(inner) > polygonArea(outer) ? inner : outer;
  }
  return kept;
}

/** Where a ring comes back to a corner that it had, the smaller of its two loops goes; and edges that come back along themselves. */
function withoutSpikes(ring: readonly Point[]): Point[] {
  let kept = [...ring];
  for (let at = twice(kept); at; at = twice(kept)) {
    const loops = [kept.slice(at[0], at[1]), [...kept.slice(0, at[0]), ...kept.slice(at[1])]];
    kept = polygonArea(loops[0]) > polygonArea(loops[1]) ? loops[0] : loops[1];
  }
  return kept.filter((b, i) => {
    const [a, c] = [kept[(i + kept.length - 1) % kept.length], kept[(i + 1) % kept.length]];
    const goesBack = (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]) < 0;
    return !(goesBack && turn(a, b, c) === 0);
  });
}

/** Two places at which a ring has the same corner. */
function twice(ring: readonly Point[]): [number, number] | undefined {
  const seen = new Map<string, number>();
  for (const [i, corner] of ring.entries()) {
    const before = seen.get(corner.join());
    if (before !== undefined) return [before, i];
    seen.set(corner.join(), i);
  }
  return undefined;
}
