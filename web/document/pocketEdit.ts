import type { Pocket } from '../../core/commission/schema';
import { heapOn, withPockets } from '../../core/edits/pockets';
import { useCommission } from './commissionStore';
import { optionWith, useMaterials } from './materials';

/** Everything that can be done to the heaps on top of pieces, each an edit that can be undone. */
export function usePocketEdit() {
  const commission = useCommission();
  const atHand = useMaterials();

  /** A heap on top of a piece, of the soil that the bed has, or else of the first soil at hand. */
  function addOn(piece: string): void {
    const o = commission.option!;
    const fresh = heapOn(o, piece, atHand.value);
    if (!fresh) return;
    const material = atHand.value.find((m) => m.id === fresh.material);
    commission.endStep();
    commission.edit(`pocket ${fresh.id}`, (d) =>
      optionWith(d, o.id, [material], (x) => withPockets(x, [...(x.pockets ?? []), fresh])),
    );
  }

  /** Changes one heap; answers with what is wrong, if anything. */
  function change(id: string, key: string, part: Partial<Pocket>): string | undefined {
    return commission.tryEditOption(`pocket ${id} ${key}`, (o) => ({
      ...o,
      pockets: o.pockets?.map((p) => (p.id === id ? { ...p, ...part } : p)),
    }));
  }

  function drop(id: string): void {
    commission.endStep();
    commission.editOption(`drop pocket ${id}`, (o) => withPockets(o, (o.pockets ?? []).filter((p) => p.id !== id))); // prettier-ignore
  }

  return { addOn, change, drop };
}
