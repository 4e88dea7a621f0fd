import type { Point } from '../geometry/polygon';

const DEG = 180 / Math.PI;

/**
 * How a piece is turned so that its best face looks to a seat: by its face, the turn at which that looks straight to the
 * front, and from there on towards where the seat is.
 * Valid for pieces that stand upright. Leaves out: the height of the eye.
 * Test: facing.test.ts, "looks to the seat".
 *
 * @returns degrees, 0 to 360
 */
export function turnToSeat(faceDeg: number, at: Point, seat: Point | undefined): number {
  if (!seat) return within(faceDeg);
  const [dx, dy] = [seat[0] - at[0], seat[1] - at[1]];
  return within(Math.round(faceDeg + Math.atan2(dx, -dy) * DEG));
}

/** How far two grains lie apart, 0 to 90 degrees: a grain has no ends. */
export function grainApart(a: number, b: number): number {
  const off = Math.abs(a - b) % 180;
  return Math.min(off, 180 - off);
}

const within = (deg: number) => ((deg % 360) + 360) % 360;
