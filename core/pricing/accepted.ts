import type { Day } from '../calendar/day';
import type { Resolved } from '../resolved/resolved';
import { LINE_KINDS } from '../takeoff/takeOff';
import type { Said } from '../words/text';
import type { Quote, QuoteThing } from './quote';

export type Accepted = NonNullable<NonNullable<Resolved['quote']>['accepted']>;

/** The version to which the client said yes, as it stands in the document from then on. `words` puts what is said into words. */
export function frozen(quote: Quote, option: string, day: Day, by: string, words: (said: Said) => string): Accepted {
  const plain = ({ key, name, minor }: QuoteThing) => ({ key, name: words(name), minor });
  const { netMinor, taxMinor, totalMinor } = quote;
  return {
    day,
    ...(by ? { by } : {}),
    option,
    netMinor,
    taxMinor,
    totalMinor,
    lines: quote.lines.map(plain),
    things: quote.things.map(plain),
  };
} // prettier-ignore

/** One thing that came to what was agreed, or went from it, with what it adds or takes off, net, minor units. */
export interface Variation {
  key: string;
  name: Said;
  kind: 'added' | 'more' | 'less' | 'omitted';
  minor: number;
}

/**
 * What has changed since the client said yes, thing by thing, then everything that is no thing: hours, travel, carriage. Together
 * they are the difference of the net sums.
 * Valid for a quote of the option that was agreed. Leaves out: prices that a supplier changed, which are in them.
 * Test: quote.test.ts, "what changed since is additions and omissions that add up to the difference".
 */
export function variations(accepted: Accepted, quote: Quote): Variation[] {
  const goods = new Set<string>(LINE_KINDS);
  const work = (lines: readonly QuoteThing[]) => lines.filter((l) => !goods.has(l.key));
  return [...between(accepted.things, quote.things), ...between(work(accepted.lines), work(quote.lines))];
}

function between(was: readonly QuoteThing[], is: readonly QuoteThing[]): Variation[] {
  const before = new Map(was.map((t) => [t.key, t]));
  const now = new Map(is.map((t) => [t.key, t]));
  const changed = is.flatMap((t): Variation[] => {
    const old = before.get(t.key);
    if (!old) return t.minor === 0 ? [] : [{ ...t, kind: 'added' }];
    const minor = t.minor - old.minor;
    return minor === 0 ? [] : [{ key: t.key, name: t.name, kind: minor > 0 ? 'more' : 'less', minor }];
  });
  const gone = was.filter((t) => !now.has(t.key) && t.minor !== 0);
  return [...changed, ...gone.map((t): Variation => ({ ...t, kind: 'omitted', minor: -t.minor }))];
}
