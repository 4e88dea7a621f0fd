import type { Origin, Pack } from '../commission/schema';
import type { Ahead } from '../beforehand/ahead';
import { isCounted, unitFor, type Quantity } from '../units/quantity';
import { say, type Said, type Text, type Value } from '../words/text';
import type { Working } from '../words/working';
import { cheapestPacks, costOfPacks, type PackCount } from './packs';

/** Groups in which the take-off is listed, in the order of the trade. */
export type LineKind = 'substrate' | 'hardscape' | 'plants' | 'gear' | 'consumables';

/** One thing the scape takes: from what was measured to what is bought. */
export interface TakeOffLine {
  /** The material's or the plant's id in the document's catalogue. */
  id: string;
  kind: LineKind;
  name: Said;
  measured: Quantity;
  needed: Quantity;
  packs: PackCount[];
  /** What the packs have to hold, and what each that is on offer holds, in the unit of the need. */
  held: number;
  contents: Readonly<Record<string, number>>;
  /** What those chosen hold, in the unit of the need. */
  bought: number;
  /** The same in words: "3 × 9 L bag"; left out where nothing is bought. */
  packWords?: Text;
  priceMinor: number;
  /** False when the catalogue has no pack of it: it must be bought otherwise. */
  priced: boolean;
  workings: Working[];
  /** Days after the build on which it is needed first; left out where it is needed for the build. */
  laterDays?: number;
  /** It soaks, cures in a joint, matures or is used in a sitting so many days before the build: needed so much sooner. */
  ahead?: Ahead['why'] | 'matures' | 'sitting';
  aheadDays?: number;
  /** Of those the days between the sitting in which it is used and the build day. */
  usedAheadDays?: number;
  /** Where that comes from which is not bought, each once. */
  origins: Origin[];
}

/** What a line needs, before packs are chosen. `perL` turns litres into kilograms for packs sold by mass. */
export interface Need {
  id: string;
  kind: LineKind;
  name: Said;
  measured: Quantity;
  needed: Quantity;
  /** What the packs have to hold, where that is another amount: they are split finer, or their number is settled. */
  held?: number;
  workings: Working[];
  packs: readonly Pack[] | undefined;
  bulkKgPerL?: number;
  laterDays?: number;
  ahead?: TakeOffLine['ahead'];
  aheadDays?: number;
  usedAheadDays?: number;
  origins?: readonly Origin[];
}

/** When what is used on some days from the build day on is needed: the first of them, before it where it is negative. */
export function neededFrom(
  onDays: readonly number[],
): Pick<TakeOffLine, 'laterDays' | 'ahead' | 'aheadDays'> {
  const first = onDays.length > 0 ? Math.min(...onDays) : 0;
  if (first < 0) return { ahead: 'sitting', aheadDays: -first };
  return first > 0 ? { laterDays: first } : {};
}

/** Chooses the packs for a need and prices it. */
export function lineOf(need: Need): TakeOffLine {
  const {
    packs,
    bulkKgPerL,
    laterDays,
    ahead,
    aheadDays,
    usedAheadDays,
    origins = [],
    held = need.needed.value,
    ...rest
  } = need;
  const usable = (packs ?? []).flatMap((pack) => {
    const size = inUnit(pack, need.needed.unit, bulkKgPerL);
    return size === undefined ? [] : [{ ...pack, size }];
  });
  const chosen = cheapestPacks(held, usable);
  const contents = Object.fromEntries(usable.map((p) => [p.id, p.size]));
  return {
    ...rest,
    ...packed(need, held, contents, chosen ?? [], packs ?? []),
    held,
    contents,
    ...(laterDays ? { laterDays } : {}),
    ...(aheadDays ? { ahead, aheadDays } : {}),
    ...(usedAheadDays ? { usedAheadDays } : {}),
    origins: [...new Set(origins)].filter((o) => o !== 'bought'),
    priced: chosen !== undefined,
  };
}

/** What follows from the packs that are taken of a line: what they hold and cost, in figures and in words. */
function packed(
  { needed, workings }: Pick<TakeOffLine, 'needed' | 'workings'>,
  held: number,
  contents: TakeOffLine['contents'],
  counts: readonly PackCount[],
  packs: readonly Pack[],
): Pick<TakeOffLine, 'packs' | 'bought' | 'packWords' | 'priceMinor' | 'workings'> {
  const bought = counts.reduce((sum, c) => sum + c.count * contents[c.pack], 0);
  const packWords = counts
    .map((c) => packWordsOf(c.count, packOf(packs, c.pack)))
    .reduce<Text | undefined>((one, other) => (one ? say('packs.plus', { one, other }) : other), undefined);
  const last = packWords && { step: packWords, value: bought, unit: needed.unit, note: say('pack.over', { over: over(bought - held, needed.unit) }) }; // prettier-ignore
  return {
    packs: [...counts],
    bought,
    priceMinor: costOfPacks(counts, packs),
    workings: last ? [...workings, last] : workings,
    ...(packWords ? { packWords } : {}),
  };
}

/** A line with other packs than those that are cheapest for it alone. `packs` are those of its entry in the catalogue. */
export function repacked(line: TakeOffLine, counts: readonly PackCount[], packs: readonly Pack[]): TakeOffLine {
  const workings = line.packWords ? line.workings.slice(0, -1) : line.workings;
  return { ...line, ...packed({ ...line, workings }, line.held, line.contents, counts, packs) };
} // prettier-ignore

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

/** What is over, in the unit in which it was measured; counted things as they are counted. */
function over(value: number, unit: string): Value {
  return isCounted(unit) ? `${trimmed(value)} ${unitFor(value, unit)}` : { value, unit, places: 2 };
}

/** Names of packs that the catalogue of messages has in one and in many. */
const NAMED = ['cup', 'pot', 'bunch', 'box', 'mat', 'bag', 'portion', 'pack'] as const;

/** `3 × 9 L bag`, `14 cups`, `2 pieces`, `45 kg`. */
export function packWordsOf(count: number, pack: Pack): Text {
  const { name, size, unit } = pack;
  // Sold singly or by the kilogram: the count is the quantity itself.
  if (size === 1 && unit !== 'piece' && unit !== 'plug') return say('pack.kg', { count, unit });
  if (unit === 'piece' && size === 1)
    return name ? say('pack.count.named', { count, name }) : say('pack.piece', { count });
  if (unit === 'plug') {
    const known = NAMED.find((n) => n === (name ?? 'pack'));
    return known ? say(`pack.${known}`, { count }) : say('pack.named', { count, name: name! });
  }
  // As it is printed on the bag, whatever units the reader prefers.
  const printed = `${trimmed(size)} ${unit}`;
  return name
    ? say('pack.sized.named', { count, size: printed, name })
    : say('pack.sized', { count, size: printed });
}

function trimmed(value: number): string {
  return String(Math.round(value * 100) / 100);
}
