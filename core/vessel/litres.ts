import type { Vessel } from '../commission/schema';
import { polygonArea } from '../geometry/polygon';
import { MM3_PER_L } from '../units/volume';
import { chamberFloors, displayOutline } from './display';

/** Area of the display's floor, mm². */
export function displayAreaMm2(vessel: Vessel): number {
  return polygonArea(displayOutline(vessel));
}

/**
 * Inner volume up to a height above the bottom pane, L, chambers included and their walls left out:
 * 900 × 500 × 480 mm hold 216.0 L. Above the brim it stays at the brim.
 * Valid for upright walls. Leaves out: the meniscus and glass that bends.
 * Test: glass.test.ts, "holds 216.0 L when it measures 900 × 500 × 480 mm, and half of it half-way up".
 */
export function litresToHeight(vessel: Vessel, heightMm: number): number {
  const high = Math.min(Math.max(heightMm, 0), vessel.innerMm.height);
  const area = chamberFloors(vessel).reduce((sum, c) => sum + polygonArea(c.outline), displayAreaMm2(vessel));
  return (area * high) / MM3_PER_L;
}

/** Volume of the display alone up to a height, L: what a fill of it comes to while nothing stands in it. */
export function displayLitresTo(vessel: Vessel, heightMm: number): number {
  return (displayAreaMm2(vessel) * Math.min(Math.max(heightMm, 0), vessel.innerMm.height)) / MM3_PER_L;
}

/** Water in the chambers, L: each to its own line. */
export function chamberWaterL(vessel: Vessel): number {
  return chamberFloors(vessel).reduce(
    (sum, c) => sum + (polygonArea(c.outline) * Math.min(c.waterLineMm, vessel.innerMm.height)) / MM3_PER_L,
    0,
  );
}

/** Water at the water line, L: the display to the vessel's line, each chamber to its own. */
export function waterLineL(vessel: Vessel): number {
  return (displayAreaMm2(vessel) * vessel.waterLineMm) / MM3_PER_L + chamberWaterL(vessel);
}
