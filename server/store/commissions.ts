import { randomUUID } from 'node:crypto';
import {
  and,
  asc,
  count,
  desc,
  eq,
  gte,
  inArray,
  isNotNull,
  isNull,
  like,
  lt,
  ne,
  sql,
  type SQL,
} from 'drizzle-orm';
import { inEveryBackup } from './backups';
import type { Kept } from './columns';
import { commissions, gone, type CommissionRow } from './schema';
import type { Store } from './store';

/** A row of the list: everything but the document. */
export type Listed = Omit<CommissionRow, 'document' | 'meshes' | 'yard' | 'gave' | 'searched' | 'erasedAt'>;

/** One page of a list. */
export interface ListAsk {
  search?: string;
  removed?: boolean;
  /** The day that divides what is to be built from what was. */
  today?: string;
  /** How many rows to pass over, and how many to give. */
  from?: number;
  limit?: number;
}

export interface ListPage {
  commissions: Listed[];
  /** How many there are in all. */
  total: number;
}

const LISTED = {
  id: commissions.id,
  title: commissions.title,
  client: commissions.client,
  place: commissions.place,
  buildDay: commissions.buildDay,
  lengthMm: commissions.lengthMm,
  widthMm: commissions.widthMm,
  heightMm: commissions.heightMm,
  waterLineMm: commissions.waterLineMm,
  revision: commissions.revision,
  createdAt: commissions.createdAt,
  updatedAt: commissions.updatedAt,
  removedAt: commissions.removedAt,
};
const PAGE = 100;

/**
 * Commissions by build day: those ahead, soonest first, then those built, the last first. Removed ones by
 * when they were removed.
 */
export async function listCommissions({ db }: Store, ask: ListAsk): Promise<ListPage> {
  const { removed = false, from = 0, limit = PAGE } = ask;
  const there = asked(ask);
  const rows = await db
    .select(LISTED)
    .from(commissions)
    .where(there)
    .orderBy(
      ...(removed ? [desc(commissions.removedAt)] : byBuildDay(ask.today ?? '')),
      asc(commissions.title),
    )
    .limit(limit)
    .offset(from);
  const [{ total }] = await db.select({ total: count() }).from(commissions).where(there);
  return { commissions: rows, total };
}

/** The few that were worked on last, newest first. */
export function lastWorkedOn({ db }: Store, limit = 3): Promise<Listed[]> {
  return db
    .select(LISTED)
    .from(commissions)
    .where(isNull(commissions.removedAt))
    .orderBy(desc(commissions.updatedAt))
    .limit(limit);
}

function asked({ search, removed }: ListAsk): SQL | undefined {
  const there = removed
    ? and(isNotNull(commissions.removedAt), isNull(commissions.erasedAt))
    : isNull(commissions.removedAt);
  // The wildcards of LIKE stand for themselves in what a person types.
  const words = (search ?? '')
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean)
    .map((w) => w.replace(/[%_]/g, ''));
  return and(there, ...words.map((w) => like(commissions.searched, `%${w}%`)));
}

function byBuildDay(today: string): SQL[] {
  const ahead = gte(commissions.buildDay, today);
  return [
    sql`CASE WHEN ${ahead} THEN 0 ELSE 1 END`,
    sql`CASE WHEN ${ahead} THEN ${commissions.buildDay} END`,
    sql`CASE WHEN ${ahead} THEN NULL ELSE ${commissions.buildDay} END DESC`,
  ];
}

export async function getCommission({ db }: Store, id: string): Promise<CommissionRow | undefined> {
  return (await db.select().from(commissions).where(eq(commissions.id, id)).limit(1))[0];
}

/** What is known of a commission without its document. */
export type Head = Pick<CommissionRow, 'id' | 'title' | 'revision' | 'removedAt' | 'erasedAt'>;

export async function getHead({ db }: Store, id: string): Promise<Head | undefined> {
  const { title, revision, removedAt, erasedAt } = commissions;
  const columns = { id: commissions.id, title, revision, removedAt, erasedAt };
  return (await db.select(columns).from(commissions).where(eq(commissions.id, id)).limit(1))[0];
}

/** Whether a commission of this id was deleted for good. */
export async function isGone({ db }: Store, id: string): Promise<boolean> {
  return (await db.select().from(gone).where(eq(gone.id, id)).limit(1)).length > 0;
}

export async function createCommission(
  store: Store,
  kept: Kept,
  id: string = randomUUID(),
): Promise<{ id: string; revision: number }> {
  const now = new Date().toISOString();
  const row = { ...kept, id, revision: 1, createdAt: now, updatedAt: now, removedAt: null, erasedAt: null };
  await store.write((db) => db.insert(commissions).values(row));
  return { id, revision: 1 };
}

export type Saved =
  { saved: true; revision: number; updatedAt: string } | { saved: false; theirs?: CommissionRow };

/**
 * Saves a document that was based on a revision. When somebody else saved in between, or it was removed,
 * nothing is changed and the row comes back as it is; without a row there is no such commission. What changes nothing is
 * no new revision.
 */
export async function saveCommission(store: Store, id: string, basedOn: number, kept: Kept): Promise<Saved> {
  const updatedAt = new Date().toISOString();
  const { rowsAffected } = touched(
    await store.write((db) =>
      db
        .update(commissions)
        .set({ ...kept, revision: basedOn + 1, updatedAt })
        .where(
          and(
            eq(commissions.id, id),
            eq(commissions.revision, basedOn),
            isNull(commissions.removedAt),
            ne(commissions.document, kept.document),
          ),
        ),
    ),
  );
  if (rowsAffected === 1) return { saved: true, revision: basedOn + 1, updatedAt };
  const theirs = await getCommission(store, id);
  if (theirs?.revision === basedOn && !theirs.removedAt)
    return { saved: true, revision: basedOn, updatedAt: theirs.updatedAt };
  return { saved: false, theirs };
}

/** How many rows a write touched. */
export function touched(result: unknown): { rowsAffected: number } {
  return result as { rowsAffected: number };
}

/** Days for which a removed commission can be brought back. */
export const KEPT_DAYS = 30;

/** Deletes for good what was removed longer ago than that; what is left of erased ones stays for the books. */
export async function purgeRemoved(store: Store, now = new Date()): Promise<number> {
  const before = new Date(now.getTime() - KEPT_DAYS * 86_400_000).toISOString();
  const old = await store.db
    .select({ id: commissions.id })
    .from(commissions)
    .where(and(lt(commissions.removedAt, before), isNull(commissions.erasedAt)));
  if (old.length === 0) return 0;
  const ids = old.map((row) => row.id);
  const at = now.toISOString();
  await store.write((db) =>
    db.batch([
      db
        .insert(gone)
        .values(ids.map((id) => ({ id, at })))
        .onConflictDoNothing(),
      db.delete(commissions).where(inArray(commissions.id, ids)),
    ]),
  );
  await store.scrub();
  await store.alone(() =>
    inEveryBackup(store.folder, async ({ writing }) => {
      await writing.delete(commissions).where(inArray(commissions.id, ids));
    }),
  );
  return ids.length;
}

/** Marks as removed, or brings back; false when there is no such commission. */
export async function setRemoved(store: Store, id: string, removed: boolean): Promise<boolean> {
  const removedAt = removed ? new Date().toISOString() : null;
  const result = await store.write((db) =>
    db
      .update(commissions)
      .set({ removedAt })
      .where(and(eq(commissions.id, id), isNull(commissions.erasedAt))),
  );
  return touched(result).rowsAffected === 1;
}
