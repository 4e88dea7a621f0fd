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

/** Where the grain of a piece runs as it lies, 0 to 180 degrees from left to right; 0 where it is not known. */
export function grainAsItLies({ turnDeg, grainDeg = 0 }: { turnDeg: number; grainDeg?: number }): number {
  return withoutEnds(grainDeg + turnDeg);
}

/** What a piece keeps of a grain that was read off as it lies: the same before it is turned. */
export function grainUnturned(asItLiesDeg: number, turnDeg: number): number {
  return withoutEnds(asItLiesDeg - turnDeg);
}

const withoutEnds = (deg: number) => ((deg % 180) + 180) % 180;
const within = (deg: number) => ((deg % 360) + 360) % 360;
