import { z } from 'zod';
import { must } from './must';
import { day, figure, id, text } from './primitives';

/* The log of a commission: what was read off, what was done and said, decided, tried, and what is open. */

/** What was read off on a visit; ammonia with ammonium, nitrite and nitrate as ions, mg/L, hardness in °d. */
export const readingSchema = z.looseObject({
  ammoniaMgL: figure(0, 100).optional(),
  nitriteMgL: figure(0, 100).optional(),
  nitrateMgL: figure(0, 1_000).optional(),
  ph: z.number().min(3).max(11).optional(),
  gh: figure(0, 60).optional(),
  kh: figure(0, 60).optional(),
  celsius: figure(0, 45).optional(),
});

/** What a note is about, by its id; the scape as a whole when left out. */
export const ABOUT = ['pieces', 'bed', 'plants', 'joints', 'sittings'] as const;

export const logEntrySchema = z.looseObject({
  id,
  date: day,
  text,
  reading: readingSchema.optional(),
  /** Something decided, with its reason; something open; something tried and left. A plain note when left out. */
  kind: z.enum(['decision', 'question', 'tried']).optional(),
  about: z.looseObject({ of: z.enum(ABOUT), id }).optional(),
  /** Of a question: the day by which it is answered, and what the answer was. */
  until: day.optional(),
  answer: text.optional(),
  /** One of the document's pictures, taken with it. */
  photo: z
    .string()
    .regex(/^[a-f0-9]{32}$/, must('picture'))
    .optional(),
});
