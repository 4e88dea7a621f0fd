import { z } from 'zod';
import { day, degrees, id, minor, sizeMm, words } from './primitives';
import { must } from './must';
import { shapeSchema } from './shapeSchema';

/*
 * An actual piece for one that is drawn: found in a shop, or offered by a supplier with a photograph. What has not been said
 * yet is left out; what state it is in follows from what has been (`core/hardscape/candidate.ts`).
 */

const sizes = z.tuple([sizeMm, sizeMm, sizeMm]);
const massKg = z.number().min(0.001).max(2_000);

export const candidateSchema = z.looseObject({
  id,
  /** The option, and the piece in it whose place it would take. */
  option: id,
  piece: id,
  material: id,
  supplier: id.optional(),
  askedOn: day.optional(),
  /** Length, width and height as promised, and what it is said to weigh. */
  sizeMm: sizes.optional(),
  massKg: massKg.optional(),
  priceMinor: minor.optional(),
  heldUntil: day.optional(),
  /** One of the document's pictures. */
  photo: z
    .string()
    .regex(/^[a-f0-9]{32}$/, must('picture'))
    .optional(),
  approvedOn: day.optional(),
  /** As it was when it came. */
  measured: z.looseObject({ sizeMm: sizes, massKg: massKg.optional() }).optional(),
  declined: z.boolean().optional(),
  /** While it is on the bench: what the piece was that was drawn there, to be put back. */
  was: z
    .looseObject({
      material: id,
      shape: shapeSchema,
      massKg: massKg.optional(),
      yard: id.optional(),
      faceDeg: degrees.optional(),
      grainDeg: degrees.optional(),
    })
    .optional(),
  /** What was taken for it, in the list of what was bought in the hand. */
  taken: id.optional(),
  /** Not of the trade: found, dug up, from a garden shop. Tests in the hand stand in the place of a supplier's word. */
  found: z.boolean().optional(),
  tests: z
    .partialRecord(
      z.enum(['acid', 'magnet', 'edges', 'veins', 'soundness', 'sap', 'kind', 'soaks']),
      z.enum(['good', 'bad']),
    )
    .optional(),
  note: words.optional(),
});
