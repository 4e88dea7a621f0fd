import { z } from 'zod';
import { id, origin, sizeMm } from './primitives';
import { inSitting } from './sittingSchema';

/** What is strewn by hand: stone by its size, or grain. */
export const STREWN_KINDS = ['stone', 'gravel', 'sand', 'soil', 'base'] as const;

/**
 * Loose stone and grain that is strewn by hand and has no shape of its own: rubble at the foot of the stones, sand in holes.
 * By its litres as it lies, or by its weight: one of the two.
 */
export const strewnSchema = z.looseObject({
  id,
  material: id,
  litres: z.number().min(0.01).max(1_000).optional(),
  massKg: z.number().min(0.01).max(2_000).optional(),
  /** From which size to which, mm. */
  sizeMm: z.tuple([sizeMm, sizeMm]).optional(),
  /** Pieces at whose foot it lies; wherever a hand sees fit when left out. */
  around: z.array(id).min(1).max(40).optional(),
  /** Bought where nothing is said. */
  origin: origin.optional(),
  sitting: inSitting,
});
