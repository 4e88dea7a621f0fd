import { sql } from 'drizzle-orm';
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Answer, Offered } from '../../core/commission/quoteSchema';
import type { SheetView } from '../../core/commission/sheetView';
import type { LinkKind } from '../../core/pricing/linkAsk';
import type { ProposalView } from '../../core/pricing/proposalView';
import { commissions } from '../store/schema';

/** What a link may show. */
export const LINK_KINDS = ['proposal', 'sheet', 'dates'] as const satisfies readonly LinkKind[];

/**
 * A link for somebody without an account, to one view of one commission: what it shows is kept with it, so that nothing else can be
 * reached from it. Of its secret there is a hash.
 */
export const links = sqliteTable(
  'links',
  {
    id: text('id').primaryKey(),
    commissionId: text('commission_id')
      .notNull()
      .references(() => commissions.id, { onDelete: 'cascade' }),
    kind: text('kind', { enum: LINK_KINDS }).notNull(),
    /** For whom it was made. */
    named: text('named').notNull(),
    madeAt: integer('made_at', { mode: 'timestamp_ms' })
      .notNull()
      .default(sql`(cast(unixepoch('subsecond') * 1000 as integer))`),
    /** Its last day. */
    until: text('until').notNull(),
    endedAt: integer('ended_at', { mode: 'timestamp_ms' }),
    usedAt: integer('used_at', { mode: 'timestamp_ms' }),
    shows: text('shows', { mode: 'json' }).$type<ProposalView[] | SheetView | null>().notNull(),
    offers: text('offers', { mode: 'json' }).$type<Offered[]>().notNull(),
    answer: text('answer', { mode: 'json' }).$type<Answer & { day: string }>(),
  },
  (t) => [index('links_commission').on(t.commissionId)],
);
