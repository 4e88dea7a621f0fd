import { and, asc, count, eq, isNull, sql } from 'drizzle-orm';
import type { Day } from '../../core/calendar/day';
import type { Listed, PriceToday } from '../../core/catalogue/listed';
import type { KeptList, ListShape } from '../../core/catalogue/priceList';
import type { Text } from './largeText';
import { likeWord, LISTS, putEntry } from './lists';
import { entries, offers } from './schema';
import type { Store } from './store';

/* Suppliers' price lists, an article a row: tens of thousands, which no page and no document ever holds. */

/** The kind of the rows that have how a supplier's list is read. */
const SHAPE = 'list-shape';

export async function shapeOf({ db }: Store, supplier: string): Promise<KeptList | undefined> {
  const [row] = await db
    .select({ value: entries.value })
    .from(entries)
    .where(eq(entries.key, `${SHAPE}/${supplier}`));
  return row?.value as KeptList | undefined;
}

/** Every supplier's list as it was taken last. */
export async function shapes({ db }: Store): Promise<KeptList[]> {
  const rows = await db.select({ value: entries.value }).from(entries).where(eq(entries.kind, SHAPE));
  return rows.map((r) => r.value as KeptList);
}

/** A supplier's list as it stands, lines without what is gone, as one JSON text. */
export async function offersText({ db }: Store, supplier: string): Promise<Text> {
  const one = sql<string>`json_object('article', ${offers.article}, 'name', ${offers.name}, 'size', ${offers.size}, 'unit', ${offers.unit}, 'priceMinor', ${offers.priceMinor}, 'leadDays', ${offers.leadDays})`;
  const listed = db
    .select({ one: one.as('one') })
    .from(offers)
    .where(and(eq(offers.supplier, supplier), isNull(offers.goneOn)))
    .orderBy(asc(offers.article))
    .as('listed');
  const [row] = await db.select({ text: sql<Text>`json_group_array(json(one))` }).from(listed);
  return row.text;
}

/** Articles of a supplier that the studio's catalogue is bought by, as one JSON text. */
export async function usedText({ db }: Store, supplier: string): Promise<Text> {
  const [[text]] = await db.values<[string]>(
    sql`SELECT json_group_array(DISTINCT p.value ->> '$.id') AS text FROM ${entries}, json_each(${entries.value}, '$.packs') p
        WHERE ${inCatalogue} AND p.value ->> '$.supplier' = ${supplier}`,
  );
  return text;
}
const inCatalogue = sql`${entries.kind} IN (${LISTS.materials}, ${LISTS.plants})`;

/** A list as it was read in a thread: lines and the articles of those that could not be read, JSON each. */
export interface ReadPrices {
  lines: Text;
  unread: Text;
  count: number;
}

/**
 * Takes a supplier's list: what is on it has its price, what is missing is gone from that day on, and packs of the
 * catalogue that are bought by an article of it cost what it says, where both are of one size. All of it or nothing.
 * Returns how many entries of the catalogue have another price.
 */
export async function takeOffers(
  store: Store,
  supplier: string,
  { lines, unread, count }: ReadPrices,
  shape: ListShape,
  day: Day,
): Promise<number> {
  const articles = sql`SELECT value ->> '$.article' FROM json_each(${lines}) UNION ALL SELECT value FROM json_each(${unread})`;
  const leave = sql`UPDATE offers SET gone_on = ${day} WHERE supplier = ${supplier} AND gone_on IS NULL AND article NOT IN (${articles})`;
  const put = sql`INSERT INTO offers (supplier, article, name, size, unit, price_minor, lead_days, searched, listed_on)
    SELECT ${supplier}, value ->> '$.article', value ->> '$.name', value ->> '$.size', value ->> '$.unit', value ->> '$.priceMinor',
      value ->> '$.leadDays', value ->> '$.searched', ${day} FROM json_each(${lines}) WHERE true
    ON CONFLICT DO UPDATE SET name = excluded.name, size = excluded.size, unit = excluded.unit, price_minor = excluded.price_minor,
      lead_days = excluded.lead_days, searched = excluded.searched, listed_on = excluded.listed_on, gone_on = NULL
      WHERE (offers.name, offers.size, offers.unit, offers.price_minor, offers.lead_days, offers.listed_on, offers.gone_on)
        IS NOT (excluded.name, excluded.size, excluded.unit, excluded.price_minor, excluded.lead_days, excluded.listed_on, NULL)`;
  const fits = sql`o.supplier = p.value ->> '$.supplier' AND o.article = p.value ->> '$.id' AND o.gone_on IS NULL
    AND (o.size IS NULL OR (o.size = p.value ->> '$.size' AND o.unit = p.value ->> '$.unit'))`;
  const differs = sql`EXISTS (SELECT 1 FROM json_each(entries.value, '$.packs') p JOIN offers o ON ${fits} WHERE o.supplier = ${supplier} AND o.price_minor <> p.value ->> '$.priceMinor')`;
  const reprice = sql`UPDATE entries SET value = json_set(value, '$.packs', (
      SELECT json_group_array(CASE WHEN o.article IS NULL THEN json(p.value) ELSE json_set(p.value, '$.priceMinor', o.price_minor) END)
      FROM json_each(entries.value, '$.packs') p LEFT JOIN offers o ON ${fits}
    )) WHERE ${inCatalogue} AND ${differs}`;
  const counting = sql<number>`SELECT count(*) AS n FROM entries WHERE ${inCatalogue} AND ${differs}`;
  const [, , [[n]]] = (await store.write((db) =>
    db.batch([db.run(leave), db.run(put), db.values(counting), db.run(reprice)] as never),
  )) as unknown as [unknown, unknown, [[number]]];
  const kept: KeptList = { ...shape, id: supplier, listedOn: day, lines: count };
  await putEntry(store, SHAPE, kept);
  return n;
}

