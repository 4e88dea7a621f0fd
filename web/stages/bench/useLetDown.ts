import type { Commission, Piece } from '../../../core/commission/schema';
import { withScape } from '../../../core/commission/scapes';
import { withPiece } from '../../../core/edits/pieces';
import { useCommission } from '../../document/commissionStore';

/**
 * Lets a piece down where it is: upon what stands there, otherwise into the bed (`standOf`, which is measured elsewhere and takes
 * a moment). Where it was just set, in the step `placedBy`, that is undone with it, however long it took; by itself, or once
 * something else was done, it is a step of its own.
 */
export function useLetDown(standOf: (id: string) => Promise<Piece['stand'] | undefined>) {
  const commission = useCommission();
  return async (id: string, placedBy?: number): Promise<void> => {
    const stand = await standOf(id);
    const now = commission.option?.pieces.find((p) => p.id === id);
    if (!stand || !now || JSON.stringify(now.stand) === JSON.stringify(stand)) return;
    const { optionId } = commission;
    const down = (doc: Commission) =>
      withScape(doc, optionId, (o) => withPiece(o, id, (p) => ({ ...p, stand })));
    if (placedBy !== undefined && commission.follow(down, placedBy)) return;
    commission.endStep();
    commission.edit(`let down ${id}`, down);
  };
}
