import { EndType, inflatePathsD, JoinType, type PathsD } from 'clipper2-ts';
import { firstCrossing, polygonArea, type Point } from '../geometry/polygon';
import { hullOf } from '../hardscape/planHull';

/** Digits while it is worked on; corners are whole millimetres in the end. */
const DIGITS = 2;
/** Spikes and slits narrower than twice this go: at the glass they would lie on themselves, mm. */
const SLIT_MM = 1;

/** The largest of some rings as a document may have it: whole millimetres, nowhere on itself; empty where there is none. */
export function soundRing(rings: PathsD): Point[] {
  const narrowed = inflatePathsD(rings, -SLIT_MM, JoinType.Miter, EndType.Polygon, 2, DIGITS);
  const open = inflatePathsD(narrowed, SLIT_MM, JoinType.Miter, EndType.Polygon, 2, DIGITS);
  const all = open.map((ring) => ring.map(({ x, y }): Point => [Math.round(x), Math.round(y)]));
  const [largest = []] = all.sort((a, b) => polygonArea(b) - polygonArea(a));
  // What still lies on itself to the millimetre is taken as its hull.
  return largest.length > 2 && firstCrossing(largest) ? hullOf(largest) : largest;
}
