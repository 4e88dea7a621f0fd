import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Express } from 'express';
import type { Response } from 'supertest';
import { openDoor, type Door } from './people/door';
import { createApp, type AppParts } from './app';
import type { Dispatch } from './dispatch';
import type { Glances } from './glances';
import { openJobs, type Jobs, type Pool } from './jobs/jobs';
import { openPictures, type Pictures } from './pictures/pictures';
import { SimulatedSuppliers, type Behaviour } from './stand-ins/supplier';
import { openStore, type Store } from './store/store';

export interface TestServer {
  app: Express;
  store: Store;
  jobs: Jobs;
  /** Where its database is. */
  folder: string;
  dispatch: Dispatch;
  glances: Glances;
  door: Door;
  close(): Promise<void>;
}

export const PROMPT: Behaviour = { latencyMs: [0, 1], lostEvery: 0, stock: {}, refusing: {} };

/** Threads take a second or two to begin: every server of one test process uses the same. */
let shared: Pool | undefined;
const sharedPool = (): Pool => (shared ??= openJobs());
let pictures: Pictures | undefined;

/** A server with an empty database in a folder of its own, or on one that is there; suppliers answer at once. */
export async function testServer(there?: string): Promise<TestServer> {
  const folder = there ?? (await mkdtemp(join(tmpdir(), 'utsuwa-')));
  const store = await openStore(folder);
  const pool = sharedPool();
  const door = await openDoor(store);
  const supplied = suppliedBy(store, {}, { door });
  return {
    ...supplied,
    door,
    store,
    jobs: pool.in(folder),
    folder,
    close: async () => {
      await supplied.dispatch.settled();
      await supplied.glances.settled();
      await store.close();
      await rm(folder, { recursive: true, force: true });
    },
  };
}

/** A server over a database that is open already, whose suppliers behave like this. */
export function suppliedBy(
  store: Store,
  behaviour: Partial<Behaviour>,
  more: Pick<AppParts, 'door'> & Partial<AppParts>,
): { app: Express; dispatch: Dispatch; glances: Glances } {
  const suppliers = new SimulatedSuppliers({ ...PROMPT, ...behaviour });
  pictures ??= openPictures();
  return createApp({ store, pool: sharedPool(), pictures, suppliers, ...more });
}

/** Takes a body as bytes, whatever it says it is: for `request(…).buffer(true).parse(…)`. */
export function wholeBody(res: Response, done: (error: Error | null, body: Buffer) => void): void {
  const parts: Buffer[] = [];
  // A parser is given the answer as it comes in, whatever its type says.
  const incoming = res as unknown as NodeJS.ReadableStream;
  incoming.on('data', (part: Buffer) => parts.push(part));
  incoming.on('end', () => done(null, Buffer.concat(parts)));
}
