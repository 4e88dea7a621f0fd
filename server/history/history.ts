import { and, count, desc, eq, gt, lt, lte, sql } from 'drizzle-orm';
import { user } from '../people/tables';
import type { Database } from '../store/connection';
import type { Store } from '../store/store';
import { edits } from './tables';

/* What was changed in a commission, save by save, and by whom. */

/** One save, as it is kept beside the commission. */
export interface Edit {
  revision: number;
  who: string | null;
  /** As JSON: what is put together in a thread is not taken apart in the server's own. */
  changes?: string;
}

/** Of one save so much is kept, characters; more is a document that was put in place of another. */
const MOST_OF_ONE = 200_000;
/** Of one commission so many saves are kept. */
const MOST_SAVES = 5_000;

/** Notes a save, in the transaction in which it is written and behind it: one that changed nothing is none. */
export function editNoted(db: Database, commissionId: string, { revision, who, changes }: Edit) {
  const kept = changes !== undefined && changes.length <= MOST_OF_ONE ? changes : null;
  return db.run(sql`INSERT INTO edits (commission_id, revision, who, changes) SELECT ${commissionId}, ${revision}, ${who}, ${kept} WHERE changes() = 1`); // prettier-ignore
}

/** Lets go of the oldest saves of commissions that have too many. */
export async function dropOldEdits(store: Store): Promise<void> {
  const many = await store.db.select({ id: edits.commissionId }).from(edits).groupBy(edits.commissionId).having(gt(count(), MOST_SAVES)); // prettier-ignore
  for (const { id } of many) await store.write((db) => dropOld(db, id));
}

async function dropOld(db: Database, commissionId: string): Promise<void> {
  const own = eq(edits.commissionId, commissionId);
  const [last] = await db.select({ id: edits.id }).from(edits).where(own).orderBy(desc(edits.id)).limit(1).offset(MOST_SAVES); // prettier-ignore
  if (last) await db.delete(edits).where(and(own, lte(edits.id, last.id)));
}

/** So many saves are told at once. */
const A_PAGE = 100;

/** Saves of a commission, the newest first, those before one where that is said; and whether there are older ones. */
export async function historyOf({ db }: Store, commissionId: string, before?: number) {
  const own = eq(edits.commissionId, commissionId);
  const found = await db
    .select({ id: edits.id, revision: edits.revision, at: edits.at, who: user.name, changes: edits.changes })
    .from(edits)
    .leftJoin(user, eq(user.id, edits.who))
    .where(before === undefined ? own : and(own, lt(edits.id, before)))
    .orderBy(desc(edits.id))
    .limit(A_PAGE + 1);
  return { edits: found.slice(0, A_PAGE), more: found.length > A_PAGE };
}
