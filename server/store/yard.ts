import { and, eq, isNull, ne, sql, type SQL } from 'drizzle-orm';
import type { YardPiece } from '../../core/catalogue/studio';
import { touched } from './commissions';
import { countOf } from './lists';
import { commissions, entries } from './schema';
import type { Store } from './store';
import { dropUnseenPhotos } from './yardPhotos';

/* The studio's yard: pieces by their numbers, and in which commissions they stand. */

/** One more piece in the yard, after those that are there. False where its number is, or was, another piece's. */
export async function addToYard(store: Store, piece: YardPiece): Promise<boolean> {
  const n = await countOf(store, 'yard');
  const row = { key: `yard/${piece.id}`, kind: 'yard', position: n, value: piece };
  const added = await store.write((db) => db.insert(entries).values(row).onConflictDoNothing());
  return touched(added).rowsAffected === 1;
}

/** What was found out about a piece of the yard. False where there is none of that number. */
export async function changeInYard(store: Store, id: string, part: Partial<YardPiece>): Promise<boolean> {
  const own = and(eq(entries.key, `yard/${id}`), eq(entries.kind, 'yard'));
  const [there] = await store.db.select({ key: entries.key }).from(entries).where(own);
  if (!there) return false;
  // In one statement, so that two facts at once are both kept; a fact that is known already is no write.
  const value = sql`json_patch(${entries.value}, ${JSON.stringify(part)})`;
  await store.write((db) =>
    db
      .update(entries)
      .set({ value })
      .where(and(own, ne(entries.value, value))),
  );
  return true;
}

/**
 * Two parts in the place of a piece; what it was stays known under its own number. False where it is not in the yard any
 * more, because somebody parted it at the same moment.
 */
export async function partInYard(store: Store, id: string, parts: readonly YardPiece[]): Promise<boolean> {
  const n = await countOf(store, 'yard');
  const into = parts.map((p) => p.id);
  const there = sql`EXISTS (SELECT 1 FROM entries WHERE key = ${`yard/${id}`} AND kind = 'yard')`;
  const putIn = (value: YardPiece, i: number) =>
    sql`INSERT INTO entries (key, kind, position, value)
        SELECT ${`yard/${value.id}`}, 'yard', ${n + i}, ${JSON.stringify(value)} WHERE ${there}`;
  const done = await store.write((db) =>
    db.batch([
      ...parts.map((value, i) => db.run(putIn(value, i))),
      db
        .update(entries)
        .set({
          kind: 'parted',
          value: sql`json_set(${entries.value}, '$.into', json(${JSON.stringify(into)}))`,
        })
        .where(and(eq(entries.key, `yard/${id}`), eq(entries.kind, 'yard'))),
    ] as never),
  );
  return touched((done as unknown[]).at(-1)).rowsAffected === 1;
}

/**
 * Takes a piece out of the yard: given back, sold or broken. A number under which a commission knows it stays taken, so
 * that no other stone inherits that commission. False where there is none of that number.
 */
export async function dropFromYard(store: Store, id: string): Promise<boolean> {
  const own = and(eq(entries.key, `yard/${id}`), eq(entries.kind, 'yard'));
  const named = sql`EXISTS (SELECT 1 FROM commissions, json_each(commissions.yard) WHERE json_each.value = ${id})`;
  const [kept, gone] = (await store.write((db) =>
    db.batch([
      db.update(entries).set({ kind: 'given' }).where(and(own, named)),
      // What was kept is not of that kind any more.
      db.delete(entries).where(own),
    ]),
  )) as unknown as [unknown, unknown];
  const dropped = touched(kept).rowsAffected + touched(gone).rowsAffected > 0;
  if (dropped) await dropUnseenPhotos(store);
  return dropped;
}

/** Whether a number is, or was, that of a piece of the yard. */
export async function isKnownInYard({ db }: Store, id: string): Promise<boolean> {
  return (
    (
      await db
        .select({ key: entries.key })
        .from(entries)
        .where(eq(entries.key, `yard/${id}`))
    ).length > 0
  );
}

/** In which commissions a piece of the yard stands, by its number. */
export type UsedPieces = Record<string, { id: string; title: string; buildDay: string }[]>;

export function usedPieces(store: Store): Promise<UsedPieces> {
  return used(store, ne(commissions.yard, []));
}

/** The same for some pieces alone, in other commissions than one: who else has what it was just given. */
export async function alsoUsed(store: Store, id: string, pieces: readonly string[]): Promise<UsedPieces> {
  if (pieces.length === 0) return {};
  const any = sql`EXISTS (SELECT 1 FROM json_each(${commissions.yard}) WHERE value IN (SELECT value FROM json_each(${JSON.stringify(pieces)})))`;
  const all = await used(store, and(ne(commissions.id, id), any));
  return Object.fromEntries(Object.entries(all).filter(([piece]) => pieces.includes(piece)));
}

async function used({ db }: Store, which: SQL | undefined): Promise<UsedPieces> {
  const rows = await db
    .select({
      id: commissions.id,
      title: commissions.title,
      buildDay: commissions.buildDay,
      yard: commissions.yard,
    })
    .from(commissions)
    .where(and(isNull(commissions.removedAt), which));
  const found: UsedPieces = {};
  for (const { yard, ...where } of rows) for (const piece of yard) (found[piece] ??= []).push(where);
  return found;
}
