import type { Piece } from '../commission/schema';
import { rotation } from '../geometry/rotation';
import { columnCount } from './columns';
import { extentOf, type Extent } from './extent';

/** Columns times the pieces that may share space with them, for a whole scape; about a second of work. */
const MOST_WORK = 20_000_000;

/**
 * By how much more coarsely than usual the pieces of a scape are cut: 1 for any that is built, more where
 * hundreds of large pieces stand in one place, so that even those can be measured. In steps of √2, so that
 * a piece that is moved does not cut all the others anew.
 */
export function coarserBy(pieces: readonly Piece[]): number {
  const placed = pieces.map((piece) => {
    const extent = extentOf(piece.shape, rotation(piece.turnDeg, piece.tiltDeg));
    return { extent, at: piece.at, columns: columnCount(piece.shape, extent) };
  });
  let work = 0;
  placed.forEach((a, i) => {
    let beside = 1;
    for (let k = 0; k < i; k++) if (meetInPlan(a, placed[k])) beside++;
    work += a.columns * beside;
  });
  if (work <= MOST_WORK) return 1;
  return Math.SQRT2 ** Math.ceil(Math.log2(work / MOST_WORK));
}

interface Placed {
  extent: Extent;
  at: Piece['at'];
}

function meetInPlan({ at: [ax, ay], extent: p }: Placed, { at: [bx, by], extent: q }: Placed): boolean {
  return (
    ax + p.lo[0] < bx + q.hi[0] &&
    bx + q.lo[0] < ax + p.hi[0] &&
    ay + p.lo[1] < by + q.hi[1] &&
    by + q.lo[1] < ay + p.hi[1]
  );
}
