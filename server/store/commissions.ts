import { randomUUID } from 'node:crypto';
import { and, asc, desc, eq, isNotNull, isNull, like, lt } from 'drizzle-orm';
import type { Commission } from '../../core/commission/schema';
import { commissions, type CommissionRow } from './schema';
import type { Store } from './store';

/** A row of the list: everything but the document. */
export type Listed = Omit<CommissionRow, 'document' | 'searched' | 'erasedAt'>;

export interface ListAsk {
  search?: string;
  removed?: boolean;
  limit?: number;
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

/** Commissions by build day, soonest first; removed ones by when they were removed. */
export function listCommissions(
  { db }: Store,
  { search, removed, limit = 2_000 }: ListAsk,
): Promise<Listed[]> {
  const there = removed
    ? and(isNotNull(commissions.removedAt), isNull(commissions.erasedAt))
    : isNull(commissions.removedAt);
  // The wildcards of LIKE stand for themselves in what a person types.
  const words = (search ?? '')
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean)
    .map((w) => w.replace(/[%_]/g, ''));
  return db
    .select(LISTED)
    .from(commissions)
    .where(and(there, ...words.map((w) => like(commissions.searched, `%${w}%`))))
    .orderBy(removed ? desc(commissions.removedAt) : asc(commissions.buildDay), asc(commissions.title))
    .limit(limit);
}

export async function getCommission({ db }: Store, id: string): Promise<CommissionRow | undefined> {
  return (await db.select().from(commissions).where(eq(commissions.id, id)).limit(1))[0];
}

export async function createCommission(
  store: Store,
  document: Commission,
  id: string = randomUUID(),
): Promise<CommissionRow> {
  const now = new Date().toISOString();
  const row = {
    ...columnsOf(document),
    id,
    revision: 1,
    createdAt: now,
    updatedAt: now,
    removedAt: null,
    erasedAt: null,
  };
  await store.write((db) => db.insert(commissions).values(row));
  return row;
}

export type Saved =
  { saved: true; revision: number; updatedAt: string } | { saved: false; theirs?: CommissionRow };

/**
 * Saves a document that was based on a revision. When somebody else saved in between nothing is changed and
 * their row comes back; without a row there is no such commission.
 */
export async function saveCommission(
  store: Store,
  id: string,
  basedOn: number,
  document: Commission,
): Promise<Saved> {
  const updatedAt = new Date().toISOString();
  const { rowsAffected } = await store.write((db) =>
    db
      .update(commissions)
      .set({ ...columnsOf(document), revision: basedOn + 1, updatedAt })
      .where(and(eq(commissions.id, id), eq(commissions.revision, basedOn))),
  );
  if (rowsAffected === 1) return { saved: true, revision: basedOn + 1, updatedAt };
  return { saved: false, theirs: await getCommission(store, id) };
}

/** Days for which a removed commission can be brought back. */
export const KEPT_DAYS = 30;

/** Deletes for good what was removed longer ago than that; what is left of erased ones stays for the books. */
export async function purgeRemoved(store: Store, now = new Date()): Promise<number> {
  const before = new Date(now.getTime() - KEPT_DAYS * 86_400_000).toISOString();
  const { rowsAffected } = await store.write((db) =>
    db.delete(commissions).where(and(lt(commissions.removedAt, before), isNull(commissions.erasedAt))),
  );
  if (rowsAffected > 0) await store.scrub();
  return rowsAffected;
}

/** Marks as removed, or brings back; false when there is no such commission. */
export async function setRemoved(store: Store, id: string, removed: boolean): Promise<boolean> {
  const removedAt = removed ? new Date().toISOString() : null;
  const { rowsAffected } = await store.write((db) =>
    db
      .update(commissions)
      .set({ removedAt })
      .where(and(eq(commissions.id, id), isNull(commissions.erasedAt))),
  );
  return rowsAffected === 1;
}

export function columnsOf(document: Commission) {
  const { length, width, height } = document.vessel.innerMm;
  const client = document.brief.client?.name ?? '';
  const place = document.brief.client?.place ?? '';
  return {
    title: document.title,
    client,
    place,
    buildDay: document.brief.buildDay,
    lengthMm: length,
    widthMm: width,
    heightMm: height,
    waterLineMm: document.vessel.waterLineMm,
    searched: `${document.title} ${client} ${place}`.toLowerCase(),
    document,
  };
}
