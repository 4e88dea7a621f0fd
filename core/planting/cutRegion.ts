import { FillRule, inflatePathsD, intersectD, unionD, EndType, JoinType } from 'clipper2-ts';
import { pathOf, ringOf } from '../geometry/paths';
import { polygonArea, polygonBounds, signedArea, type Point, type Polygon } from '../geometry/polygon';
import { soundRing } from './soundRing';

/** Digits that outlines keep, and the least that is a region of its own, mm². */
const [DIGITS, LEAST_MM2] = [2, 400];
/** Regions that come so near to each other are taken as touching, mm. */
const NEAR_MM = 10;

/**
 * A region cut in two along a straight line, what lies to the left of it first.
 * Valid for rings that do not cross themselves. Leaves out: of parts that the line cuts off on one side all but the largest.
 * Test: cutRegion.test.ts, "has two parts that make up the whole".
 *
 * @returns undefined where the line leaves less than 4 cm² on one side
 */
export function splitRegion(region: Polygon, a: Point, b: Point): [Point[], Point[]] | undefined {
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (long < 1) return undefined;
  const [left, front, right, back] = polygonBounds(region);
  // Far enough to either side that the half-plane covers whatever is there.
  const far = right - left + back - front + long + Math.hypot(a[0] - left, a[1] - front);
  const [ux, uy] = [(b[0] - a[0]) / long, (b[1] - a[1]) / long];
  const half = (side: 1 | -1): Polygon => [
    [a[0] - ux * far, a[1] - uy * far],
    [b[0] + ux * far, b[1] + uy * far],
    [b[0] + ux * far - uy * far * side, b[1] + uy * far + ux * far * side],
    [a[0] - ux * far - uy * far * side, a[1] - uy * far + ux * far * side],
  ];
  const part = (side: 1 | -1) => soundRing(intersectD([pathOf(region)], [pathOf(half(side))], FillRule.NonZero, DIGITS)); // prettier-ignore
  const parts: [Point[], Point[]] = [part(1), part(-1)];
  return parts.every((p) => p.length > 2 && polygonArea(p) >= LEAST_MM2) ? parts : undefined;
}

/**
 * A region cut along the front at a distance from it: the front part comes first.
 *
 * @returns undefined where one of the two would be too small to be a region
 */
export function splitAcross(region: Polygon, yMm: number): [Point[], Point[]] | undefined {
  const [left, , right] = polygonBounds(region);
  // Going to the left the front is on the left hand.
  return splitRegion(region, [right + 1, yMm], [left - 1, yMm]);
}

/** The line across the middle of a region’s longer side: where it is cut when nobody drew a line. */
export function acrossMiddle(region: Polygon): [Point, Point] {
  const [left, front, right, back] = polygonBounds(region);
  const [x, y] = [(left + right) / 2, (front + back) / 2];
  return right - left >= back - front
    ? [
        [x, front - 1],
        [x, back + 1],
      ]
    : [
        [left - 1, y],
        [right + 1, y],
      ];
}

/**
 * Two regions as one, the narrow gap between them closed.
 * Valid for rings that do not cross themselves. Leaves out: holes, which are planted as well.
 * Test: cutRegion.test.ts, "are one again".
 *
 * @returns undefined where they lie farther apart than a finger
 */
export function joinedRegion(one: Polygon, other: Polygon): Point[] | undefined {
  const both = [pathOf(one), pathOf(other)];
  const grown = inflatePathsD(unionD(both, [], FillRule.NonZero, DIGITS), NEAR_MM / 2, JoinType.Miter, EndType.Polygon, 2, DIGITS); // prettier-ignore
  const outer = grown.filter((ring) => polygonArea(ringOf(ring)) > LEAST_MM2);
  // A ring inside of another is a hole: what counts are those that stand beside each other.
  const beside = outer.filter((ring) => signedArea(ringOf(ring)) > 0);
  if (beside.length !== 1) return undefined;
  const back = inflatePathsD(beside, -NEAR_MM / 2, JoinType.Miter, EndType.Polygon, 2, DIGITS);
  return soundRing(unionD([...back, ...both], [], FillRule.NonZero, DIGITS));
}
