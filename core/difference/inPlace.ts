import { UNMOVED_MM } from '../commission/origin';
import type { Piece } from '../commission/schema';

/** Turned or tilted by less than this it has not been touched, degrees. */
const UNTURNED_DEG = 1;

/**
 * True for a piece that is to stand as it stands: in its place, on what it stands on, as deep, turned and tilted as it is.
 * One that is fixed cannot do otherwise. That the bed under it is drawn higher or lower moves nothing: it is a finding.
 */
export function isInPlace(was: Piece, is: Piece): boolean {
  if (is.fixed) return true;
  const turned = Math.max(apartDeg(was.turnDeg, is.turnDeg), ...[0, 1].map((k) => apartDeg(was.tiltDeg?.[k], is.tiltDeg?.[k]))); // prettier-ignore
  const moved = Math.hypot(is.at[0] - was.at[0], is.at[1] - was.at[1]);
  return moved <= UNMOVED_MM && turned <= UNTURNED_DEG && standsAlike(was.stand, is.stand);
}

type Stand = Piece['stand'];

/** On the same thing and as deep in it, or as high; which piece it rests on is a matter of that piece. */
function standsAlike(was: Stand, is: Stand): boolean {
  if (was.kind === 'bed' && is.kind === 'bed') return Math.abs(was.buryMm - is.buryMm) <= UNMOVED_MM;
  if (was.kind === 'at' && is.kind === 'at') return Math.abs(was.zMm - is.zMm) <= UNMOVED_MM;
  return was.kind === is.kind;
}

/** Degrees between two directions, 0 to 180: 350 and 10 are 20 apart. */
function apartDeg(a = 0, b = 0): number {
  const d = Math.abs(a - b) % 360;
  return Math.min(d, 360 - d);
}
