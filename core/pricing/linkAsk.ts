import { z } from 'zod';
import { must } from '../commission/must';
import { day, words } from '../commission/primitives';
import { offeredSchema } from '../commission/quoteSchema';
import { sheetViewSchema } from '../commission/sheetView';
import { proposalViewSchema } from './proposalView';

/* What a link is made for: one view of one commission, for somebody without an account, until a day. */

/** Options beside each other that somebody still compares. */
const MOST_OPTIONS = 6;
const SENT = { named: words.min(1), until: day };

/** A proposal: the options that are shown, the first one first, each with the version that a yes to it freezes. */
const proposal = z.object({
  ...SENT,
  kind: z.literal('proposal'),
  shows: z.array(proposalViewSchema).min(1).max(MOST_OPTIONS),
  offers: z.array(offeredSchema).min(1).max(MOST_OPTIONS),
}).refine(({ shows, offers }) => shows.map((s) => s.option).join() === offers.map((o) => o.option).join(), { error: must('offers') }); // prettier-ignore
/** A sheet to read, as it stood; and the dates of care for a calendar, which follow what becomes of the commission. */
const sheet = z.object({ ...SENT, kind: z.literal('sheet'), shows: sheetViewSchema });
const dates = z.object({ ...SENT, kind: z.literal('dates') });

export const linkAskSchema = z.union([proposal, sheet, dates]);
export type LinkAsk = z.infer<typeof linkAskSchema>;
export type LinkKind = LinkAsk['kind'];
