import { z } from 'zod';
import { quoteRules } from '../commission/quoteSchema';
import { must } from '../commission/must';
import { crew, currency, pace, weekday, words } from '../commission/primitives';

/** What a studio is called, where it works and how: what new commissions begin with. */
export const houseSchema = z.object({
  name: words,
  address: z.string().max(500).optional(),
  phone: words.optional(),
  /** How days are written where it works, a language tag (BCP 47): British when nobody said. */
  locale: z
    .string()
    .regex(/^[a-z]{2,3}(?:-[A-Z]{2})?$/, must('language'))
    .optional(),
  /** ISO 4217 code for new commissions. */
  currency,
  /** Hands that usually come on a build day. */
  crew: crew.optional(),
  /** Minutes that work here takes for each of the usual ones. */
  pace: pace.optional(),
  /** Who works here, those who usually come first. */
  people: z.array(words.min(1)).max(30).optional(),
  /** Places in which the goods of a commission stand together until they are wanted. */
  bays: z.int().min(0).max(500).optional(),
  /** Tubs to soak in; what the RO unit of the studio makes, L an hour, and what its store holds, L. */
  tubs: z.int().min(0).max(200).optional(),
  roLitresPerHour: z.number().min(0.1).max(2_000).optional(),
  roStoreL: z.number().min(0).max(20_000).optional(),
  /** The day with which a week begins: as the place has it when nobody said. */
  weekBegins: weekday.optional(),
  /** By which rules it prices its work. */
  quote: quoteRules.optional(),
});
export type House = z.infer<typeof houseSchema>;
