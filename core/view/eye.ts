import { USUAL_BASE_MM } from '../commission/usual';
import type { Seat, Vessel } from '../commission/schema';
import type { Spot3 } from './sightLine';

/** Where somebody stands who looks without a seat: a little left, so far away and above the middle, in tank lengths. */
const STANDS = { left: 0.3, away: 1.5, above: 0.22 };
/** Height of an eye over the tank from above, in tank lengths. */
const OVERHEAD = 3.4;

/** An eye straight above the middle, mm from the tank's front left corner and above its glass. */
export function eyeAbove({ innerMm: { length, width } }: Vessel): Spot3 {
  return [length / 2, width / 2 - 1, Math.max(length, width) * OVERHEAD];
}

/** An eye at a seat of the brief, or in front and a little left where there is none; the same axes. */
export function eyeFrom(vessel: Vessel, seat: Seat | undefined, baseHeightMm = USUAL_BASE_MM): Spot3 {
  if (seat) return [...seat.at, seat.eyeMm - baseHeightMm];
  const { length, height } = vessel.innerMm;
  const reach = Math.max(length, height * 1.2);
  return [length * (0.5 - STANDS.left), -reach * STANDS.away, height * 0.5 + reach * STANDS.above];
}
