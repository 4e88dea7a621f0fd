import { sql } from 'drizzle-orm';
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { commissions } from '../store/schema';

/** What a save changed in a commission, and who saved it. */
export const edits = sqliteTable(
  'edits',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    commissionId: text('commission_id')
      .notNull()
      .references(() => commissions.id, { onDelete: 'cascade' }),
    /** The revision that it made. */
    revision: integer('revision').notNull(),
    at: integer('at', { mode: 'timestamp_ms' })
      .notNull()
      .default(sql`(cast(unixepoch('subsecond') * 1000 as integer))`),
    /** The id of a person: who is erased leaves no name behind. Nobody while there are no accounts. */
    who: text('who'),
    /** What was changed, as JSON; nothing where it was too much to be kept. */
    changes: text('changes'),
  },
  (t) => [index('edits_commission').on(t.commissionId, t.id)],
);
