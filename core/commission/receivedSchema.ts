import { z } from 'zod';
import { must } from './must';
import { clock, day, id, words } from './primitives';

/* What came of an order, line by line, as it was counted when the parcel was opened. */

/** Where it is now: what is at the studio has to be brought along. */
export const RECEIVED_AT = ['studio', 'site'] as const;

const packs = z.int().min(0).max(100_000);

/** A parcel: who opens it when it comes, where what lives in it stands until it is planted, and by which hour of its day it is there. */
export const parcelSchema = z.looseObject({
  /** Our reference of the order. */
  reference: z.string().min(1).max(120),
  openedBy: words.min(1).optional(),
  standsIn: words.min(1).optional(),
  hour: clock.optional(),
});

export const receivedSchema = z.looseObject({
  /** Our reference of the order, the line of the take-off and the pack. */
  reference: z.string().min(1).max(120),
  item: id,
  pack: id,
  /** Packs that were in the parcel; of those how many are broken, and how many dead on arrival. */
  came: packs,
  broken: packs.optional(),
  dead: packs.optional(),
  at: z.enum(RECEIVED_AT).optional(),
  day,
  /** One of the document's pictures: what is broken or dead is claimed with it. */
  photo: z
    .string()
    .regex(/^[a-f0-9]{32}$/, must('picture'))
    .optional(),
  note: words.optional(),
});
