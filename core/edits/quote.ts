import type { Commission } from '../commission/schema';
import { withGiven } from './given';
import { freshId } from './ids';

type Rules = NonNullable<Commission['quote']>;

/** The document with some rules of its quote changed; what is given as undefined is not said any more. */
export function withQuote(document: Commission, change: Partial<Rules>): Commission {
  return { ...document, quote: withGiven(document.quote ?? {}, change) };
}

/** The document with one more line that is asked for, or taken off, by name. */
export function withExtra(document: Commission, name: string): Commission {
  const extras = document.quote?.extras ?? [];
  const ids = extras.map(({ key }) => ({ id: key }));
  return withQuote(document, { extras: [...extras, { key: freshId('extra', ids), name, minor: 0 }] });
}

/** What a studio asks everywhere: its rules without what belongs to one client. */
export function rulesOf(quote: Rules): Rules {
  const { accepted: _yes, extras: _extras, validUntil: _until, dependsOn: _on, ...rules } = quote;
  return rules;
}