/** What a supplier's list had goes with the supplier. */
export async function dropOffers(store: Store, supplier: string): Promise<void> {
  await store.write((db) => db.batch([
    db.delete(offers).where(eq(offers.supplier, supplier)),
    db.delete(entries).where(eq(entries.key, `${SHAPE}/${supplier}`)),
  ] as never)); // prettier-ignore
}

/** Lines of every list by words of name and article, cheapest first; how many there are. */
export async function searchOffers(
  { db }: Store,
  { q, supplier, limit }: { q: string; supplier?: string; limit: number },
): Promise<{ offers: Listed[]; total: number }> {
  const wanted = q.toLocaleLowerCase('en').split(' ').filter(Boolean).map(likeWord);
  const which = and(
    isNull(offers.goneOn),
    supplier === undefined ? undefined : eq(offers.supplier, supplier),
    ...wanted.map((word) => sql`${offers.searched} LIKE ${word} ESCAPE '\\'`),
  );
  const { supplier: from, article, name, size, unit, priceMinor, leadDays, listedOn } = offers;
  const [rows, [{ total }]] = await Promise.all([
    db
      .select({ supplier: from, article, name, size, unit, priceMinor, leadDays, listedOn })
      .from(offers)
      .where(which)
      .orderBy(asc(priceMinor), asc(name))
      .limit(limit),
    db.select({ total: count() }).from(offers).where(which),
  ]);
  return { offers: rows as Listed[], total };
}

/**
 * What packs cost today, by who sells them and its article: by the price list, else by the studio's catalogue. What
 * neither knows is left out.
 */
export async function pricesToday(
  { db }: Store,
  asked: readonly { supplier: string; article: string }[],
): Promise<PriceToday[]> {
  const wanted = sql`json_each(${JSON.stringify(asked)}) a`;
  const rows = await db.values<unknown[]>(
    sql`SELECT o.supplier, o.article, o.price_minor AS priceMinor, o.size, o.unit, o.listed_on AS listedOn, o.gone_on AS goneOn
          FROM ${wanted} JOIN offers o ON o.supplier = a.value ->> '$.supplier' AND o.article = a.value ->> '$.article'
        UNION ALL
        SELECT p.value ->> '$.supplier', p.value ->> '$.id', p.value ->> '$.priceMinor', p.value ->> '$.size', p.value ->> '$.unit', NULL, NULL
          FROM entries, json_each(entries.value, '$.packs') p, ${wanted}
          WHERE ${inCatalogue} AND p.value ->> '$.supplier' = a.value ->> '$.supplier' AND p.value ->> '$.id' = a.value ->> '$.article'
            AND NOT EXISTS (SELECT 1 FROM offers o WHERE o.supplier = a.value ->> '$.supplier' AND o.article = a.value ->> '$.article')`,
  );
  const names = ['supplier', 'article', 'priceMinor', 'size', 'unit', 'listedOn', 'goneOn'];
  return rows.map((row) => Object.fromEntries(names.map((name, i) => [name, row[i]])) as unknown as PriceToday); // prettier-ignore
}
