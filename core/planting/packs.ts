import { withKnown } from '../catalogue/knownPlants';
import type { Option, Plant, Planting } from '../commission/schema';

/** Packs for a planting. */
export interface Packs {
  plugsAPack: number;
  /** Plugs that one pack gives split coarsely, as usual and finely. */
  splits: readonly [number, number, number];
  packsNeeded: number;
  /** Plugs that the packs at hand give; as many as are planted where nothing is settled. */
  plugsAtHand: number;
  missing: number;
}

/**
 * Packs for a planting: what each gives, how many are needed, and what those at hand leave missing.
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
  const plugsAPack = split * (planting.halved && withKnown(entry).habit === 'stem' ? 2 : 1);
  const packsNeeded = isBought ? Math.ceil((count * (1 + spare)) / plugsAPack - 1e-6) : 0;
  const plugsAtHand = planting.packs === undefined || !isBought ? count : planting.packs * plugsAPack;
  return { plugsAPack, splits, packsNeeded, plugsAtHand, missing: Math.max(0, count - plugsAtHand) };
}

/** Of a pack that only says what it holds a third fewer come of coarse splitting, and half as many more of fine (common practice). */
const [COARSE, FINE] = [2 / 3, 3 / 2];

/** What a pack is split into: as its own entry says, by what the pack holds, or as is known of the plant. */
function splitsOf(entry: Plant): [number, number, number] {
  if (entry.plugsAPack) return entry.plugsAPack;
  const holds = entry.packs?.find((p) => p.unit === 'plug')?.size;
  if (holds === undefined) return withKnown(entry).plugsAPack ?? [1, 1, 1];
  return [Math.max(1, Math.floor(holds * COARSE)), holds, Math.ceil(holds * FINE)];
}
