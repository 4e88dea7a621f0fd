import { randomUUID } from 'node:crypto';
import {
  and,
  asc,
  count,
  desc,
  eq,
  gt,
  gte,
  inArray,
  isNotNull,
  isNull,
  like,
  lt,
  lte,
  ne,
  not,
  sql,
  type SQL,
} from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import { asksGlances, type Shown, type Sort } from '../../core/pipeline/listed';
import { careEndedFor } from '../../core/regime/waterSchools';
import { inEveryBackup } from './backups';
import type { Kept } from './columns';
import { editNoted, type Edit } from '../history/history';
import { commissions, glances, gone, type CommissionRow } from './schema';
import type { Store } from './store';

/** A row of the list: everything but the document. */
export type Listed = Omit<
  CommissionRow,
  'document' | 'meshes' | 'yard' | 'gave' | 'lessons' | 'searched' | 'erasedAt'
>;

/** One page of a list. */
export interface ListAsk {
  /** Only those that this person is on. */
  within?: string;
  /** Words that all stand in title, client or place; a search finds what is in the archive too. */
  search?: string;
  show?: Shown;
  sort?: Sort;
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

/** Commissions as they are asked for, a page of them. What is known only of a glance comes after what is known. */
export async function listCommissions({ db }: Store, ask: ListAsk): Promise<ListPage> {
  const { show = 'current', sort = 'build', today = '', from = 0, limit = PAGE } = ask;
  const there = asked(ask);
  // Whatever was worked out is only looked at where it is asked for: its rows are long.
  const glance = eq(glances.commissionId, commissions.id);
  const listing = db.select(LISTED).from(commissions).$dynamic();
  const rows = await (asksGlances(show, sort) ? listing.leftJoin(glances, glance) : listing)
    .where(there)
    .orderBy(
      ...(show === 'removed' ? [desc(commissions.removedAt)] : ORDER[sort](today)),
      asc(commissions.title),
      asc(commissions.id),
    )
    .limit(limit)
    .offset(from);
  const counting = db.select({ total: count() }).from(commissions).$dynamic();
  const [{ total }] = await (asksGlances(show, 'build') ? counting.leftJoin(glances, glance) : counting).where(there); // prettier-ignore
  return { commissions: rows, total };
}

/** The few that were worked on last, newest first. */
export function lastWorkedOn({ db }: Store, within?: string, limit = 3): Promise<Listed[]> {
  return db
    .select(LISTED)
    .from(commissions)
    .where(and(isNull(commissions.removedAt), within ? onThem(within) : undefined))
    .orderBy(desc(commissions.updatedAt))
    .limit(limit);
}

/** Commissions that somebody is on. */
const onThem = (person: string) =>
  sql`${commissions.id} IN (SELECT commission_id FROM members WHERE person_id = ${person})`;

function asked({ search, show = 'current', today, within }: ListAsk): SQL | undefined {
  // The wildcards of LIKE stand for themselves in what a person types.
  const words = (search ?? '')
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean)
    .map((w) => w.replace(/[%_]/g, ''));
  const found = [
    ...words.map((w) => like(commissions.searched, `%${w}%`)),
    ...(within ? [onThem(within)] : []),
  ];
  if (show === 'removed') return and(isNotNull(commissions.removedAt), isNull(commissions.erasedAt), ...found); // prettier-ignore
  const built = today ? lte(commissions.buildDay, careEndedFor(today)) : undefined;
  const everywhere = show === 'current' && words.length > 0;
  const when = show === 'archive' ? built : built && !everywhere ? not(built) : undefined;
  const { toSettle, toOrder, unpriced } = glances;
  const asks = { settle: gt(toSettle, 0), order: gt(toOrder, 0), unpriced: gt(unpriced, 0) };
  const by = show in asks ? asks[show as keyof typeof asks] : undefined;
  return and(isNull(commissions.removedAt), when, by, ...found);
}

/** Those ahead, soonest first, then those built, the last first. */
function byBuildDay(today: string): SQL[] {
  const ahead = gte(commissions.buildDay, today);
  return [
    sql`CASE WHEN ${ahead} THEN 0 ELSE 1 END`,
    sql`CASE WHEN ${ahead} THEN ${commissions.buildDay} END`,
    sql`CASE WHEN ${ahead} THEN NULL ELSE ${commissions.buildDay} END DESC`,
  ];
}

const knownFirst = (column: SQLiteColumn, by: SQL): SQL[] => [sql`${column} IS NULL`, by];
const ORDER: Record<Sort, (today: string) => SQL[]> = {
  build: byBuildDay,
  due: () => knownFirst(glances.nextDay, asc(glances.nextDay)),
  findings: () => knownFirst(glances.toSettle, desc(glances.toSettle)),
  cost: () => knownFirst(glances.costMinor, desc(glances.costMinor)),
  worked: () => [desc(commissions.updatedAt)],
  title: () => [sql`lower(${commissions.title})`],
  client: () => [sql`${commissions.client} = ''`, sql`lower(${commissions.client})`],
};

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
  | { saved: true; revision: number; updatedAt: string }
  | { saved: false; theirs?: CommissionRow };

/**
 * Saves a document that was based on a revision. When somebody else saved in between, or it was removed,
 * nothing is changed and the row comes back as it is; without a row there is no such commission. What changes nothing is
 * no new revision.
 */
export async function saveCommission(
  store: Store,
  id: string,
  basedOn: number,
  kept: Kept,
  edit?: Pick<Edit, 'who' | 'changes'>,
): Promise<Saved> {
  const updatedAt = new Date().toISOString();
  const rowsAffected = await store.write(async (db) => {
    const update = db
      .update(commissions)
      .set({ ...kept, revision: basedOn + 1, updatedAt })
      .where(
        and(
          eq(commissions.id, id),
          eq(commissions.revision, basedOn),
          isNull(commissions.removedAt),
          ne(commissions.document, kept.document),
        ),
      );
    // Of what was saved it is known by whom: both or neither.
    if (edit)
      return touched((await db.batch([update, editNoted(db, id, { ...edit, revision: basedOn + 1 })]))[0])
        .rowsAffected;
    return touched(await update).rowsAffected;
  });
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
