import type { Piece } from '../commission/schema';

/**
 * The number under which a piece stands in the studio's yard: that of the piece itself, unless another piece of its
 * scape had it already, as a second one placed from the same stone has. `S-14`, and `S-14` again for `S-14.2` of it.
 */
export function yardNumber({ id, yard }: Pick<Piece, 'id' | 'yard'>): string {
  return yard ?? id;
}
