import { and, eq, inArray, isNull, or, sql } from 'drizzle-orm';
import type { Kept } from './columns';
import type { Database } from './connection';
import { idsOf } from './erasing';
import { ordersOf } from './orders';
import { picturesOf } from './pictures';
import { commissions, glances, orders, pictures, type CommissionRow, edits, links } from './schema';
import type { Store } from './store';

/** One commission of a client with all that belongs to it; the document as text. */
export interface KeptOfClient {
  row: CommissionRow;
  orders: Awaited<ReturnType<typeof ordersOf>>;
  pictures: Awaited<ReturnType<typeof picturesOf>>;
}

/** Ids of all commissions of a client that were not erased, removed ones too; however the name is written. */
export async function commissionsOf({ db }: Store, client: string): Promise<string[]> {
  const ids = await idsOf(db, client);
  if (ids.length === 0) return [];
  const there = and(inArray(commissions.id, ids), isNull(commissions.erasedAt));
  return (await db.select({ id: commissions.id }).from(commissions).where(there)).map((row) => row.id);
}

/** One of them, with its orders and pictures. */
export async function keptOf(store: Store, id: string): Promise<KeptOfClient | undefined> {
  const [row] = await store.db.select().from(commissions).where(eq(commissions.id, id)).limit(1);
  return row && { row, orders: await ordersOf(store, id), pictures: await picturesOf(store, id) };
}

/** What is left of a commission once its client is erased. */
export interface Left {
  id: string;
  revision: number;
  kept: Kept;
}

/**
 * Puts in the place of each commission what is left of it without its client; pictures go. All of them at once. False
 * when one of them was saved meanwhile: then nothing was changed.
 */
export async function eraseCommissions(store: Store, left: readonly Left[]): Promise<boolean> {
  if (left.length === 0) return true;
  const now = new Date().toISOString();
  const done = await store.write(async (db) => {
    const revisions = await db
      .select({ id: commissions.id, revision: commissions.revision })
      .from(commissions)
      .where(inArray(commissions.id, left.map((l) => l.id))); // prettier-ignore
    const asRead = left.every((l) => revisions.some((r) => r.id === l.id && r.revision === l.revision));
    if (asRead) await eraseIn(db, left, now);
    return asRead;
  });
  if (done) await store.scrub();
  return done;
}

async function eraseIn(db: Database, left: readonly Left[], now: string): Promise<void> {
  const ids = left.map((l) => l.id);
  await db.batch([
    db.delete(pictures).where(inArray(pictures.commissionId, ids)),
    db.delete(glances).where(inArray(glances.commissionId, ids)),
    db.delete(links).where(inArray(links.commissionId, ids)),
    db.delete(edits).where(inArray(edits.commissionId, ids)),
    // What a supplier wrote back in words may name the place it was for.
    db.update(orders).set({ reason: null }).where(inArray(orders.commissionId, ids)),
    ...left.map(({ id, revision, kept }) =>
      db
        .update(commissions)
        .set({ ...kept, revision: revision + 1, updatedAt: now, removedAt: now, erasedAt: now })
        .where(eq(commissions.id, id)),
    ),
  ]);
}

/** Titles of commissions in which a word stands, letter case aside: what was said of the client elsewhere. */
export async function commissionsSaying({ db }: Store, words: readonly string[]): Promise<string[]> {
  const says = words.map((word) => sql`${commissions.document} LIKE ${`%${word.replace(/[%_]/g, '_')}%`}`);
  if (says.length === 0) return [];
  const rows = await db
    .select({ title: commissions.title })
    .from(commissions)
    .where(or(...says));
  return rows.map((row) => row.title);
}
