import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/sqlite-proxy/migrator';
import pLimit from 'p-limit';
import { ROOT } from '../root';
import { backUp, backUpDaily, backupsIn, type BackUp } from './backups';
import { connect, type Connection, type Database } from './connection';
import { claimFolder, closeToOthers, DATABASE, ownFile } from './folder';
import { outdated } from './replica/place';
import { forgetFollowed, openReplica, type Replica, type ReplicaState } from './replica/replica';
import { StoreTrouble } from './trouble';
import { removeUnfinished } from './unfinished';

export type { Database } from './connection';

/** The database of one studio. Reads go straight to `db`; every write goes through `write`. */
export interface Store {
  folder: string;
  /** Sees only what has been committed. */
  db: Database;
  /** Reads and writes in one, for a library that asks one database for everything; each write has its turn among the others. */
  both: Database;
  /** One write at a time; it is confirmed when another connection can see it. Throws a StoreTrouble. */
  write<T>(work: (db: Database) => Promise<T>): Promise<T>;
  /** Writes the file anew, so that nothing of what was deleted or replaced is left in it. */
  scrub(): Promise<void>;
  /** Runs work while no backup is made, one after the other. */
  alone<T>(work: () => Promise<T>): Promise<T>;
  /** Makes today's backup if there is none yet, and verifies it. */
  backUpDaily(how?: BackUp): Promise<string | undefined>;
  /** Makes one more where something was written since the last that this store made. */
  backUpChanges(how?: BackUp): Promise<string | undefined>;
  /** How the replica elsewhere does; undefined where there is none. */
  replica(): ReplicaState | undefined;
  /** Tells a second process that wants the folder where this one answers. */
  announce(url: string): Promise<void>;
  close(): Promise<void>;
}

const MIGRATIONS = join(ROOT, 'server', 'store', 'migrations');

/**
 * Opens (or makes) the database in a folder that no other process has, and brings it up to date. Refused with
 * a sentence that says what to do: a folder in use, a damaged file, one of a newer version. `replica` is a folder elsewhere to which
 * a copy follows every write.
 */
export async function openStore(folder: string, { replica }: { replica?: string } = {}): Promise<Store> {
  const claim = await claimFolder(folder);
  await removeUnfinished(folder);
  const file = join(folder, DATABASE);
  let connection: Connection | undefined;
  try {
    await ownFile(file);
    connection = connect(file);
    await checked(connection, folder);
    await broughtUpToDate(connection, folder);
    await closeToOthers(folder);
    if (!replica) await forgetFollowed(folder);
    return storeOf(folder, connection, claim, replica ? await openReplica(folder, replica) : undefined);
  } catch (error) {
    await connection?.close();
    await claim.release();
    throw error;
  }
}

/** Looks at the file before anything is written to it. */
async function checked(connection: Connection, folder: string): Promise<void> {
  let faults: string[];
  try {
    faults = await connection.check(false);
  } catch (error) {
    if (!(error instanceof StoreTrouble) || error.kind !== 'damaged') throw error;
    faults = [error.code];
  }
  if (faults.length === 0) return;
  const [last] = await backupsIn(folder);
  const offer = last
    ? `The last backup is of ${last.day}: "npm run restore -- ${last.file}" puts it in place and keeps what is there.`
    : 'There is no backup in this folder.';
  throw new Error(`The studio’s data in ${folder} is damaged (${faults[0]}). Nothing was changed. ${offer}`);
}

interface Journal {
  entries: { when: number; tag: string }[];
}

async function broughtUpToDate(connection: Connection, folder: string): Promise<void> {
  const { entries } = JSON.parse(readFileSync(join(MIGRATIONS, 'meta', '_journal.json'), 'utf8')) as Journal;
  const newest = entries[entries.length - 1];
  const at = await lastMigration(connection.reading);
  if (at > newest.when)
    throw new Error(
      `The studio’s data in ${folder} was made by a newer Utsuwa. Nothing was changed: bring this one up to date and start it again.`,
    );
  if (at === newest.when) return;
  const next = entries.find((e) => e.when > at)!;
  if (at > 0) await backUp(folder, new Date(), { before: next.tag });
  await migrate(
    connection.writing as Parameters<typeof migrate>[0],
    (statements) => connection.migrate(statements),
    { migrationsFolder: MIGRATIONS },
  );
}

/** When the newest migration of a database was made; 0 for an empty one. */
async function lastMigration(db: Database): Promise<number> {
  const has = await db.values(sql`SELECT 1 FROM sqlite_master WHERE name = '__drizzle_migrations'`);
  if (has.length === 0) return 0;
  const rows = await db.values<[number]>(
    sql`SELECT created_at FROM __drizzle_migrations ORDER BY created_at DESC LIMIT 1`,
  );
  return Number(rows[0]?.[0] ?? 0);
}

function storeOf(
  folder: string,
  connection: Connection,
  claim: Awaited<ReturnType<typeof claimFolder>>,
  replica: Replica | undefined,
): Store {
  const queue = pLimit(1);
  const apart = pLimit(1);
  let changed = false;
  const made = async (backup: Promise<string | undefined>) => {
    // From here on: what is written while it is made may be in it or not.
    const before = changed;
    changed = false;
    const file = await backup.catch((error: unknown) => {
      changed = true;
      throw error;
    });
    changed ||= before && file === undefined;
    return file;
  };
  return {
    folder,
    db: connection.reading,
    both: connection.both((work) => queue(() => ((changed = true), work()))),
    write: (work) =>
      queue(async () => {
        const result = await work(connection.writing);
        changed ||= hasChanged(result);
        return result;
      }),
    scrub: () =>
      queue(async () => {
        // What was deleted must not come back with a replica either, be it followed just now or not.
        await outdated(folder);
        await (replica ? replica.without(() => connection.scrub()) : connection.scrub());
      }),
    replica: () => replica?.state(),
    alone: (work) => apart(work),
    backUpDaily: (how) => apart(() => made(backUpDaily(folder, new Date(), how))),
    backUpChanges: (how) => apart(async () => (changed ? made(backUp(folder, new Date(), how)) : undefined)),
    announce: (url) => claim.announce(url),
    close: async () => {
      await apart(() => {});
      await queue(() => {});
      await connection.close();
      await replica?.stop();
      await removeUnfinished(folder);
      await claim.release();
    },
  };
}

/** Whether a write has touched anything, as far as it tells. */
function hasChanged(result: unknown): boolean {
  const all = (Array.isArray(result) ? result : [result]) as ({ rowsAffected?: number } | undefined)[];
  return all.some((one) => one?.rowsAffected !== 0);
}
