import { z } from 'zod';
import { day, id, minor, text, words } from './primitives';

/* Another scape that is broken down, or a second-hand lot, and of which parts come into this one. */

export const brokenDownSchema = z.looseObject({
  id,
  /** Which tank it is, as the studio calls it. */
  name: words,
  /** Day on which it is broken down. */
  day,
  /** Paid for all of it, where it is bought as one lot. */
  priceMinor: minor.optional(),
  /** What of that this commission bears, 0 to 1; all of it when left out. The rest of the things are the studio's. */
  share: z.number().min(0).max(1).optional(),
  /** The tank itself is a part of it. */
  withTank: z.boolean().optional(),
  note: text.optional(),
});

/** The scape out of which a thing comes; it is neither bought nor taken from the shelf then. */
export const outOf = id.optional();
