import { parentPort, workerData } from 'node:worker_threads';
import { createClient, type Client, type InValue, type ResultSet } from '@libsql/client/sqlite3';
import { expose, transfer } from 'comlink';
import { buffersIn, isLargeText, packed, unpacked } from './largeText';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';

/*
 * The database's own thread. SQLite works while its caller waits; here nobody waits but this thread, so that
 * a long write or a rewriting of the file never keeps the server from answering.
 */

/** One query with its values, as Drizzle hands it over; `get` wants one row. */
export interface Statement {
  sql: string;
  params: unknown[];
  method: 'run' | 'all' | 'values' | 'get';
}
export interface Rows {
  rows: unknown[];
  rowsAffected: number;
}
/** Errors do not cross threads whole: what is known of one goes as plain data. */
export type Answer<T> = { ok: true; value: T } | { ok: false; code: string; message: string };

/** How long a write or read waits for another process that holds the file, ms. */
const BUSY_MS = Number(process.env.UTSUWA_BUSY_MS ?? 5_000);

const { url, readOnly } = workerData as { url: string; readOnly?: boolean };

/** One connection, opened anew with its settings whenever it may be in doubt. */
class Connection {
  private client: Client | undefined;

  constructor(private readonly forReading: boolean) {}

  async open(): Promise<Client> {
    if (this.client) return this.client;
    const client = createClient({ url, concurrency: 1 });
    await client.execute(`PRAGMA busy_timeout = ${BUSY_MS}`);
    await client.execute('PRAGMA foreign_keys = ON');
    if (!this.forReading) {
      // Write-ahead log: readers are not held up. FULL: a confirmed save is on the disk, not on its way there.
      await client.execute('PRAGMA journal_mode = WAL');
      await client.execute('PRAGMA synchronous = FULL');
    } else await client.execute('PRAGMA query_only = ON');
    this.client = client;
    return client;
  }

  /**
   * After a failure the connection may be left inside a transaction that nothing ends: later writes would be
   * answered, be seen here, and never be committed. So it is thrown away.
   */
  drop(): void {
    this.client?.close();
    this.client = undefined;
  }
}

const writer = new Connection(readOnly === true);
const reader = new Connection(true);

async function attempt<T>(connection: Connection, work: (client: Client) => Promise<T>): Promise<Answer<T>> {
  try {
    return { ok: true, value: await work(await connection.open()) };
  } catch (error) {
    connection.drop();
    const { code = 'UNKNOWN', message } = error as { code?: string; message: string };
    return { ok: false, code, message };
  }
}

/** Long texts go out as bytes and come in as bytes; SQLite keeps them as text. */
function out(value: unknown): unknown {
  return typeof value === 'string' ? packed(value) : value;
}
function into(params: unknown[]): InValue[] {
  return params.map((value) => (isLargeText(value) ? unpacked(value) : value)) as InValue[];
}
function rowsOf(result: ResultSet, method: Statement['method']): Rows {
  const rows = result.rows.map((row) => result.columns.map((_, i) => out(row[i])));
  return { rows: method === 'get' ? (rows[0] as unknown[]) : rows, rowsAffected: result.rowsAffected };
}

/** Changes whenever another connection has committed something. */
async function committedSoFar(client: Client): Promise<number> {
  return Number((await client.execute('PRAGMA data_version')).rows[0][0]);
}

async function pragma(client: Client, sql: string): Promise<string[]> {
  return (await client.execute(sql)).rows.map((row) => String(row[0]));
}

const thread = {
  read: async ({ sql, params, method }: Statement) => {
    const answer = await attempt(reader, async (client) =>
      rowsOf(await client.execute({ sql, args: into(params) }), method),
    );
    return transfer(answer, answer.ok ? buffersIn(answer.value) : []);
  },

  /** All or nothing. It counts as done when the other connection sees that something was committed. */
  write: (statements: Statement[]) =>
    attempt(writer, async (client) => {
      const watching = await reader.open();
      const before = await committedSoFar(watching);
      const results = await client.batch(
        statements.map(({ sql, params }) => ({ sql, args: into(params) })),
        'write',
      );
      const changed = results.some((r) => r.rowsAffected > 0);
      if (changed && (await committedSoFar(watching)) === before)
        throw Object.assign(new Error('the write was answered but not committed'), { code: 'NOT_COMMITTED' });
      return results.map((result, i) => rowsOf(result, statements[i].method));
    }),

  /** Statements of a migration, in one transaction, with foreign keys off as SQLite asks for it. */
  migrate: (statements: string[]) =>
    attempt(writer, async (client) => {
      await client.migrate(statements);
    }),

  /** Writes the file anew: SQLite keeps freed pages, and the log earlier ones, with what stood in them. */
  scrub: () =>
    attempt(writer, async (client) => {
      // A second connection that is open would keep the log from being cut.
      reader.drop();
      await client.execute('VACUUM');
      await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
    }),

  checkpoint: () =>
    attempt(writer, async (client) => {
      reader.drop();
      await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
    }),

  /** What SQLite finds wrong with the file; nothing when it is whole. */
  check: (thorough: boolean) =>
    attempt(reader, async (client) => {
      const said = await pragma(client, thorough ? 'PRAGMA integrity_check' : 'PRAGMA quick_check');
      return said.filter((line) => line !== 'ok');
    }),

  /** A copy as it is at this moment, while others go on writing. The file must be empty or not there yet. */
  copyTo: (file: string) =>
    attempt(reader, async (client) => {
      await client.execute('PRAGMA query_only = OFF');
      try {
        await client.execute({ sql: 'VACUUM INTO ?', args: [file] });
      } finally {
        await client.execute('PRAGMA query_only = ON');
      }
    }),

  close: () => {
    reader.drop();
    writer.drop();
  },
};

export type StoreThread = typeof thread;
expose(thread, nodeEndpoint(parentPort!));
