import { and, desc, eq, inArray, ne, type SQL } from 'drizzle-orm';
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

/** Notes that an order is on its way, or was sent by hand; a reference that is sent again keeps its row. */
export async function orderSent(
  store: Store,
  commissionId: string,
  request: SupplierRequest,
  state: 'sending' | 'sent' = 'sending',
): Promise<void> {
  const sent = {
    supplier: request.supplier.id,
    request,
    state,
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
  const of = (state: SQL) => and(eq(orders.reference, reference), state);
  // What was withdrawn meanwhile stays so: whoever confirmed it has to be told.
  const late = { reason: LATE_ANSWER, answeredAt: set.answeredAt };
  await written(
    store,
    reference,
    (db) =>
      db
        .update(orders)
        .set(set)
        .where(of(ne(orders.state, 'withdrawn'))),
    ...(answer.confirmation
      ? [
          (db: Store['db']) =>
            db
              .update(orders)
              .set(late)
              .where(of(eq(orders.state, 'withdrawn'))),
        ]
      : []),
  );
}

const LATE_ANSWER = 'It was confirmed after it had been withdrawn here: tell them that it is not wanted.';

/** An order that is not wanted any more; what it had confirmed does not count. False where there is none of that reference. */
export async function withdrawOrder(store: Store, commissionId: string, reference: string): Promise<boolean> {
  const row = await orderByReference(store, reference);
  if (!row || row.commissionId !== commissionId) return false;
  const reason = row.confirmation
    ? `They had confirmed it as ${row.confirmation.supplierReference}: tell them that it is not wanted.`
    : null;
  const set = { state: 'withdrawn' as const, confirmation: null, reason };
  if (row.state !== 'withdrawn')
    await written(store, reference, (db) => db.update(orders).set(set).where(eq(orders.reference, reference))); // prettier-ignore
  return true;
}

type Change = (db: Store['db']) => unknown;
/** Changes of one order; what the list shows of its commission was worked out without them. */
async function written(store: Store, reference: string, ...changes: Change[]): Promise<void> {
  const whose = store.db.select({ id: orders.commissionId }).from(orders).where(eq(orders.reference, reference)); // prettier-ignore
  const stale: Change = (db) => db.update(glances).set({ revision: 0 }).where(inArray(glances.commissionId, whose)); // prettier-ignore
  await store.write((db) => db.batch([...changes, stale].map((change) => change(db)) as never));
}

/** Orders that were on their way when the server stopped: nobody waits for their answer any more. */
export async function releaseInterrupted(store: Store): Promise<void> {
  const reason = 'Utsuwa was stopped before the answer came. Send it again: it keeps its reference.';
  await store.write((db) =>
    db.update(orders).set({ state: 'unreachable', reason }).where(eq(orders.state, 'sending')),
  );
}
