import { computed, type ComputedRef } from 'vue';
import { pieceOrigin } from '../../core/commission/origin';
import type { Option } from '../../core/commission/schema';
import { useCommission } from './commissionStore';

/** Ids of the pieces of an option that are in the tank now: they are drawn apart from what comes. */
export function useStays(option: () => Option): ComputedRef<ReadonlySet<string>> {
  const commission = useCommission();
  return computed(() => {
    const doc = commission.document!;
    const here = option().pieces.filter((p) => pieceOrigin(doc, p) === 'here');
    return new Set(here.map((p) => p.id));
  });
}
