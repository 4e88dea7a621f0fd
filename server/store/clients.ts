import { and, eq, isNull } from 'drizzle-orm';
import type { Commission } from '../../core/commission/schema';
import { columnsOf } from './commissions';
import { ordersOf } from './orders';
import { picturesOf } from './pictures';
import { commissions, orders, pictures } from './schema';
import type { Store } from './store';

/** Everything that is kept about one client, ready to be handed over. */
export interface ClientData {
  client: string;
  exportedAt: string;
  commissions: {
    id: string;
    createdAt: string;
    updatedAt: string;
    removedAt: string | null;
    document: Commission;
    orders: Awaited<ReturnType<typeof ordersOf>>;
    pictures: { id: string; addedAt: string; jpegBase64: string }[];
  }[];
}

function rowsOf({ db }: Store, client: string) {
  return db
    .select()
    .from(commissions)
    .where(and(eq(commissions.client, client), isNull(commissions.erasedAt)));
}

/** All commissions of a client, removed ones too, with orders and pictures. */
export async function clientData(store: Store, client: string): Promise<ClientData> {
  const rows = await rowsOf(store, client);
  return {
    client,
    exportedAt: new Date().toISOString(),
    commissions: await Promise.all(
      rows.map(async ({ id, createdAt, updatedAt, removedAt, document }) => ({
        id,
        createdAt,
        updatedAt,
        removedAt,
        document,
        orders: await ordersOf(store, id),
        pictures: (await picturesOf(store, id)).map((p) => ({
          id: p.id,
          addedAt: p.addedAt,
          jpegBase64: p.jpeg.toString('base64'),
        })),
      })),
    ),
  };
}

/**
 * Erases a client: name, place, words, pictures, answers and log go at once and for good. What the books
 * need stays without the name: sizes, materials, orders, prices, days. Returns the commissions touched.
 */
export async function eraseClient(store: Store, client: string): Promise<string[]> {
  const rows = await rowsOf(store, client);
  const now = new Date().toISOString();
  await store.write((db) =>
    db.transaction(async (tx) => {
      for (const { id, revision, document } of rows) {
        const left = withoutPerson(document);
        await tx
          .update(commissions)
          .set({ ...columnsOf(left), revision: revision + 1, updatedAt: now, removedAt: now, erasedAt: now })
          .where(eq(commissions.id, id));
        await tx.delete(pictures).where(eq(pictures.commissionId, id));
        // What a supplier wrote back in words may name the place it was for.
        await tx.update(orders).set({ reason: null }).where(eq(orders.commissionId, id));
      }
    }),
  );
  if (rows.length > 0) await store.scrub();
  return rows.map((r) => r.id);
}

/** A document without anything that tells whose it was. */
export function withoutPerson(document: Commission): Commission {
  const { buildDay, co2, crew, startTime, budgetMinor, schools } = document.brief;
  const { pictures: _pictures, site: _site, log: _log, shelved: _shelved, ...rest } = document;
  const plain = JSON.parse(
    JSON.stringify({ buildDay, co2, crew, startTime, budgetMinor, schools }),
  ) as Commission['brief'];
  return { ...rest, title: 'Erased commission', brief: plain };
}
