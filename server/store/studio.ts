import { and, asc, count, eq, inArray, isNull, ne, sql } from 'drizzle-orm';
import type { House } from '../../core/catalogue/house';
import { recordedOf, type Gave, type Recorded } from '../../core/catalogue/recorded';
import type { Studio, YardPiece } from '../../core/catalogue/studio';
import type { Animal, Material, Plant, Supplier } from '../../core/commission/schema';
import type { Sellers } from '../documents/materialsCsv';
import { AT_ONCE, LISTS, putEntry, type ListName } from './lists';
import { commissions, entries } from './schema';
import type { Store } from './store';

/** The kind of the row that has what the studio is called and works with. */
const HOUSE = 'studio';
const USUAL_CURRENCY = 'GBP';

const EMPTY: Studio = {
  name: '',
  currency: USUAL_CURRENCY,
  catalogue: { materials: [], plants: [], suppliers: [] },
  yard: [],
};

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
  const [self] = await of<Partial<Studio>>(HOUSE);
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
  await putEntry(store, HOUSE, { id: 'self', ...house });
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
    [HOUSE, [{ id: 'self', ...self }]],
  ];
  const rows = kinds.flatMap(([kind, list]) =>
    list.map((value, position) => ({ key: `${kind}/${value.id}`, kind, position, value })),
  );
  // SQLite takes the list apart itself: a statement has no room for the values of thousands of rows.
  const put = sql`INSERT INTO entries (key, kind, position, value)
    SELECT value->>'key', value->>'kind', value->>'position', value->'value' FROM json_each(${JSON.stringify(rows)})`;
  await store.write((db) => db.batch([db.delete(entries), db.run(put)] as never));
}

/** What prices are written and read in: the currency, and suppliers by their names. */
export async function sellersOf({ db }: Store): Promise<Sellers> {
  const rows = await db
    .select({ kind: entries.kind, value: entries.value })
    .from(entries)
    .where(inArray(entries.kind, [LISTS.suppliers, HOUSE]));
  const house = rows.find((r) => r.kind === HOUSE)?.value as Partial<House> | undefined;
  const suppliers = rows.filter((r) => r.kind === LISTS.suppliers).map((r) => r.value as Supplier);
  return { currency: house?.currency ?? USUAL_CURRENCY, suppliers: suppliers.map(({ id, name }) => ({ id, name })) }; // prettier-ignore
}
