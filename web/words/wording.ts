import { formatted, type Catalogue } from '../../core/words/render';
import type { Names } from '../../core/words/text';
import { WORDING } from './en';

/*
 * What the interface itself says: sentences that stand on a screen and not in a result. `core/words` has those of the
 * computation; both are ICU messages, put into words by the same hand.
 */

export type WordingKey = keyof typeof WORDING;
/** What stands in a sentence: a name, a count, or a figure as `useFigures` shows it. */
type Values<K extends WordingKey> = Readonly<Record<Names<(typeof WORDING)[K]>, string | number>>;

const ENGLISH: Catalogue = { locale: 'en', messages: WORDING };

/**
 * A sentence of the interface with exactly the values that it names.
 *
 * @example wording('layerValues.outOfRange', { mm: '4 mm', narrow: '10 mm', wide: '3 m' })
 */
export function wording<K extends WordingKey>(
  key: K,
  ...[values]: Names<(typeof WORDING)[K]> extends never ? [] : [values: Values<K>]
): string {
  // Most have nothing to be filled in, and are drawn anew with every figure beside them.
  return values === undefined ? WORDING[key] : formatted(ENGLISH, key, values);
}
