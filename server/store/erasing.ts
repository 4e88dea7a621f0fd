import { readdir, rm } from 'node:fs/promises';
import { join, relative } from 'node:path';
import { inArray, or, sql } from 'drizzle-orm';
import { clientKey } from '../../core/commission/withoutPerson';
import { backupsIn } from './backups';
import type { Kept } from './columns';
import { connect, type Connection, type Database } from './connection';
import { DATABASE } from './folder';
import type { Text } from './largeText';
import { commissions } from './schema';
import { StoreTrouble } from './trouble';

/*
 * Erasing a client from databases that lie beside the living one: backups, and what a restored backup took the place of.
 * Each is gone through by itself: it may know the client of commissions that the living one has never had.
 */

/** What is left of a stored document without its client. */
export type Strip = (id: string, text: Text) => Promise<Kept>;

/** A database of which something could not be erased, by its file within the folder, and why. */
export interface Uncleaned {
  file: string;
  says: string;
}

/** Databases of a folder other than the living one. */
export async function databasesBeside(folder: string): Promise<string[]> {
  const replaced = join(folder, 'replaced');
  const asides = await readdir(replaced).catch(() => []);
  return [...(await backupsIn(folder)).map((b) => b.file), ...asides.map((name) => join(replaced, name, DATABASE))]; // prettier-ignore
}

/** Commissions of a client in a database: by the name, however it is written, and by the ids that are known to be theirs. */
export async function idsOf(db: Database, client: string, known: readonly string[] = []): Promise<string[]> {
  const key = clientKey(client);
  const named = await db.select({ client: commissions.client }).from(commissions).groupBy(commissions.client);
  const spelt = named.map((row) => row.client).filter((name) => clientKey(name) === key);
  const wanted = [
    ...(spelt.length > 0 ? [inArray(commissions.client, spelt)] : []),
    ...(known.length > 0 ? [inArray(commissions.id, [...known])] : []),
  ];
  if (wanted.length === 0) return [];
  const rows = await db
    .select({ id: commissions.id })
    .from(commissions)
    .where(or(...wanted));
  return rows.map((row) => row.id);
}

/** Erases a client from every database beside the living one; what could not be opened or written is told. */
export async function eraseBeside(folder: string, client: string, known: readonly string[], strip: Strip) {
  const failed: Uncleaned[] = [];
  for (const file of await databasesBeside(folder)) {
    const db = connect(file);
    try {
      const ids = await idsOf(db.reading, client, known);
      for (const id of ids) await eraseRow(db, id, strip);
      // What was replaced may have a log of its own with what was confirmed last: it goes into the file, then away.
      await db.scrub();
      await db.close();
      for (const rest of ['-wal', '-shm']) await rm(`${file}${rest}`, { force: true });
    } catch (error) {
      const says = error instanceof StoreTrouble ? error.says : 'It could not be opened.';
      failed.push({ file: relative(folder, file), says });
      await db.close();
    }
  }
  return failed;
}

/** The columns of a table as a database has them: one of an earlier version has fewer. */
async function columnsIn(db: Database, table: string): Promise<Set<string>> {
  const rows = await db.values<[string]>(sql`SELECT name FROM pragma_table_info(${table})`);
  return new Set(rows.map(([name]) => name));
}

async function eraseRow({ reading, writing }: Connection, id: string, strip: Strip): Promise<void> {
  const columns = await columnsIn(reading, 'commissions');
  const [row] = await reading.values<[Text]>(sql`SELECT document FROM commissions WHERE id = ${id}`);
  if (!row) return;
  const kept = await strip(id, row[0]);
  const now = new Date().toISOString();
  const set: Record<string, unknown> = {
    title: kept.title,
    client: kept.client,
    place: kept.place,
    searched: kept.searched,
    document: kept.document,
    yard: JSON.stringify(kept.yard),
    lessons: JSON.stringify(kept.lessons),
    updated_at: now,
    removed_at: now,
    erased_at: now,
  };
  const there = Object.entries(set).filter(([name]) => columns.has(name));
  const fields = sql.join(there.map(([name, value]) => sql`${sql.identifier(name)} = ${value}`), sql`, `); // prettier-ignore
  await writing.run(sql`UPDATE commissions SET ${fields} WHERE id = ${id}`);
  for (const table of ['orders', 'pictures', 'glances', 'links', 'edits']) if ((await columnsIn(reading, table)).size > 0) await eraseOf(writing, table, id); // prettier-ignore
}

/** What belongs to a commission: pictures and what was worked out go; what a supplier wrote back in words may name the place it was for. */
async function eraseOf(db: Database, table: string, id: string): Promise<void> {
  if (table !== 'orders') await db.run(sql`DELETE FROM ${sql.identifier(table)} WHERE commission_id = ${id}`);
  else await db.run(sql`UPDATE orders SET reason = NULL WHERE commission_id = ${id}`);
}
