import { z } from 'zod';
import { day, id, minor, text, words } from '../commission/primitives';

/*
 * A proposal as it is handed to a client, in words that are not worked out anew: what somebody reads who has a link, and to which
 * they say yes. Nothing of cost, margin or other commissions has a field in it.
 */

const asked = z.strictObject({ key: id, name: words, minor: z.int().min(-1e12).max(1e12) });

export const proposalViewSchema = z.strictObject({
  /** Which option it is. */
  option: id,
  title: words,
  client: words.optional(),
  place: words.optional(),
  studio: z.strictObject({ name: words.optional(), address: text.optional(), phone: words.optional() }),
  heading: words,
  story: text.optional(),
  made: z.array(text).max(20),
  days: z.array(z.strictObject({ day, says: text })).max(100),
  asks: text,
  lines: z.array(asked).max(200),
  tax: z.strictObject({ name: words, percent: z.number().min(0).max(100), minor }).optional(),
  totalMinor: minor,
  currency: z.string().regex(/^[A-Z]{3}$/),
  validUntil: day.optional(),
  notIncluded: text.optional(),
  dependsOn: text.optional(),
  terms: text.optional(),
  /** Pictures of the commission, by their ids. */
  pictures: z.array(z.strictObject({ id: z.string().regex(/^[a-f0-9]{32}$/), caption: words })).max(12),
});
export type ProposalView = z.infer<typeof proposalViewSchema>;
