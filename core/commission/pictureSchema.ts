import { z } from 'zod';
import { PICTURE_SUBJECTS } from './briefSchema';
import { words } from './primitives';
import { must } from './must';

/* Photographs: those of the brief, and those that lie under a view of the sheet. */

/** A picture that the server keeps; the document has its name and what it shows. */
export const pictureSchema = z.looseObject({
  id: z.string().regex(/^[a-f0-9]{32}$/, must('picture')),
  shows: z.enum(PICTURE_SUBJECTS),
  caption: words.optional(),
  widthPx: z.number().int().min(1).max(20_000),
  heightPx: z.number().int().min(1).max(20_000),
});

const ofPicture = z.tuple([z.number().min(-1).max(2), z.number().min(-1).max(2)]);
/** A photograph of the mock-up that lies under a view of the sheet. */
export const underlaySchema = z.looseObject({
  view: z.enum(['above', 'front']),
  /** One of the document's pictures. */
  picture: z.string().regex(/^[a-f0-9]{32}$/, must('picture')),
  /** Corners of floor or front glass in it, shares of its width and height: top left, top right, bottom right, bottom left. */
  corners: z.tuple([ofPicture, ofPicture, ofPicture, ofPicture]),
  /** How strongly it is drawn. */
  opacity: z.number().min(0).max(1).optional(),
});
