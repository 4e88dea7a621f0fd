import type { Pack } from '../commission/schema';

/** One line of a supplier's price list: an article and what a pack of it costs. */
export interface ListLine {
  /** The supplier's own number, or its name where the list has none; a pack in the catalogue has it as its id. */
  article: string;
  name: string;
  /** What a pack holds, where the list says it. */
  size?: number;
  unit?: Pack['unit'];
  priceMinor: number;
  leadDays?: number;
}

/** An article whose price is another than before, in minor units. */
export interface Repriced {
  article: string;
  name: string;
  /** What it holds, where the list says it. */
  pack?: string;
  wasMinor: number;
  isMinor: number;
}

/** An article that is sold by another size than before. */
export interface Resized {
  article: string;
  name: string;
  was: string;
  is: string;
}

/** What a new list changes of the one before. */
export interface PriceChanges {
  fresh: ListLine[];
  gone: ListLine[];
  /** The largest rise first, as a share of what it was. */
  dearer: Repriced[];
  cheaper: Repriced[];
  resized: Resized[];
  /** Lines that are as they were. */
  same: number;
}

/**
 * A supplier's list against the one before, by article. What is in `unread` stood in the new list and could not be read:
 * it is neither gone nor changed.
 * Valid for lists in one currency. Leaves out: an article that came back under another number.
 * Test: priceChanges.test.ts, "every article of both lists is in one group, or as it was".
 */
export function priceChanges(
  before: readonly ListLine[],
  now: readonly ListLine[],
  unread: ReadonlySet<string> = new Set(),
): PriceChanges {
  const was = new Map(before.map((l) => [l.article, l]));
  const is = new Set(now.map((l) => l.article));
  const found: PriceChanges = { fresh: [], gone: [], dearer: [], cheaper: [], resized: [], same: 0 };
  for (const line of now) {
    const old = was.get(line.article);
    if (!old) found.fresh.push(line);
    else if (isResized(old, line))
      found.resized.push({ article: line.article, name: line.name, was: packWords(old), is: packWords(line) }); // prettier-ignore
    else if (old.priceMinor === line.priceMinor) found.same++;
    else found[line.priceMinor > old.priceMinor ? 'dearer' : 'cheaper'].push(repriced(old, line));
  }
  found.gone = before.filter((l) => !is.has(l.article) && !unread.has(l.article));
  found.dearer.sort((a, b) => shareOf(b) - shareOf(a));
  found.cheaper.sort((a, b) => shareOf(a) - shareOf(b));
  return found;
}

/** Two sizes that are both said and differ: then prices are of different things. */
export function isResized(
  was: Pick<ListLine, 'size' | 'unit'>,
  is: Pick<ListLine, 'size' | 'unit'>,
): boolean {
  const said = was.size !== undefined && is.size !== undefined;
  return said && (was.size !== is.size || was.unit !== is.unit);
}

function repriced(old: ListLine, line: ListLine): Repriced {
  const { article, name, priceMinor, size } = line;
  const pack = size === undefined ? {} : { pack: packWords(line) };
  return { article, name, ...pack, wasMinor: old.priceMinor, isMinor: priceMinor };
}
/** Of what it was; from nothing it rises without end. */
export const shareOf = ({ wasMinor, isMinor }: Repriced): number =>
  wasMinor === 0 ? Infinity : (isMinor - wasMinor) / wasMinor;
const packWords = ({ size, unit }: ListLine) => `${size} ${unit}`;
