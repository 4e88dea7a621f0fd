import { UNMOVED_MM } from '../commission/origin';
import type { Piece } from '../commission/schema';

/** Turned or tilted by less than this it has not been touched, degrees. */
const UNTURNED_DEG = 1;

/** True for a piece that stands as it stood: in its place, at its height, turned and tilted as it was. One that is fixed cannot do otherwise. */
export function isInPlace(was: Piece, wasZMm: number, is: Piece, isZMm: number): boolean {
  if (is.fixed) return true;
  const moved = Math.hypot(is.at[0] - was.at[0], is.at[1] - was.at[1], isZMm - wasZMm);
  const turned = Math.max(apartDeg(was.turnDeg, is.turnDeg), ...[0, 1].map((k) => apartDeg(was.tiltDeg?.[k], is.tiltDeg?.[k]))); // prettier-ignore
  return moved <= UNMOVED_MM && turned <= UNTURNED_DEG;
}

/** Degrees between two directions, 0 to 180: 350 and 10 are 20 apart. */
function apartDeg(a = 0, b = 0): number {
  const d = Math.abs(a - b) % 360;
  return Math.min(d, 360 - d);
}
