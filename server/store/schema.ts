import { sql } from 'drizzle-orm';
import { blob, index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Gave } from '../../core/catalogue/recorded';
import type { Lesson } from '../../core/commission/notes';
import type { Glance } from '../../core/pipeline/glance';
import type { Take } from '../../core/stock/shelf';
import type { WeekDue } from '../../core/staging/sorts';
import { STANDINGS } from '../../core/pipeline/listed';
import type { Confirmation } from '../../core/ordering/confirmation';
import type { Text } from './largeText';
import type { SupplierRequest } from '../supplierLink';

export { edits } from '../history/tables';
export { links } from '../links/tables';
export {
  account,
  invitations,
  members,
  journal,
  passkeys,
  session,
  twoFactor,
  user,
  verification,
} from '../people/tables';

/** A commission: what is searched and listed in columns, the whole as its validated document. */
export const commissions = sqliteTable(
  'commissions',
  {
    id: text('id').primaryKey(),
    title: text('title').notNull(),
    client: text('client').notNull(),
    place: text('place').notNull(),
    buildDay: text('build_day').notNull(),
    lengthMm: real('length_mm').notNull(),
    widthMm: real('width_mm').notNull(),
    heightMm: real('height_mm').notNull(),
    waterLineMm: real('water_line_mm').notNull(),
    /** Title, client and place in lower case, for the search. */
    searched: text('searched').notNull(),
    revision: integer('revision').notNull(),
    createdAt: text('created_at').notNull(),
    updatedAt: text('updated_at').notNull(),
    /** When it was removed; brought back by clearing it. */
    removedAt: text('removed_at'),
    /** When its client's data was erased; what is left of it is for the books, and does not come back. */
    erasedAt: text('erased_at'),
    /**
     * The document as JSON text: it goes in and out as it stands, and is read in a worker. Last: a list that
     * does not ask for it then never reads past the small columns.
     */
    document: text('document').$type<Text>().notNull(),
    /** Pieces of the studio’s yard that its chosen option takes. */
    yard: text('yard', { mode: 'json' }).$type<string[]>().notNull().default([]),
    /** Names of the meshes that the document has beside it. */
    meshes: text('meshes', { mode: 'json' }).$type<string[]>().notNull().default([]),
    /** What packs of plants gave when they were split. */
    gave: text('gave', { mode: 'json' }).$type<Gave[]>().notNull().default([]),
    /** What was decided and tried of plants and materials. */
    lessons: text('lessons', { mode: 'json' }).$type<Lesson[]>().notNull().default([]),
  },
  (t) => [
    index('commissions_build_day').on(t.removedAt, t.buildDay),
    index('commissions_updated').on(t.removedAt, t.updatedAt),
    // Few have any, and the document lies before them.
    index('commissions_lessons')
      .on(t.id)
      .where(sql`lessons <> '[]'`),
  ],
);

/** Ids of commissions that were deleted for good, so that a late save of one is told so. */
export const gone = sqliteTable('gone', { id: text('id').primaryKey(), at: text('at').notNull() });

export const ORDER_STATES = [
  'sending',
  'sent',
  'confirmed',
  'partly',
  'refused',
  'unreachable',
  'withdrawn',
] as const;

/** An order sent to a supplier, and what came back. */
export const orders = sqliteTable(
  'orders',
  {
    /** The reference that the supplier sees: sent again, it is the same order. */
    reference: text('reference').primaryKey(),
    commissionId: text('commission_id')
      .notNull()
      .references(() => commissions.id, { onDelete: 'cascade' }),
    supplier: text('supplier').notNull(),
    state: text('state', { enum: ORDER_STATES }).notNull(),
    request: text('request', { mode: 'json' }).$type<SupplierRequest>().notNull(),
    confirmation: text('confirmation', { mode: 'json' }).$type<Confirmation>(),
    /** Why it was not confirmed, in words. */
    reason: text('reason'),
    sentAt: text('sent_at').notNull(),
    answeredAt: text('answered_at'),
  },
  (t) => [index('orders_commission').on(t.commissionId)],
);

