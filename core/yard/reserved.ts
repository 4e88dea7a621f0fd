import { optionOf } from '../commission/lookup';
import { isOffShelf } from '../commission/origin';
import type { Commission } from '../commission/schema';
import type { Finding } from '../words/finding';
import { say } from '../words/text';
import { yardNumber } from './number';

/** Other commissions in which pieces of the studio’s yard stand, by the number of the piece. */
export type Elsewhere = Readonly<Record<string, readonly string[]>>;

/** Pieces of the yard that another commission has, too: the yard has each of them once. */
export function reservedFindings(commission: Commission, optionId: string, elsewhere: Elsewhere): Finding[] {
  return optionOf(commission, optionId).pieces.flatMap((piece): Finding[] => {
    const others = elsewhere[yardNumber(piece)] ?? [];
    if (others.length === 0 || !isOffShelf(commission, piece)) return [];
    return [
      {
        id: 'piece.reserved',
        severity: 'warn',
        at: { piece: piece.id },
        measured: others.length + 1,
        limit: 1,
        unit: 'commissions',
        says: say('piece.reserved.says', { piece: piece.id, others: [...others] }),
        because: say('piece.reserved.because'),
        source: say('source.yard'),
      },
    ];
  });
}
