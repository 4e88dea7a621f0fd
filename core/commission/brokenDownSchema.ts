import { z } from 'zod';
import { day, id, text, words } from './primitives';

/* Another scape that is broken down, and of which parts come into this one. */

export const brokenDownSchema = z.looseObject({
  id,
  /** Which tank it is, as the studio calls it. */
  name: words,
  /** Day on which it is broken down. */
  day,
  note: text.optional(),
});

/** The scape out of which a thing comes; it is neither bought nor taken from the shelf then. */
export const outOf = id.optional();
