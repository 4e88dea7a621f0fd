import type { Piece } from '../commission/schema';

/** Pieces of a scape and how high each stands over the glass, mm, as the survey has it. */
export interface Standing {
  pieces: readonly Piece[];
  zMm: ReadonlyMap<string, number>;
}

/** A piece that rises less than this lies as it did: the bed under it was smoothed, mm. */
const LEAST_MM = 1;

/**
 * Pieces that stand otherwise now than they did then (elsewhere, turned, higher or of another shape), or not at all: as they stood then.
 * Valid for two states of one option. Leaves out: what has come since.
 */
export function movedSince(then: Standing, now: Standing): Piece[] {
  const placed = ({ at, turnDeg, tiltDeg, shape }: Piece) => JSON.stringify([at, turnDeg, tiltDeg, shape]);
  return then.pieces.filter((p) => {
    const is = now.pieces.find((q) => q.id === p.id);
    if (!is || placed(is) !== placed(p)) return true;
    return Math.abs((then.zMm.get(p.id) ?? 0) - (now.zMm.get(p.id) ?? 0)) >= LEAST_MM;
  });
}
