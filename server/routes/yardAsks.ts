import { z } from 'zod';
import { isWhole } from '../../core/commission/primitives';

/* What may be asked of the yard, parsed before anything is done with it. */

const side = z.number().min(1).max(5_000);
const mass = z.number().min(0.001).max(2_000);
const turn = z.number().min(-360).max(360);
const spot = z.tuple([z.number().min(-5_000).max(5_000), z.number().min(-5_000).max(5_000)]);
const outline = z.array(spot).min(3).max(400);
export const yardId = z.string().trim().min(1).max(40).refine(isWhole, 'must be of whole characters');

/** A piece that goes in: by sizes, by two outlines, by its branches or by a scan; weighed, measured in water, or neither. */
export const yardAsk = z.object({
  id: yardId,
  material: z.string().min(1).max(80),
  sizeMm: z.tuple([side, side, side]).optional(),
  massKg: mass.optional(),
  litres: z.number().min(0.001).max(1_000).optional(),
  /** A scan that was taken in before, by the name of its mesh. */
  scan: z
    .string()
    .regex(/^[a-f0-9]{32}$/)
    .optional(),
  /** Outlines from two photographs, mm, upwards. */
  outlines: z.object({ front: outline, side: outline }).optional(),
  branches: z
    .array(
      z.object({
        from: z.int().min(0).max(60).optional(),
        alongMm: z.number().min(0).max(5_000).optional(),
        longMm: z.number().min(2).max(5_000),
        thickMm: z.tuple([z.number().min(1).max(1_000), z.number().min(1).max(1_000)]),
        bearingDeg: turn,
        riseDeg: z.number().min(-90).max(90),
      }),
    )
    .min(1)
    .max(60)
    .optional(),
});
export type YardAsk = z.infer<typeof yardAsk>;

/** What is found out about a piece while it is handled. */
export const yardFacts = z.object({ faceDeg: turn.optional(), grainDeg: turn.optional() });

/** A stone that is split, a twig that is broken off. */
export const partAsk = z.object({
  way: z.enum(['upright', 'level']),
  bearingDeg: turn,
  share: z.number().min(0.01).max(0.99),
  /** Masses of the parts as weighed, the larger first; null for one that was not. */
  massKg: z.tuple([mass.nullable(), mass.nullable()]).optional(),
  /** The commission on whose bench it lies: others must not have it. */
  commission: z.string().max(80).optional(),
});
export type PartAsk = z.infer<typeof partAsk>;
