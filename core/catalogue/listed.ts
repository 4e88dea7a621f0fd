import type { Day } from '../calendar/day';
import type { Catalogue, Pack } from '../commission/schema';
import { isResized } from './priceChanges';

/** A line of a supplier's price list as the studio keeps it; null where the list says nothing. */
export interface Listed {
  supplier: string;
  article: string;
  name: string;
  size: number | null;
  unit: Pack['unit'] | null;
  priceMinor: number;
  leadDays: number | null;
  listedOn: Day;
}

/** What one litre, kilogram or piece of it costs, minor units; undefined where the list does not say what a pack holds. */
export function eachMinor({ priceMinor, size }: Pick<Listed, 'priceMinor' | 'size'>): number | undefined {
  return size === null || size <= 0 ? undefined : Math.round(priceMinor / size);
}

/** What a pack costs today; of which list, and since when it is on it no more. */
export interface PriceToday extends Pick<Listed, 'supplier' | 'article' | 'priceMinor' | 'size' | 'unit'> {
  listedOn: Day | null;
  goneOn: Day | null;
}

/** The pack that a listed article is bought in; `otherwise` is what it holds where the list does not say. */
export function packOfListed(
  { supplier, article, size, unit, priceMinor, leadDays }: Listed,
  otherwise: Pick<Pack, 'size' | 'unit' | 'leadDays'>,
): Pack {
  const holds = size !== null && unit !== null ? { size, unit } : otherwise;
  return { id: article, size: holds.size, unit: holds.unit, priceMinor, supplier, leadDays: leadDays ?? otherwise.leadDays }; // prettier-ignore
}

/** A pack that is bought and costs something else today, or is not on the list any more. */
export interface OtherPrice {
  pack: Pack;
  supplier: string;
  /** How many of it are bought. */
  count: number;
  wasMinor: number;
  isMinor: number;
  goneOn?: Day;
  /** It is sold by this size now: its price is of something else. */
  holds?: { size: number; unit: Pack['unit'] };
}

/**
 * What is bought against today's prices: packs that are dearer, cheaper, gone or of another size. `counts` is how many of
 * each are bought, by the supplier and its article.
 * Valid for packs that are bought by a supplier's article. Leaves out: prices by number, which stay as they were agreed.
 * Test: listed.test.ts, "says what is dearer today, by how many are bought".
 */
export function otherPrices(
  { materials, plants }: Pick<Catalogue, 'materials' | 'plants'>,
  counts: ReadonlyMap<string, number>,
  today: readonly PriceToday[],
): OtherPrice[] {
  const now = new Map(today.map((t) => [priceKey(t.supplier, t.article), t]));
  const packs = [...materials, ...plants].flatMap((entry) => entry.packs ?? []);
  return packs.flatMap((pack): OtherPrice[] => {
    const key = priceKey(pack.supplier, pack.id);
    const [is, count] = [now.get(key), counts.get(key) ?? 0];
    if (!is || count === 0 || pack.steps?.length) return [];
    const holds = is.size !== null && is.unit !== null ? { size: is.size, unit: is.unit } : undefined;
    const other = holds && isResized(pack, holds) ? { holds } : {};
    if (is.priceMinor === pack.priceMinor && !is.goneOn && !other.holds) return [];
    const gone = is.goneOn ? { goneOn: is.goneOn } : {};
    return [{ pack, supplier: pack.supplier, count, wasMinor: pack.priceMinor, isMinor: is.priceMinor, ...gone, ...other }]; // prettier-ignore
  });
}

export const priceKey = (supplier: string, article: string) => JSON.stringify([supplier, article]);

/** What today's prices come to more (or less), minor units: of what is still sold by the same size. */
export function dearerBy(others: readonly OtherPrice[]): number {
  return takeable(others).reduce((sum, o) => sum + o.count * (o.isMinor - o.wasMinor), 0);
}

/** Prices that can be taken as they are: what is gone or of another size is chosen anew by a person. */
export function takeable(others: readonly OtherPrice[]): OtherPrice[] {
  return others.filter((o) => !o.goneOn && !o.holds && o.isMinor !== o.wasMinor);
}
