import type { Piece, Vessel } from '../commission/schema';
import type { BedField } from '../substrate/bedField';
import type { Columns } from './columns';
import { sharedMm3 } from './slideApart';
import { highestMm, settle, type Standing } from './settle';

/** A piece comes to lie on another when that is higher than where the bed would hold it by this, mm. */
const HIGHER_MM = 1;

/** A piece that shares no more than this of itself with others is slid in beside them by hand. */
const GRAZES = 0.01;

/**
 * How a piece stands that is let down where it is held: in the bed as deep as told (or on a pad on bare glass) where
 * there is room for it, slid in under what hangs over that place; otherwise upon the highest of the pieces below it. What
 * would then stand more out of the tank than in it stays in the bed and runs into the others, which is said.
 */
export function dropped(
  piece: Piece,
  columns: Columns,
  field: BedField,
  others: readonly Standing[],
  vessel: Vessel,
  { buryMm = 20, padMm = 5 }: { buryMm?: number; padMm?: number } = {},
): Piece['stand'] {
  const standing = new Map(others.map((s) => [s.piece.id, s]));
  const hasBed = field.stack.count > 0;
  const low: Piece['stand'] = hasBed ? { kind: 'bed', buryMm } : { kind: 'floor', pad: padMm };
  const inBed = settle({ ...piece, stand: low }, columns, field, standing);
  if (sharedMm3(inBed, others, field, vessel) <= GRAZES * columns.volumeMm3) return low;
  let [best, zMm] = [undefined as Standing | undefined, inBed.zMm + HIGHER_MM];
  for (const other of others) {
    // What ends below the place at which it would lie does not carry it.
    if (highestMm(other) <= inBed.zMm + columns.extent.lo[2]) continue;
    const on = settle({ ...piece, stand: { kind: 'on', piece: other.piece.id } }, columns, field, standing);
    if (!on.supported || on.zMm <= zMm) continue;
    [best, zMm] = [other, on.zMm];
  }
  const { lo, hi } = columns.extent;
  const out = zMm + (lo[2] + hi[2]) / 2 > vessel.innerMm.height;
  return best && !out ? { kind: 'on', piece: best.piece.id } : low;
}
