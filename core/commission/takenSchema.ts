import { z } from 'zod';
import { day, id, minor, words } from './primitives';

/* What was taken in a shop, weighed, counted or measured at the counter; or off the studio's own shelf. */

export const takenSchema = z.looseObject({
  id,
  /** The line of the take-off that it is for, and how much of it, in the unit of its need. */
  item: id,
  amount: z.number().min(0.001).max(1e6),
  supplier: id.optional(),
  /** It stood on the studio's shelf: nobody was paid for it. */
  from: z.literal('shelf').optional(),
  paidMinor: minor.optional(),
  day,
  /** What of it is not used can be brought back until then. */
  backUntil: day.optional(),
  note: words.optional(),
});
