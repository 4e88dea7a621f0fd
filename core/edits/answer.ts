import type { Commission } from '../commission/schema';
import type { Answer, Offered } from '../commission/quoteSchema';
import type { Day } from '../calendar/day';
import { freshId } from './ids';
import { withQuote } from './quote';

/**
 * The document with what a client answered to a proposal: a yes freezes what they were shown, a question waits in the log for an
 * answer. Undefined for a yes where a version is agreed already (what changes after a yes stands beside
 * it, and replaces nothing), or to an option that was not shown.
 */
export function withAnswer(
  document: Commission,
  answer: Answer & { day: Day },
  offers: readonly Offered[],
): Commission | undefined {
  const { day, by } = answer;
  if (answer.kind === 'yes') {
    const offered = offers.find((o) => o.option === answer.option);
    if (document.quote?.accepted || !offered) return undefined;
    return withQuote(document, { accepted: { ...offered, day, by } });
  }
  const log = document.log ?? [];
  return { ...document, log: [...log, { id: freshId('note', log), date: day, kind: 'question', text: `${by}: ${answer.text}` }] }; // prettier-ignore
}
