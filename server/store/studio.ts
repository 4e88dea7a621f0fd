import { and, asc, count, eq, inArray, isNull, ne, sql, type SQL } from 'drizzle-orm';
import type { House } from '../../core/catalogue/house';
import type { Animal, Material, Plant, Supplier } from '../../core/commission/schema';
import { idOfName } from '../../core/edits/ids';
import { recordedOf, type Gave, type Recorded } from '../../core/catalogue/recorded';
import type { Studio, YardPiece } from '../../core/catalogue/studio';
import type { Sellers } from '../documents/materialsCsv';
import type { Text } from './largeText';
import { commissions, entries } from './schema';
import type { Store } from './store';
import { touched } from './commissions';
import { dropUnseenPhotos } from './yardPhotos';

const EMPTY: Studio = {
  name: '',
  currency: 'GBP',
  catalogue: { materials: [], plants: [], suppliers: [] },
  yard: [],
};

/** A list of the studio's catalogue, by the kind of its rows. */
export const LISTS = {
  materials: 'material',
  plants: 'plant',
  suppliers: 'supplier',
  animals: 'animal',
} as const;
export type ListName = keyof typeof LISTS;

/** Entries of one list that go with the studio to whoever opens a commission; the others are asked for by name. */
export const AT_ONCE = 600;

/** What goes to a page: the studio, how many entries its lists have in all, and what is known of its yard. */
export type Opened = Studio & {
  parted: YardPiece[];
  recorded: Record<string, Recorded>;
  counts: Record<ListName, number>;
};

/** Something of every list, by the kind of its rows. */
function mapped<T>(of: (kind: string) => T): Record<ListName, T> {
  return Object.fromEntries(Object.entries(LISTS).map(([list, kind]) => [list, of(kind)])) as Record<ListName, T>; // prettier-ignore
}

/** The studio, and the pieces that were parted: their numbers and what they weighed stay known. */
export async function readStudio({ db }: Store): Promise<Opened> {
  const of = async <T>(kind: string, most = -1) => {
    const rows = await db
      .select({ value: entries.value })
      .from(entries)
      .where(eq(entries.kind, kind))
      .orderBy(asc(entries.position), asc(entries.key))
      .limit(most);
    return rows.map((r) => r.value as T);
  };
  const [self] = await of<Partial<Studio>>('studio');
  const counted = await db.select({ kind: entries.kind, n: count() }).from(entries).groupBy(entries.kind);
  const there = (kind: string) => counted.find((c) => c.kind === kind)?.n ?? 0;
  const yard = await of<YardPiece>('yard');
  const materials = await of<Material>('material', AT_ONCE);
  return {
    ...EMPTY,
    ...self,
    catalogue: {
      materials: [...materials, ...(await alsoOfYard(db, yard, materials))],
      plants: await of<Plant>('plant', AT_ONCE),
      suppliers: await of<Supplier>('supplier', AT_ONCE),
      animals: await of<Animal>('animal', AT_ONCE),
    },
    yard,
    parted: await of('parted'),
    recorded: recordedOf(await allGave(db)),
    counts: mapped((kind) => there(kind)),
  };
}

/** What the studio is called and works with, kept; its lists stay. */
export async function keepHouse(store: Store, house: House): Promise<void> {
  await putEntry(store, 'studio', { id: 'self', ...house });
}

/** Entries of one list by words of their names, in the order of the list; how many there are. */
export async function listed(
  { db }: Store,
  list: ListName,
  { q, from, limit }: { q: string; from: number; limit: number },
): Promise<{ entries: unknown[]; total: number }> {
  const name = sql`${entries.value} ->> '$.name'`;
  const wanted = q.split(' ').filter(Boolean).map(likeWord); // prettier-ignore
  const which = and(
    eq(entries.kind, LISTS[list]),
    ...wanted.map((word) => sql`${name} LIKE ${word} ESCAPE '\\'`),
  );
  // Counted in the same pass: each row's name is taken out of its JSON once.
  const rows = await db
    .select({ value: entries.value, n: sql<number>`count(*) OVER ()` })
    .from(entries)
    .where(which)
    .orderBy(asc(entries.position), asc(entries.key))
    .limit(limit)
    .offset(from);
  return { entries: rows.map((r) => r.value), total: rows[0]?.n ?? 0 };
}

