import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import { transfer, wrap, type Remote } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { drizzle, type SqliteRemoteDatabase } from 'drizzle-orm/sqlite-proxy';
import { buffersIn } from './largeText';
import { threadFile } from '../root';
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
  /** Both in one, for a library that asks one database for everything: what writes goes through `inTurn`. */
  both(inTurn: <T>(work: () => Promise<T>) => Promise<T>): Database;
  migrate(statements: string[]): Promise<void>;
  scrub(): Promise<void>;
  /** Brings what the log has into the file, and cuts the log. */
  checkpoint(): Promise<void>;
  check(thorough: boolean): Promise<string[]>;
  copyTo(file: string): Promise<void>;
  close(): Promise<void>;
}

export function connect(file: string, { readOnly = false } = {}): Connection {
  const data = { url: pathToFileURL(file).href, readOnly };
  let live = spawn(data);
  const ask = async <T>(question: (thread: Remote<StoreThread>) => Promise<Answer<T>>): Promise<T> => {
    // A thread that ended by itself, out of memory, is replaced; what it was asked has failed.
    if (live.ended) live = spawn(data);
    const said = await live.unlessLost(question(live.thread));
    if (!said.ok) throw troubleOf(said.code, said.message);
    return said.value;
  };
  type Asked = (sql: string, params: unknown[], method: Statement['method']) => Promise<Rows>;
  const read: Asked = (sql, params, method) => ask((thread) => thread.read({ sql, params, method }));
  const write: Asked = async (sql, params, method) => (await writeAll([{ sql, params, method }]))[0];
  const writeAll = (statements: { sql: string; params: unknown[]; method: Statement['method'] }[]) =>
    ask((thread) => thread.write(transfer(statements, buffersIn(statements))));
  const over = (one: Asked) =>
    drizzle(one as Parameters<typeof drizzle>[0], writeAll as Parameters<typeof drizzle>[1] & object, {
      schema,
    }) as unknown as Database;
  return {
    reading: over(read),
    writing: over(write),
    both: (inTurn) => over((sql, params, method) => (/^\s*select\b/i.test(sql) ? read(sql, params, method) : inTurn(() => write(sql, params, method)))), // prettier-ignore
    migrate: (statements) => ask((thread) => thread.migrate(statements)),
    scrub: () => ask((thread) => thread.scrub()),
    checkpoint: () => ask((thread) => thread.checkpoint()),
    check: (thorough) => ask((thread) => thread.check(thorough)),
    copyTo: (to) => ask((thread) => thread.copyTo(to)),
    close: async () => {
      await live.unlessLost(live.thread.close()).catch(() => {});
      await live.worker.terminate();
    },
  };
}

interface Live {
  worker: Worker;
  thread: Remote<StoreThread>;
  /** An answer of the thread; rejects with a StoreTrouble when the thread ends before it comes. */
  unlessLost<T>(answer: Promise<T>): Promise<T>;
  ended: boolean;
}

function spawn(data: { url: string; readOnly: boolean }): Live {
  const worker = new Worker(threadFile('server/store/thread'), { workerData: data });
  const thread = wrap<StoreThread>(nodeEndpoint(worker));
  // One entry a question that waits. A race of each answer against one promise of the end would keep every answer until then.
  const waiting = new Set<(error: Error) => void>();
  const live: Live = {
    worker,
    thread,
    ended: false,
    unlessLost: (answer) =>
      new Promise((resolve, reject) => {
        if (live.ended) return reject(troubleOf('THREAD'));
        waiting.add(reject);
        answer.then(resolve, reject).finally(() => waiting.delete(reject));
      }),
  };
  const end = (error?: Error) => {
    live.ended = true;
    for (const reject of waiting) reject(troubleOf('THREAD', error?.message));
    waiting.clear();
  };
  worker.once('error', end);
  worker.once('exit', () => end());
  return live;
}
