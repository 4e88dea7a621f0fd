import type { Piece } from '../commission/schema';
import type { BedField } from '../substrate/bedField';
import type { Columns } from './columns';
import { highestMm, settle, type Standing } from './settle';

/** A piece comes to lie on another when that is higher than where the bed would hold it by this, mm. */
const HIGHER_MM = 1;

/**
 * How a piece stands that is let down where it is held: upon the highest of the pieces below it, otherwise in the bed
 * as deep as told, or on a pad on bare glass.
 */
export function dropped(
  piece: Piece,
  columns: Columns,
  field: BedField,
  others: readonly Standing[],
  { buryMm = 20, padMm = 5 }: { buryMm?: number; padMm?: number } = {},
): Piece['stand'] {
  const standing = new Map(others.map((s) => [s.piece.id, s]));
  const hasBed = field.stack.count > 0;
  const low: Piece['stand'] = hasBed ? { kind: 'bed', buryMm } : { kind: 'floor', pad: padMm };
  const inBed = settle({ ...piece, stand: low }, columns, field, standing);
  let [best, zMm] = [undefined as Standing | undefined, inBed.zMm + HIGHER_MM];
  for (const other of others) {
    // What hangs over the place at which it would lie is passed under; what stands there it lands on.
    if (highestMm(other) <= inBed.zMm + columns.extent.lo[2]) continue;
    const on = settle({ ...piece, stand: { kind: 'on', piece: other.piece.id } }, columns, field, standing);
    if (!on.supported || on.zMm <= zMm) continue;
    [best, zMm] = [other, on.zMm];
  }
  return best ? { kind: 'on', piece: best.piece.id } : low;
}
