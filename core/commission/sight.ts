import type { Change } from './changes';

/*
 * What somebody who does not design sees of a commission, and what they may change in it: the server keeps to it whatever a
 * page sends, the page so that nobody is offered what is refused.
 */

/** Those who see a commission with less in it. */
export const SIGHTS = ['crew', 'books', 'guest'] as const;
export type Sight = (typeof SIGHTS)[number];

/** Parts of a document in which each may change something: what was noted, received and photographed; what was paid. */
const CHANGES: Record<Sight, readonly string[]> = {
  crew: ['log', 'received', 'parcels', 'pictures'],
  books: ['taken', 'quote', 'catalogue'],
  guest: [],
};

/** Whether all of some changes are such that somebody may make them. */
export const mayChange = (sight: Sight, changes: readonly Pick<Change, 'path'>[]): boolean =>
  changes.every(({ path: [part] }) => typeof part === 'string' && CHANGES[sight].includes(part));

/** A document, or an answer with parts of one, as somebody sees it: crew and guests without money, the books without pictures of homes. */
export function seen<T>(value: T, sight: Sight): T {
  return without(value, sight === 'books' ? isPicture : isMoney) as T;
}

/** Figures of money end so, and what the client was asked is money alone. */
const isMoney = (key: string) => /minor$/i.test(key) || ['quote', 'carriage'].includes(key);
/** What was photographed, and drawings of rooms that are laid under the bench. */
const isPicture = (key: string) => ['pictures', 'photo', 'underlays'].includes(key);

function without(value: unknown, leaves: (key: string) => boolean): unknown {
  if (Array.isArray(value)) return value.map((v) => without(v, leaves));
  if (value === null || typeof value !== 'object') return value;
  const kept = Object.entries(value).filter(([key]) => !leaves(key));
  const fields = Object.fromEntries(kept.map(([key, v]) => [key, without(v, leaves)]));
  const isPack = leaves === isMoney && 'leadDays' in value && 'priceMinor' in value;
  // A pack is none without a price: it has one that says nothing.
  return isPack ? { ...fields, steps: undefined, priceMinor: 0 } : fields;
}
