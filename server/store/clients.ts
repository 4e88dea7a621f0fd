import { and, eq, inArray, isNull, type SQL } from 'drizzle-orm';
import { inEveryBackup } from './backups';
import type { Kept } from './columns';
import type { Database } from './connection';
import { ordersOf } from './orders';
import { picturesOf } from './pictures';
import { commissions, orders, pictures, type CommissionRow } from './schema';
import type { Store } from './store';

/** One commission of a client with all that belongs to it; the document as text. */
export interface KeptOfClient {
  row: CommissionRow;
  orders: Awaited<ReturnType<typeof ordersOf>>;
  pictures: Awaited<ReturnType<typeof picturesOf>>;
}

const ofClient = (client: string): SQL | undefined =>
  and(eq(commissions.client, client), isNull(commissions.erasedAt));

/** Ids of all commissions of a client, removed ones too. */
export async function commissionsOf({ db }: Store, client: string): Promise<string[]> {
  const rows = await db.select({ id: commissions.id }).from(commissions).where(ofClient(client));
  return rows.map((r) => r.id);
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
 * Puts in the place of each commission what is left of it without its client; pictures go. In the database
 * at once, then in every backup, so that it does not come back with one. False when one of them was saved
 * meanwhile: then nothing was changed.
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
  if (!done) return false;
  await store.scrub();
  await inEveryBackup(store.folder, ({ writing }) => eraseIn(writing, left, now));
  return true;
}

async function eraseIn(db: Database, left: readonly Left[], now: string): Promise<void> {
  const ids = left.map((l) => l.id);
  await db.batch([
    db.delete(pictures).where(inArray(pictures.commissionId, ids)),
    // What a supplier wrote back in words may name the place it was for.
    db.update(orders).set({ reason: null }).where(inArray(orders.commissionId, ids)),
    // The list of meshes stays as it is: a backup made before there was one has no such column.
    ...left.map(({ id, revision, kept: { meshes: _meshes, ...kept } }) =>
      db
        .update(commissions)
        .set({ ...kept, revision: revision + 1, updatedAt: now, removedAt: now, erasedAt: now })
        .where(eq(commissions.id, id)),
    ),
  ]);
}
