import { z } from 'zod';

/** The revision a save is based on. */
export const revisionAsk = z.int().min(1);

/** What was changed since a revision: the usual save, and what a page sends when it goes. */
export const changesAsk = z.object({
  revision: revisionAsk,
  changes: z
    .array(
      z.looseObject({
        path: z.array(z.union([z.string(), z.object({ id: z.string() })])).max(40),
        after: z.string().nullable().optional(),
        order: z.object({ was: z.array(z.string()), is: z.array(z.string()) }).optional(),
        listGoes: z.literal(true).optional(),
      }),
    )
    .max(5_000),
});
