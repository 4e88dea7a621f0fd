import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import { wrap, type Remote } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { drizzle, type SqliteRemoteDatabase } from 'drizzle-orm/sqlite-proxy';
import * as schema from './schema';
import type { Answer, Rows, Statement, StoreThread } from './thread';
import { troubleOf } from './trouble';

/** Drizzle over the database's thread. What runs on it tells how many rows it touched. */
export type Database = SqliteRemoteDatabase<typeof schema>;

/** One database file, worked on in a thread of its own. Every call may throw a StoreTrouble. */
export interface Connection {
  /** Sees what has been committed, and nothing else. */
  reading: Database;
  /** Every query is a transaction; several go as one through `batch`. */
  writing: Database;
  migrate(statements: string[]): Promise<void>;
  scrub(): Promise<void>;
  check(thorough: boolean): Promise<string[]>;
  copyTo(file: string): Promise<void>;
  close(): Promise<void>;
}

export function connect(file: string, { readOnly = false } = {}): Connection {
  const worker = new Worker(new URL('./thread.mjs', import.meta.url), {
    workerData: { url: pathToFileURL(file).href, readOnly },
  });
  const thread: Remote<StoreThread> = wrap<StoreThread>(nodeEndpoint(worker));
  const lost = new Promise<never>((_, reject) => {
    worker.once('error', (error) => reject(troubleOf('THREAD', error.message)));
    worker.once('exit', () => reject(troubleOf('THREAD')));
  });
  lost.catch(() => {});
  const ask = async <T>(answer: Promise<Answer<T>>): Promise<T> => {
    const said = await Promise.race([answer, lost]);
    if (!said.ok) throw troubleOf(said.code, said.message);
    return said.value;
  };
  type Asked = (sql: string, params: unknown[], method: Statement['method']) => Promise<Rows>;
  const read: Asked = (sql, params, method) => ask(thread.read({ sql, params, method }));
  const write: Asked = async (sql, params, method) => (await ask(thread.write([{ sql, params, method }])))[0];
  const writeAll = (statements: { sql: string; params: unknown[]; method: Statement['method'] }[]) =>
    ask(thread.write(statements));
  const over = (one: Asked) =>
    drizzle(one as Parameters<typeof drizzle>[0], writeAll as Parameters<typeof drizzle>[1] & object, {
      schema,
    }) as unknown as Database;
  return {
    reading: over(read),
    writing: over(write),
    migrate: (statements) => ask(thread.migrate(statements)),
    scrub: () => ask(thread.scrub()),
    check: (thorough) => ask(thread.check(thorough)),
    copyTo: (to) => ask(thread.copyTo(to)),
    close: async () => {
      await Promise.race([thread.close(), lost.catch(() => {})]);
      await worker.terminate();
    },
  };
}
