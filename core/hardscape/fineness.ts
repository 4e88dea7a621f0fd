import type { Piece, Shape } from '../commission/schema';
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
    const extent = keptExtent(piece);
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

function meetInPlan(a: Placed, b: Placed): boolean {
  return [0, 1].every(
    (i) =>
      a.at[i] + a.extent.lo[i] < b.at[i] + b.extent.hi[i] &&
      b.at[i] + b.extent.lo[i] < a.at[i] + a.extent.hi[i],
  );
}

/** The extent of each shape as it was last turned: shapes are replaced, never changed in place. */
const extents = new WeakMap<Shape, { key: string; extent: Extent }>();

function keptExtent({ shape, turnDeg, tiltDeg = [0, 0] }: Piece): Extent {
  const key = `${turnDeg} ${tiltDeg.join(' ')}`;
  const kept = extents.get(shape);
  if (kept?.key === key) return kept.extent;
  const extent = extentOf(shape, rotation(turnDeg, tiltDeg));
  extents.set(shape, { key, extent });
  return extent;
}
