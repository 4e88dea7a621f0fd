import { z } from 'zod';
import { day, words } from './primitives';

/*
 * A sheet as it was handed out: what stood on it in its order, without what it was worked out from. A run sheet, a care guide, the
 * questions of a visit: whoever has a link reads it and no more.
 */

const line = z.string().min(1).max(2_000);
const some = z.string().max(2_000).optional();

const blockSchema = z.union([
  z.strictObject({ as: z.enum(['h1', 'h2', 'p', 'li']), text: line }),
  // A task to tick off: when and by whom, what, how, and the usual caution.
  z.strictObject({ as: z.literal('tick'), when: some, text: line, how: some, caution: some }),
  z.strictObject({ as: z.literal('table'), rows: z.array(z.array(z.string().max(400)).max(20)).max(300) }),
  z.strictObject({ as: z.literal('picture'), id: z.string().regex(/^[a-f0-9]{32}$/), says: z.string().max(400) }),
]); // prettier-ignore
export type SheetBlock = z.infer<typeof blockSchema>;

export const sheetViewSchema = z.strictObject({
  title: words,
  /** The day on which it stood so. */
  made: day,
  studio: words.optional(),
  phone: words.optional(),
  blocks: z.array(blockSchema).min(1).max(1_500),
});
export type SheetView = z.infer<typeof sheetViewSchema>;
