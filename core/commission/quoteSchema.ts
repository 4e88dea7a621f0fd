import { z } from 'zod';
import { day, id, minor, text, words } from './primitives';

/* What the client is asked for the work: the studio's rules, and the version to which the client said yes. */

/** Tax is reckoned on each line and added up, or once on the whole. */
export const TAX_BY = ['line', 'total'] as const;

const quoteLine = z.looseObject({ key: id, name: words, minor: z.int().min(-1e12).max(1e12) });

/** A version that was said yes to, as it was then: nothing of it is worked out anew. */
export const acceptedSchema = z.looseObject({
  day,
  /** Who said so, and how: by telephone, on paper. */
  by: words.optional(),
  option: id,
  netMinor: minor,
  taxMinor: minor,
  totalMinor: minor,
  lines: z.array(quoteLine).max(200),
  /** What was bought for it, thing by thing, at its price then, margin included. */
  things: z.array(quoteLine).max(2_000),
});

/** The version that a yes to it freezes; day and name come with the yes. */
export const offeredSchema = acceptedSchema.omit({ day: true, by: true });
export type Offered = z.infer<typeof offeredSchema>;

/** What a client answers: yes to an option, or a question. */
export const answerSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('yes'), by: words.min(1), option: id }),
  z.object({ kind: z.literal('question'), by: words.min(1), text: z.string().min(1).max(2_000) }),
]);
export type Answer = z.infer<typeof answerSchema>;

/** What a studio asks everywhere. */
const RULES = {
  /** An hour of one pair of hands; a day on which somebody drives there; a visit after the build. */
  hourMinor: minor.optional(),
  travelMinor: minor.optional(),
  visitMinor: minor.optional(),
  /** Visits after those that the build itself asks for. */
  visits: z.int().min(0).max(200).optional(),
  /** Hours of drawing and choosing, beside those of the plan. */
  designHours: z.number().min(0).max(1_000).optional(),
  /** Put on what is bought, as a share of it: 0.3 makes 130.00 of 100.00. */
  margin: z.number().min(0).max(5).optional(),
  tax: z
    .looseObject({ name: words, share: z.number().min(0).max(1), by: z.enum(TAX_BY).optional() })
    .optional(),
  /** The net sum is rounded up to a multiple of this. */
  roundMinor: minor.optional(),
  notIncluded: text.optional(),
  terms: text.optional(),
};
export const quoteRules = z.object(RULES);

export const quoteSchema = z.looseObject({
  ...RULES,
  /** What else is asked for or taken off, by name. */
  extras: z.array(quoteLine).max(40).optional(),
  validUntil: day.optional(),
  dependsOn: text.optional(),
  accepted: acceptedSchema.optional(),
});
