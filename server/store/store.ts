import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import pLimit from 'p-limit';
import * as schema from './schema';

export type Database = LibSQLDatabase<typeof schema>;

/** The database of one studio. Reads go straight to `db`; every write goes through `write`. */
export interface Store {
  db: Database;
  /** One write at a time: concurrent transactions on one file are refused by SQLite. */
  write<T>(work: (db: Database) => Promise<T>): Promise<T>;
  /** Writes the file anew, so that nothing of what was deleted or replaced is left in it. */
  scrub(): Promise<void>;
  close(): Promise<void>;
}

const MIGRATIONS = fileURLToPath(new URL('./migrations', import.meta.url));

/** Opens (or makes) the database in a folder and brings it up to date. */
export async function openStore(folder: string): Promise<Store> {
  await mkdir(folder, { recursive: true });
  const client = createClient({ url: pathToFileURL(join(folder, 'utsuwa.db')).href });
  // Write-ahead log: readers are not held up, and a killed process leaves every confirmed save readable.
  await client.execute('PRAGMA journal_mode = WAL');
  await client.execute('PRAGMA foreign_keys = ON');
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder: MIGRATIONS });
  return storeOf(client, db);
}

function storeOf(client: Client, db: Database): Store {
  const queue = pLimit(1);
  return {
    db,
    write: (work) => queue(() => work(db)),
    scrub: () =>
      queue(async () => {
        // SQLite keeps freed pages, and the log earlier ones, with what stood in them.
        await client.execute('VACUUM');
        await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
      }),
    close: async () => {
      await queue(() => {});
      client.close();
    },
  };
}
