import { otherPrices, priceKey, type OtherPrice, type PriceToday } from '../catalogue/listed';
import type { Catalogue } from '../commission/schema';
import type { Order } from './order';

/** How many of each pack are still to be ordered, by who sells it and its article. */
export function stillBought({ suppliers }: Pick<Order, 'suppliers'>): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { supplier, lines } of suppliers)
    for (const { pack, count } of lines) {
      const key = priceKey(supplier, pack);
      counts.set(key, (counts.get(key) ?? 0) + count);
    }
  return counts;
}

/** What is still to be ordered against today's prices; what is ordered already costs what was confirmed. */
export function pricesSince(
  catalogue: Pick<Catalogue, 'materials' | 'plants'>,
  order: Pick<Order, 'suppliers'>,
  today: readonly PriceToday[],
): OtherPrice[] {
  return otherPrices(catalogue, stillBought(order), today);
}
