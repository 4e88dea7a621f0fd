import { and, asc, count, eq, isNull, ne, sql } from 'drizzle-orm';
import type { Plant } from '../../core/commission/schema';
import { recordedOf, type Gave, type Recorded } from '../../core/catalogue/recorded';
import type { Studio, YardPiece } from '../../core/catalogue/studio';
import { commissions, entries } from './schema';
import type { Store } from './store';
import { dropUnseenPhotos } from './yardPhotos';

const EMPTY: Studio = {
  name: '',
  currency: 'GBP',
  catalogue: { materials: [], plants: [], suppliers: [] },
  yard: [],
};

/** The studio, and the pieces that were parted: their numbers and what they weighed stay known. */
export async function readStudio({
  db,
}: Store): Promise<Studio & { parted: YardPiece[]; recorded: Record<string, Recorded> }> {
  const rows = await db.select().from(entries).orderBy(asc(entries.position));
  const of = <T>(kind: string) => rows.filter((r) => r.kind === kind).map((r) => r.value as T);
  const self = of<Partial<Studio>>('studio')[0];
  return {
    ...EMPTY,
    ...self,
    catalogue: { materials: of('material'), plants: of('plant'), suppliers: of('supplier') },
    yard: of('yard'),
    parted: of('parted'),
    recorded: recordedOf(await allGave(db)),
  };
}

/** What packs gave, over all commissions that were not removed. */
async function allGave(db: Store['db']): Promise<Gave[]> {
  const rows = await db
    .select({ gave: commissions.gave })
    .from(commissions)
    .where(and(isNull(commissions.removedAt), ne(commissions.gave, [])));
  return rows.flatMap((r) => r.gave);
}

/** Replaces the studio's catalogue, yard and settings. */
export async function writeStudio(store: Store, studio: Studio): Promise<void> {
  const { catalogue, yard, parted: _parted, recorded: _recorded, ...self } = studio as Studio & { parted?: unknown; recorded?: unknown }; // prettier-ignore
  const kinds: [string, { id: string }[]][] = [
    ['material', catalogue.materials],
    ['plant', catalogue.plants],
    ['supplier', catalogue.suppliers],
    ['yard', yard],
    ['studio', [{ id: 'self', ...self }]],
  ];
  const rows = kinds.flatMap(([kind, list]) =>
    list.map((value, position) => ({ key: `${kind}/${value.id}`, kind, position, value })),
  );
  await store.write((db) => db.batch([db.delete(entries), db.insert(entries).values(rows)]));
}

/** One more piece in the yard, after those that are there. */
export async function addToYard(store: Store, piece: YardPiece): Promise<void> {
  const [{ n }] = await store.db.select({ n: count() }).from(entries).where(eq(entries.kind, 'yard'));
  const row = { key: `yard/${piece.id}`, kind: 'yard', position: n, value: piece };
  await store.write((db) => db.insert(entries).values(row));
}

/** What was found out about a piece of the yard. False where there is none of that number. */
export async function changeInYard(store: Store, id: string, part: Partial<YardPiece>): Promise<boolean> {
  const own = eq(entries.key, `yard/${id}`);
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

/** Plants of the studio, changed where there is one of that id and else added after the others. */
export async function keepPlants(store: Store, plants: readonly Plant[]): Promise<void> {
  const [{ n }] = await store.db.select({ n: count() }).from(entries).where(eq(entries.kind, 'plant'));
  const rows = plants.map((value, i) => ({
    key: `plant/${value.id}`,
    kind: 'plant',
    position: n + i,
    value,
  }));
  if (rows.length === 0) return;
  await store.write((db) =>
    db
      .insert(entries)
      .values(rows)
      .onConflictDoUpdate({ target: entries.key, set: { value: sql`excluded.value` } }),
  );
}

/** False where there is none of that id. */
export async function dropPlant(store: Store, id: string): Promise<boolean> {
  const gone = await store.write((db) =>
    db
      .delete(entries)
      .where(eq(entries.key, `plant/${id}`))
      .returning(),
  );
  return gone.length > 0;
}

/** Two parts in the place of a piece; what it was stays known under its own number. */
export async function partInYard(store: Store, id: string, parts: readonly YardPiece[]): Promise<void> {
  const [{ n }] = await store.db.select({ n: count() }).from(entries).where(eq(entries.kind, 'yard'));
  const into = parts.map((p) => p.id);
  const rows = parts.map((value, i) => ({ key: `yard/${value.id}`, kind: 'yard', position: n + i, value }));
  await store.write((db) =>
    db.batch([
      db
        .update(entries)
        .set({
          kind: 'parted',
          value: sql`json_set(${entries.value}, '$.into', json(${JSON.stringify(into)}))`,
        })
        .where(eq(entries.key, `yard/${id}`)),
      db.insert(entries).values(rows),
    ]),
  );
}

/** Takes a piece out of the yard: given back, sold or broken. False where there is none of that number. */
export async function dropFromYard(store: Store, id: string): Promise<boolean> {
  const gone = await store.write((db) =>
    db
      .delete(entries)
      .where(eq(entries.key, `yard/${id}`))
      .returning(),
  );
  if (gone.length > 0) await dropUnseenPhotos(store);
  return gone.length > 0;
}

/** In which commissions a piece of the yard stands, by its number. */
export type UsedPieces = Record<string, { id: string; title: string; buildDay: string }[]>;

export async function usedPieces({ db }: Store): Promise<UsedPieces> {
  const rows = await db
    .select({
      id: commissions.id,
      title: commissions.title,
      buildDay: commissions.buildDay,
      yard: commissions.yard,
    })
    .from(commissions)
    .where(and(isNull(commissions.removedAt), ne(commissions.yard, [])));
  const used: UsedPieces = {};
  for (const { yard, ...where } of rows) for (const piece of yard) (used[piece] ??= []).push(where);
  return used;
}
