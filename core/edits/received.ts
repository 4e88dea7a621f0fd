import type { Commission } from '../commission/schema';
import { withGiven } from './given';

type Entry = NonNullable<Commission['received']>[number];
type Line = Pick<Entry, 'reference' | 'item' | 'pack'>;
const isOf = (line: Line) => (e: Entry) => e.reference === line.reference && e.item === line.item && e.pack === line.pack; // prettier-ignore

/**
 * The document with a line of an order counted, or counted otherwise; what is given as undefined is not said any more. It came
 * on the day on which it was counted first, whenever more is said of it.
 */
export function withReceived(document: Commission, line: Line, change: Partial<Entry>, day: Entry['day']): Commission {
  const all = document.received ?? [];
  const old = all.find(isOf(line));
  const next = withGiven<Entry>(old ?? { ...line, came: 0, day }, change);
  return { ...document, received: old ? all.map((e) => (e === old ? next : e)) : [...all, next] };
} // prettier-ignore

/** The document with every line of an order that nobody has counted taken as it was confirmed. */
export function withAllCame(
  document: Commission,
  lines: readonly (Line & { given: number })[],
  day: string,
  at: Entry['at'],
): Commission {
  return lines.reduce((doc, { given, ...line }) => {
    if (doc.received?.some(isOf(line))) return doc;
    return withReceived(doc, line, { came: given, ...(at ? { at } : {}) }, day);
  }, document);
}

/** The document with a line not counted any more. */
export function withoutReceived(document: Commission, line: Line): Commission {
  const left = (document.received ?? []).filter((e) => !isOf(line)(e));
  const { received: _was, ...rest } = document;
  return left.length > 0 ? { ...rest, received: left } : rest;
}
