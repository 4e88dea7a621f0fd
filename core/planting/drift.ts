import { FillRule, intersectD, simplifyPathD, unionD } from 'clipper2-ts';
import { polygonArea, type Point, type Polygon } from '../geometry/polygon';

/** Digits that outlines keep, how far a freehand line may be off where it is thinned, and the least that is a drift, mm. */
const [DIGITS, THIN_MM, LEAST_MM2] = [1, 2.5, 400];

/**
 * A drift as a hand draws it: the line closed, what it laid across itself joined, thinned, within the floor.
 * Valid for one stroke. Leaves out: what the hand trembled.
 * Test: drift.test.ts, "is the stroke, closed and within the floor".
 *
 * @returns empty where it encloses nothing to plant
 */
export function driftRegion(stroke: readonly Point[], floor: Polygon): Point[] {
  if (stroke.length < 3) return [];
  const path = (ring: Polygon) => ring.map(([x, y]) => ({ x, y }));
  const whole = unionD([simplifyPathD(path(stroke), THIN_MM)], [], FillRule.NonZero, DIGITS);
  const within = intersectD(whole, [path(floor)], FillRule.NonZero, DIGITS);
  const rings = within.map((ring) => ring.map(({ x, y }): Point => [x, y]));
  const [largest = []] = rings.sort((a, b) => polygonArea(b) - polygonArea(a));
  return polygonArea(largest) < LEAST_MM2 ? [] : largest;
}
