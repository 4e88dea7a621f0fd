import type { Commission } from '../commission/schema';
import { withGiven } from './given';
import { freshId } from './ids';

type Taken = NonNullable<Commission['taken']>[number];

/** The document with something taken in a shop. */
export function withTaken(document: Commission, entry: Omit<Taken, 'id'>): Commission {
  const all = document.taken ?? [];
  return { ...document, taken: [...all, { ...entry, id: freshId('taken', all) } as Taken] };
}

/** The document with some of what is said of it changed; what is given as undefined is not said any more. */
export function withTakenChanged(document: Commission, id: string, change: Partial<Taken>): Commission {
  return { ...document, taken: (document.taken ?? []).map((t) => (t.id === id ? withGiven(t, change) : t)) };
}

/** The document with something brought back, or never taken. */
export function withoutTaken(document: Commission, id: string): Commission {
  const { taken, ...rest } = document;
  const left = (taken ?? []).filter((t) => t.id !== id);
  return left.length > 0 ? { ...rest, taken: left } : rest;
}
