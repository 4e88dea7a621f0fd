import { and, asc, count, eq, inArray, ne, sql, type SQL } from 'drizzle-orm';
import { idOfName } from '../../core/edits/ids';
import { touched } from './commissions';
import type { Text } from './largeText';
import { entries } from './schema';
import type { Store } from './store';

/* The lists of the studio's catalogue, an entry a row. */

/** A list of the studio's catalogue, by the kind of its rows. */
export const LISTS = {
  materials: 'material',
  plants: 'plant',
  suppliers: 'supplier',
  animals: 'animal',
  shelf: 'shelf',
} as const;
export type ListName = keyof typeof LISTS;

/** Entries of one list that go with the studio to whoever opens a commission; the others are asked for by name. */
export const AT_ONCE = 600;

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
export function likeWord(word: string): string {
  const plain = word.replace(/[\\%_]/g, (c) => `\\${c}`).replace(/[^\0-\x7f]/gu, '_'); // prettier-ignore
  return `%${plain}%`;
}

/** One entry of a list, by its id; undefined where there is none. */
export async function entryOf<T>({ db }: Store, list: ListName, id: string): Promise<T | undefined> {
  const key = `${LISTS[list]}/${id}`;
  const [row] = await db.select({ value: entries.value }).from(entries).where(eq(entries.key, key));
  return row?.value as T | undefined;
}

/** Whether another entry of a list has this name, letter case and blanks around it aside. */
export async function isNamed(
  { db }: Store,
  list: ListName,
  name: string,
  besides: string,
): Promise<boolean> {
  const rows = await db
    .select({ name: sql<string>`${entries.value} ->> '$.name'` })
    .from(entries)
    .where(and(eq(entries.kind, LISTS[list]), ne(entries.key, `${LISTS[list]}/${besides}`)));
  const plain = (text: string) => text.trim().toLocaleLowerCase('en');
  return rows.some((row) => plain(row.name) === plain(name));
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

/** One entry under its kind and id; what is as it was is no write. */
export async function putEntry(store: Store, kind: string, value: { id: string }): Promise<void> {
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

/** How many entries there are of a kind. */
export async function countOf({ db }: Store, kind: string): Promise<number> {
  return (await db.select({ n: count() }).from(entries).where(eq(entries.kind, kind)))[0].n;
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
