import { materialOf, optionOf } from '../commission/lookup';
import { pieceOrigin, pieceState } from '../commission/origin';
import type { Commission } from '../commission/schema';
import type { Survey } from './survey';

/**
 * Pieces that soak before the build, each with its days: dry ones that are brought, whose group would float as it is built.
 * What stone or a joint holds down needs no tub, and what is in the tank now has long sunk.
 */
export function soakingOf(commission: Commission, { optionId, groups }: Survey): Map<string, number> {
  const { pieces } = optionOf(commission, optionId);
  const floating = new Set(groups.filter((g) => g.floats).flatMap((g) => g.pieces));
  return new Map(
    pieces.flatMap((piece): [string, number][] => {
      const days = materialOf(commission, piece.material).soakDays;
      const origin = pieceOrigin(commission, piece);
      const dry = origin !== 'here' && pieceState(piece, origin) === 'dry';
      return days && dry && floating.has(piece.id) ? [[piece.id, days]] : [];
    }),
  );
}
