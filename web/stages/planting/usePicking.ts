import { ref } from 'vue';
import type { Planting } from '../../../core/commission/schema';
import type { Touched } from '../../../core/planting/picked';
import { useCommission } from '../../document/commissionStore';
import { wording } from '../../words/wording';

/** Spots on stone and wood, chosen one by one: the first says which piece it is, the others stay on it. */
export function usePicking() {
  const commission = useCommission();
  const picking = ref(false);
  const fault = ref('');

  function place({ id, on, at = [], count = 0 }: Planting, touched: Touched | undefined): void {
    fault.value = '';
    if (!touched) return void (fault.value = wording('usePicking.nothingThere'));
    if (on && on !== touched.piece && at.length > 0)
      return void (fault.value = wording('usePicking.anotherPiece', { id, on, piece: touched.piece }));
    const spots = [...(on === touched.piece ? at : []), touched.at];
    commission.endStep();
    change(id, { on: touched.piece, at: spots, count: Math.max(count, spots.length) });
  }
  /** Back to spots that the program chooses. */
  const forget = (id: string) => change(id, { at: undefined });
  const change = (id: string, part: Partial<Planting>) =>
    commission.editOption(`spots ${id}`, (o) => ({
      ...o,
      plants: o.plants.map((p) => (p.id === id ? { ...p, ...part } : p)),
    }));
  return { picking, fault, place, forget };
}
