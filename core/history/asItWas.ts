import { inverse, type Change } from '../commission/changes';
import { merged, type Clash } from '../commission/merge';

/**
 * A document as it was before some saves, which are given the newest first: each is taken back whatever became of its place since.
 * Undefined where of one of them it is not known what it changed.
 *
 * Valid for the saves of one commission without a gap. Leaves out: orders and pictures, which are not in the document.
 * Test: asItWas.test.ts, "goes back through any number of saves to each document that there was".
 */
export function asItWas<T extends object>(
  document: T,
  saves: readonly (readonly Change[] | null)[],
): T | undefined {
  if (saves.includes(null)) return undefined;
  return saves.reduce<T>((doc, changes) => merged(doc, inverse(changes!), true).document, document);
}

/** One change taken back where its place still has what it made of it; otherwise what stands there now. */
export function withoutChange<T extends object>(
  document: T,
  change: Change,
): { document: T; clashes: Clash[] } {
  return merged(document, inverse([change]));
}