/** What the list shows of a commission, as it was last worked out: sorted and chosen by its columns, drawn by the whole. */
export const glances = sqliteTable(
  'glances',
  {
    commissionId: text('commission_id')
      .primaryKey()
      .references(() => commissions.id, { onDelete: 'cascade' }),
    /** What it was worked out from: the document, the day, the orders that were confirmed. */
    revision: integer('revision').notNull(),
    today: text('today').notNull(),
    placed: text('placed').notNull(),
    toSettle: integer('to_settle').notNull(),
    costMinor: integer('cost_minor').notNull(),
    unpriced: integer('unpriced').notNull(),
    /** Suppliers of whom something is still to be ordered. */
    toOrder: integer('to_order').notNull(),
    standing: text('standing', { enum: STANDINGS }).notNull(),
    nextDay: text('next_day'),
    /** What is due in the coming weeks: read by itself, for hundreds at once. */
    dues: text('dues', { mode: 'json' }).$type<WeekDue[]>().notNull().default([]),
    /** What it takes off the studio's shelf. */
    takes: text('takes', { mode: 'json' }).$type<Take[]>().notNull().default([]),
    glance: text('glance', { mode: 'json' }).$type<Omit<Glance, 'dues' | 'takes'>>().notNull(),
  },
  // A list of thousands is sorted without reading what they look like.
  (t) => [
    index('glances_asked').on(t.commissionId, t.toSettle, t.unpriced, t.toOrder, t.costMinor, t.nextDay),
  ],
);

/** A picture as it is kept: small, without where and by whom it was taken. */
export const pictures = sqliteTable(
  'pictures',
  {
    /** The first 32 digits of the SHA-256 of what is kept. */
    id: text('id').notNull(),
    commissionId: text('commission_id')
      .notNull()
      .references(() => commissions.id, { onDelete: 'cascade' }),
    widthPx: integer('width_px').notNull(),
    heightPx: integer('height_px').notNull(),
    addedAt: text('added_at').notNull(),
    jpeg: blob('jpeg', { mode: 'buffer' }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.commissionId, t.id] })],
);

/** The studio's own catalogue, yard and settings, one entry a row. */
export const entries = sqliteTable('entries', {
  /** `material/slate`, `plant/…`, `supplier/…`, `yard/S-14`, `studio/self`. */
  key: text('key').primaryKey(),
  kind: text('kind').notNull(),
  position: integer('position').notNull(),
  value: text('value', { mode: 'json' }).$type<unknown>().notNull(),
});

/** What suppliers' price lists have, an article a row; what a commission buys stands in its document, as it was quoted. */
export const offers = sqliteTable(
  'offers',
  {
    supplier: text('supplier').notNull(),
    article: text('article').notNull(),
    name: text('name').notNull(),
    /** What a pack holds, where the list says it. */
    size: real('size'),
    unit: text('unit'),
    priceMinor: integer('price_minor').notNull(),
    leadDays: integer('lead_days'),
    /** Name and article in lower case, for the search. */
    searched: text('searched').notNull(),
    /** The day of the list that it stood in last, and of the one in which it was missing. */
    listedOn: text('listed_on').notNull(),
    goneOn: text('gone_on'),
  },
  (t) => [primaryKey({ columns: [t.supplier, t.article] })],
);

/** Photographs of pieces of the yard, by the name of what is kept. */
export const yardPhotos = sqliteTable('yard_photos', {
  id: text('id').primaryKey(),
  jpeg: blob('jpeg', { mode: 'buffer' }).notNull(),
});

export type CommissionRow = typeof commissions.$inferSelect;
export type OrderRow = typeof orders.$inferSelect;
export type PictureRow = typeof pictures.$inferSelect;