/**
 * A word as SQLite finds it anywhere, small letters or capitals: of letters beyond ASCII it knows only one of the two, so
 * any character stands for those.
 */
function likeWord(word: string): string {
  const plain = word.replace(/[\\%_]/g, (c) => `\\${c}`).replace(/[^\0-\x7f]/gu, '_'); // prettier-ignore
  return `%${plain}%`;
}

/** One entry of a list, by its id; undefined where there is none. */
export async function entryOf<T>({ db }: Store, list: ListName, id: string): Promise<T | undefined> {
  const key = `${LISTS[list]}/${id}`;
  const [row] = await db.select({ value: entries.value }).from(entries).where(eq(entries.key, key));
  return row?.value as T | undefined;
}

/** One entry, in the place of the one of that id, else after the others. */
export async function keepEntry(store: Store, list: ListName, entry: { id: string }): Promise<void> {
  await putEntry(store, LISTS[list], entry);
}

/** A new entry under an id of its own, made of its name; two of one name in the same moment get one each. Returns the id. */
export async function addEntry(store: Store, list: ListName, entry: { name: string }): Promise<string> {
  const base = idOfName(entry.name);
  for (let n = 1; ; n++) {
    const id = n === 1 ? base : `${base}-${n}`;
    if ((await addMissing(store, list, [{ ...entry, id }])) === 1) return id;
  }
}

/** How many entries are bought in a pack of this supplier. */
export async function soldBy({ db }: Store, supplier: string): Promise<number> {
  const names = sql`EXISTS (SELECT 1 FROM json_each(${entries.value}, '$.packs') WHERE value ->> '$.supplier' = ${supplier})`;
  const [{ n }] = await db
    .select({ n: count() })
    .from(entries)
    .where(and(inArray(entries.kind, [LISTS.materials, LISTS.plants]), names));
  return n;
}

/** Entries that a list does not have yet, after those that it has. Returns how many were new. */
export async function addMissing(
  store: Store,
  list: ListName,
  fresh: readonly { id: string }[],
): Promise<number> {
  const kind = LISTS[list];
  const place = await nextPlace(store, kind);
  // What was put in is counted by the database: others may put something in meanwhile.
  const done = await store.write((db) =>
    db.run(
      sql`INSERT INTO entries (key, kind, position, value)
          SELECT ${`${kind}/`} || json_extract(value, '$.id'), ${kind}, ${place} + key, value FROM json_each(${JSON.stringify(fresh)}) WHERE true
          ON CONFLICT (key) DO NOTHING`,
    ),
  );
  return touched(done).rowsAffected;
}

/** False where the list has none of that id. */
export async function dropEntry(store: Store, list: ListName, id: string): Promise<boolean> {
  const gone = await store.write((db) =>
    db
      .delete(entries)
      .where(eq(entries.key, `${LISTS[list]}/${id}`))
      .returning({ key: entries.key }),
  );
  return gone.length > 0;
}

async function putEntry(store: Store, kind: string, value: { id: string }): Promise<void> {
  const row = { key: `${kind}/${value.id}`, kind, position: await nextPlace(store, kind), value };
  await store.write((db) =>
    db
      .insert(entries)
      .values(row)
      // What is as it was is no write, and is not taken for one that went missing.
      .onConflictDoUpdate({
        target: entries.key,
        set: { value: sql`excluded.value` },
        setWhere: sql`${entries.value} IS NOT excluded.value`,
      }),
  );
}

/** The place behind all that a list has, be it that some were dropped. */
async function nextPlace({ db }: Store, kind: string): Promise<number> {
  const last = sql<number | null>`max(${entries.position})`;
  const [{ n }] = await db.select({ n: last }).from(entries).where(eq(entries.kind, kind));
  return (n ?? -1) + 1;
}

async function countOf({ db }: Store, kind: string): Promise<number> {
  return (await db.select({ n: count() }).from(entries).where(eq(entries.kind, kind)))[0].n;
}

