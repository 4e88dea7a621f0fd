import { z } from 'zod';
import type { Day } from '../calendar/day';
import { day, id, words } from '../commission/primitives';

/** What may live on what grows in the studio's own tanks. */
export const LIVES_ON = ['snails', 'algae'] as const;

/** In what things on a shelf are counted. */
export const SHELF_UNITS = ['L', 'kg', 'g', 'mL', 'piece', 'plug'] as const;

/**
 * Something on the studio's own shelf: an opened bag, a bottle, plants in one of its tanks. Soil and sand in litres or
 * kilograms, plants in plugs.
 */
export const shelfSchema = z.looseObject({
  id,
  name: words.min(1),
  /** The material or the plant that it is. */
  of: id,
  amount: z.number().min(0).max(100_000),
  unit: z.enum(SHELF_UNITS),
  /** Which rack, which tank. */
  where: words.optional(),
  since: day.optional(),
  keepsUntil: day.optional(),
  livesOn: z.array(z.enum(LIVES_ON)).max(2).optional(),
  /** The commission at whose build it was left over. */
  from: id.optional(),
  /** What commissions have used of it and is written off, in its unit; by their ids. */
  used: z
    .array(z.looseObject({ by: id, amount: z.number().min(0).max(1e6) }))
    .max(2_000)
    .optional(),
});
export type ShelfEntry = z.infer<typeof shelfSchema>;

/** So much of something that a commission takes off the shelf, and the day on which it goes in. */
export interface Take {
  of: string;
  name: string;
  amount: number;
  unit: ShelfEntry['unit'];
  /** What a litre of it weighs, poured, where that is known. */
  kgPerL?: number;
  on: Day;
}

/** What another commission takes, as far as its build is still ahead. */
export interface Reserved extends Take {
  title: string;
}

/** The shelf as a commission finds it: what stands there, and what others are going to take of it. */
export interface Shelf {
  entries: readonly ShelfEntry[];
  reserved: readonly Reserved[];
}
