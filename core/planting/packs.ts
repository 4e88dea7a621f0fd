import { splitsOf } from '../catalogue/entries';
import type { Option, Plant, Planting } from '../commission/schema';

/** Packs for a planting. */
export interface Packs {
  plugsAPack: number;
  /** Plugs that one pack gives split coarsely, as usual and finely. */
  splits: readonly [number, number, number];
  /** Plugs of one's own that go in first. */
  ownPlugs: number;
  packsNeeded: number;
  /** Plugs that the packs at hand give with one's own; as many as are planted where nothing is settled. */
  plugsAtHand: number;
  missing: number;
}

/**
 * Packs for a planting: what each gives, how many are needed beside one's own plugs, and what those at hand leave missing.
 *
 * @param isBought what is there already, or comes from elsewhere, needs no packs
 */
export function packsOf(
  option: Pick<Option, 'allowances'>,
  planting: Planting,
  entry: Plant,
  count: number,
  isBought: boolean,
): Packs {
  const spare = option.allowances?.plantSpare ?? 0;
  const splits = splitsOf(entry);
  const split = splits[{ coarse: 0, usual: 1, fine: 2 }[planting.splits ?? 'usual']];
  const plugsAPack = split * (isHalved(planting, entry) ? 2 : 1);
  const ownPlugs = isBought ? Math.min(count, planting.ownPlugs ?? 0) : 0;
  const wanted = count - ownPlugs;
  const packsNeeded = isBought ? Math.ceil((wanted * (1 + spare)) / plugsAPack - 1e-6) : 0;
  const plugsAtHand =
    planting.packs === undefined || !isBought ? count : ownPlugs + planting.packs * plugsAPack;
  return {
    plugsAPack,
    splits,
    ownPlugs,
    packsNeeded,
    plugsAtHand,
    missing: Math.max(0, count - plugsAtHand),
  };
}

/** Stems of which the tops are planted and the bottoms too: twice as many plugs a pack. */
export const isHalved = (planting: Pick<Planting, 'halved'>, entry: Plant): boolean =>
  planting.halved === true && entry.habit === 'stem';
