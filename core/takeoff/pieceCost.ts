import type { Material } from '../commission/schema';
import { isBought, type Device } from '../gear/gear';
import { cheapestPacks, costOfPacks } from './packs';

/**
 * What one piece of an article costs, in minor units: the cheapest packs that hold one; undefined where nobody has priced it.
 */
export function pieceCost({ packs = [] }: Pick<Material, 'packs'>): number | undefined {
  const pieces = packs.filter((p) => p.unit === 'piece');
  const chosen = cheapestPacks(1, pieces);
  return chosen && costOfPacks(chosen, pieces);
}

/** What some devices draw, W, and cost, in minor units; `unpriced` are those that are bought and have no price. */
export function gearCost(
  devices: readonly Pick<Device, 'watts' | 'origin' | 'material'>[],
  articles: readonly Pick<Material, 'id' | 'packs'>[],
): { watts: number; costMinor: number; unpriced: number } {
  const costs = devices.map((d) => deviceCost(d, articles));
  return {
    watts: devices.reduce((sum, d) => sum + d.watts, 0),
    costMinor: costs.reduce<number>((sum, c) => sum + (c ?? 0), 0),
    unpriced: costs.filter((c) => c === undefined).length,
  };
}

/** What one device costs; 0 where it is not bought, undefined where nobody has priced it. */
export function deviceCost(
  { origin, material }: Pick<Device, 'origin' | 'material'>,
  articles: readonly Pick<Material, 'id' | 'packs'>[],
): number | undefined {
  if (!isBought({ origin })) return 0;
  const article = articles.find((a) => a.id === material);
  return article && pieceCost(article);
}
