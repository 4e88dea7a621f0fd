import { FillRule, intersectD, simplifyPathD, unionD } from 'clipper2-ts';
import { pathOf } from '../geometry/paths';
import { polygonArea, type Point, type Polygon } from '../geometry/polygon';
import { soundRing } from './soundRing';

/** Digits that outlines keep, how far a freehand line may be off where it is thinned, and the least that is a drift, mm. */
const [DIGITS, THIN_MM, LEAST_MM2] = [2, 2.5, 400];

/**
 * A drift as a hand draws it: the line closed, what it laid across itself joined, thinned, within the floor.
 * Valid for one stroke. Leaves out: what the hand trembled.
 * Test: drift.test.ts, "is the stroke, closed and within the floor".
 *
 * @returns empty where it encloses nothing to plant
 */
export function driftRegion(stroke: readonly Point[], floor: Polygon): Point[] {
  if (stroke.length < 3) return [];
  const whole = unionD([simplifyPathD(pathOf(stroke), THIN_MM)], [], FillRule.NonZero, DIGITS);
  const within = intersectD(whole, [pathOf(floor)], FillRule.NonZero, DIGITS);
  const ring = soundRing(within);
  return polygonArea(ring) < LEAST_MM2 ? [] : ring;
}
