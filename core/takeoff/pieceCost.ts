import type { Material } from '../commission/schema';
import { cheapestPacks } from './packs';

/**
 * What one piece of an article costs, in minor units: the cheapest packs that hold one; undefined where nobody has priced it.
 */
export function pieceCost({ packs = [] }: Pick<Material, 'packs'>): number | undefined {
  const pieces = packs.filter((p) => p.unit === 'piece');
  const chosen = cheapestPacks(1, pieces);
  return chosen?.reduce((sum, c) => sum + c.count * pieces.find((p) => p.id === c.pack)!.priceMinor, 0);
}
