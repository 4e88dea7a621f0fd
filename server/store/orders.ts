import { desc, eq, inArray } from 'drizzle-orm';
import { placedAmong, type Confirmation, type Placed } from '../../core/ordering/confirmation';
import type { SupplierRequest } from '../supplierLink';
import { glances, orders, type OrderRow } from './schema';
import type { Store } from './store';

export function ordersOf({ db }: Store, commissionId: string): Promise<OrderRow[]> {
  return db.select().from(orders).where(eq(orders.commissionId, commissionId)).orderBy(desc(orders.sentAt));
}

/** Those of them that were confirmed, whole or in part. */
export async function placedOf(store: Store, commissionId: string): Promise<Placed[]> {
  return placedAmong(await ordersOf(store, commissionId));
}

export async function orderByReference({ db }: Store, reference: string): Promise<OrderRow | undefined> {
  return (await db.select().from(orders).where(eq(orders.reference, reference)).limit(1))[0];
}

/** Notes that an order is on its way; a reference that is sent again keeps its row. */
export async function orderSent(store: Store, commissionId: string, request: SupplierRequest): Promise<void> {
  const sent = {
    supplier: request.supplier.id,
    request,
    state: 'sending' as const,
    sentAt: new Date().toISOString(),
    reason: null,
    answeredAt: null,
  };
  await store.write((db) =>
    db
      .insert(orders)
      .values({ reference: request.reference, commissionId, confirmation: null, ...sent })
      .onConflictDoUpdate({ target: orders.reference, set: sent }),
  );
}

export async function orderAnswered(
  store: Store,
  reference: string,
  state: OrderRow['state'],
  answer: { confirmation?: Confirmation; reason?: string },
): Promise<void> {
  const set = {
    state,
    confirmation: answer.confirmation ?? null,
    reason: answer.reason ?? null,
    answeredAt: new Date().toISOString(),
  };
  const whose = store.db.select({ id: orders.commissionId }).from(orders).where(eq(orders.reference, reference)); // prettier-ignore
  await store.write((db) =>
    db.batch([
      db.update(orders).set(set).where(eq(orders.reference, reference)),
      // What the list shows of it was worked out without this answer.
      db.update(glances).set({ revision: 0 }).where(inArray(glances.commissionId, whose)),
    ]),
  );
}

/** Orders that were on their way when the server stopped: nobody waits for their answer any more. */
export async function releaseInterrupted(store: Store): Promise<void> {
  const reason = 'Utsuwa was stopped before the answer came. Send it again: it keeps its reference.';
  await store.write((db) =>
    db.update(orders).set({ state: 'unreachable', reason }).where(eq(orders.state, 'sending')),
  );
}
