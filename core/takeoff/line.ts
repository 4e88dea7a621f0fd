import type { Pack } from '../commission/schema';
import type { Quantity, Working } from '../units/quantity';
import { cheapestPacks, type PackCount } from './packs';

/** Groups in which the take-off is listed, in the order of the trade. */
export type LineKind = 'substrate' | 'hardscape' | 'plants' | 'consumables';

/** One thing the scape takes: from what was measured to what is bought. */
export interface TakeOffLine {
  /** The material's or the plant's id in the document's catalogue. */
  id: string;
  kind: LineKind;
  name: string;
  measured: Quantity;
  needed: Quantity;
  packs: PackCount[];
  /** The same in words: "3 × 9 L bag". */
  packWords: string;
  priceMinor: number;
  /** False when the catalogue has no pack of it: it must be bought otherwise. */
  priced: boolean;
  workings: Working[];
}

/** What a line needs, before packs are chosen. `perL` turns litres into kilograms for packs sold by mass. */
export interface Need {
  id: string;
  kind: LineKind;
  name: string;
  measured: Quantity;
  needed: Quantity;
  workings: Working[];
  packs: readonly Pack[] | undefined;
  bulkKgPerL?: number;
}

/** Chooses the packs for a need and prices it. */
export function lineOf(need: Need): TakeOffLine {
  const { packs, bulkKgPerL, ...rest } = need;
  const usable = (packs ?? []).flatMap((pack) => {
    const size = inUnit(pack, need.needed.unit, bulkKgPerL);
    return size === undefined ? [] : [{ ...pack, size }];
  });
  const chosen = cheapestPacks(need.needed.value, usable);
  const counts = chosen ?? [];
  const price = counts.reduce((sum, c) => sum + c.count * packOf(packs, c.pack).priceMinor, 0);
  const bought = counts.reduce((sum, c) => sum + c.count * usable.find((p) => p.id === c.pack)!.size, 0);
  const packWords = counts.map((c) => packWordsOf(c.count, packOf(packs, c.pack))).join(' + ');
  const steps = [...need.workings];
  if (counts.length > 0)
    steps.push({
      step: packWords,
      value: bought,
      unit: need.needed.unit,
      note: `${trimmed(bought - need.needed.value)} ${need.needed.unit} over; the least price in whole packs`,
    });
  return {
    ...rest,
    workings: steps,
    packs: counts,
    packWords,
    priceMinor: price,
    priced: chosen !== undefined,
  };
}

/** A pack's content in the unit of the need, or undefined when the two cannot be compared. */
function inUnit(pack: Pack, unit: string, bulkKgPerL: number | undefined): number | undefined {
  if (pack.unit === unit) return pack.size;
  if (pack.unit === 'kg' && unit === 'L' && bulkKgPerL) return pack.size / bulkKgPerL;
  if (pack.unit === 'L' && unit === 'kg' && bulkKgPerL) return pack.size * bulkKgPerL;
  return undefined;
}

function packOf(packs: readonly Pack[] | undefined, id: string): Pack {
  return packs!.find((p) => p.id === id)!;
}

/** `3 × 9 L bag`, `14 cups`, `2 pieces`, `45 kg`. */
export function packWordsOf(count: number, pack: Pack): string {
  const what = pack.name ?? '';
  // Sold singly or by the kilogram: the count is the quantity itself.
  if (pack.size === 1 && pack.unit !== 'piece' && pack.unit !== 'plug') return `${count} ${pack.unit}`;
  if (pack.unit === 'piece' && pack.size === 1)
    return `${count} ${what || (count === 1 ? 'piece' : 'pieces')}`;
  if (pack.unit === 'plug') return `${count} ${count === 1 ? what || 'pack' : plural(what || 'pack')}`;
  return `${count} × ${trimmed(pack.size)} ${pack.unit}${what ? ` ${what}` : ''}`;
}

function plural(word: string): string {
  return /(ch|sh|s|x)$/.test(word) ? `${word}es` : `${word}s`;
}

function trimmed(value: number): string {
  return String(Math.round(value * 100) / 100);
}