/** What pieces of the yard are of, beyond the entries that come at once: a piece is placed with its material. */
async function alsoOfYard(
  db: Store['db'],
  yard: readonly YardPiece[],
  known: readonly Material[],
): Promise<Material[]> {
  const ids = new Set(known.map((m) => m.id));
  const missing = [...new Set(yard.map((p) => p.material))].filter((id) => !ids.has(id));
  if (missing.length === 0) return [];
  const keys = JSON.stringify(missing.map((id) => `material/${id}`));
  const rows = await db
    .select({ value: entries.value })
    .from(entries)
    .where(sql`${entries.key} IN (SELECT value FROM json_each(${keys}))`)
    .orderBy(asc(entries.position));
  return rows.map((r) => r.value as Material);
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
  const { catalogue, yard, parted: _parted, recorded: _recorded, counts: _counts, ...self } = studio as Studio & Partial<Opened>; // prettier-ignore
  const kinds: [string, { id: string }[]][] = [
    ['material', catalogue.materials],
    ['plant', catalogue.plants],
    ['supplier', catalogue.suppliers],
    ['animal', catalogue.animals ?? []],
    ['yard', yard],
    ['studio', [{ id: 'self', ...self }]],
  ];
  const rows = kinds.flatMap(([kind, list]) =>
    list.map((value, position) => ({ key: `${kind}/${value.id}`, kind, position, value })),
  );
  // SQLite takes the list apart itself: a statement has no room for the values of thousands of rows.
  const put = sql`INSERT INTO entries (key, kind, position, value)
    SELECT value->>'key', value->>'kind', value->>'position', value->'value' FROM json_each(${JSON.stringify(rows)})`;
  await store.write((db) => db.batch([db.delete(entries), db.run(put)] as never));
}

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
 * Takes in entries of a list, JSON as they were read in a thread, all or nothing; SQLite takes it apart, so that the server's
 * own thread never holds thousands. What the list does not say of an entry stays. Returns how many were not there before.
 */
export async function takeEntries(store: Store, list: ListName, entriesJson: Text): Promise<number> {
  const kind = LISTS[list];
  const [before, place] = [await countOf(store, kind), await nextPlace(store, kind)];
  await store.write((db) =>
    db.run(
      sql`INSERT INTO entries (key, kind, position, value)
          SELECT ${`${kind}/`} || json_extract(value, '$.id'), ${kind}, ${place} + key, value FROM json_each(${entriesJson}) WHERE true
          ON CONFLICT (key) DO UPDATE SET value = json_patch(entries.value, excluded.value)
            WHERE entries.value IS NOT json_patch(entries.value, excluded.value)`,
    ),
  );
  return (await countOf(store, kind)) - before;
}

/** A list's entries as they are kept, as one JSON text: whoever passes it on takes nothing of it apart. */
export function entriesText(store: Store, list: ListName): Promise<Text> {
  return listText(store, list, sql`json(${entries.value})`);
}

/** Ids and names of a list's entries, pairs in one JSON text. */
export function namesText(store: Store, list: ListName): Promise<Text> {
  return listText(store, list, sql`json_array(${entries.value} ->> '$.id', ${entries.value} ->> '$.name')`);
}

async function listText({ db }: Store, list: ListName, of: SQL): Promise<Text> {
  const inOrder = db
    .select({ one: sql<string>`${of}`.as('one') })
    .from(entries)
    .where(eq(entries.kind, LISTS[list]))
    .orderBy(asc(entries.position))
    .as('in_order');
  const [row] = await db.select({ text: sql<Text>`json_group_array(json(one))` }).from(inOrder);
  return row.text;
}

/** What prices are written and read in: the currency, and suppliers by their names. */
export async function sellersOf({ db }: Store): Promise<Sellers> {
  const rows = await db
    .select({ value: entries.value })
    .from(entries)
    .where(inArray(entries.kind, [LISTS.suppliers, 'studio']));
  const all = rows.map((r) => r.value as Partial<Supplier> & Partial<Studio>);
  const { currency = EMPTY.currency } = all.find((v) => v.currency) ?? {};
  const suppliers = all.flatMap(({ id, name, currency: own }) => (own || !id || !name ? [] : [{ id, name }]));
  return { currency, suppliers };
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
