import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { join } from 'node:path';
import { createApp } from './app';
import { dataFolder } from './dataFolder';
import { dropOldEdits } from './history/history';
import { openJobs } from './jobs/jobs';
import { limitedServer } from './limits';
import { openDoor } from './people/door';
import { dropEnded, hasPeople } from './people/people';
import { openPictures } from './pictures/pictures';
import { reachedAs, type Reached } from './reached';
import { ROOT } from './root';
import { SimulatedSuppliers } from './stand-ins/supplier';
import { clockIn } from './store/clock';
import { purgeRemoved } from './store/commissions';
import { dropUnwantedMeshes } from './store/meshCare';
import { releaseInterrupted } from './store/orders';
import { openStore, type Store } from './store/store';

/*
 * Starts the server. UTSUWA_DATA is the folder of the studio's data, PORT and HOST where it listens.
 */

const PORTS_TRIED = 20;
/** How often backups and what was removed are looked after: hourly, so that a day is not missed. */
const CARE_MS = 3_600_000;
/** How often what was written is backed up besides, ms. */
const SOON_MS = 600_000;

async function main(): Promise<void> {
  const reached = await reachedAs(process.env);
  const folder = dataFolder();
  // Its threads begin while the database is opened: they are wanted with the first save.
  const pool = openJobs();
  const store = await openStore(folder, { replica: process.env.UTSUWA_REPLICA });
  await releaseInterrupted(store);
  // A server that runs for months keeps its promises too. What fails is said and tried again the next time.
  let caring = Promise.resolve();
  const care = () => void (caring = caring.then(() => lookAfter(store)));
  setInterval(care, CARE_MS).unref();
  // The first day's work: what was opened with was empty, or of the day before.
  setInterval(() => void backedUp(store), SOON_MS).unref();
  await onlyBehindADoor(store, reached);
  const door = await openDoor(store, { isSecure: reached.isSecure });
  const web = join(ROOT, 'dist', 'web');
  const pictures = openPictures();
  const { app, dispatch, live } = createApp({
    store,
    pool,
    pictures,
    suppliers: new SimulatedSuppliers(),
    door,
    ...reached,
    web,
    care,
  });
  const server = limitedServer(app, reached.tls);
  const port = await listen(server, reached.host, portAsked());

  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    live.end();
    server.close();
    server.closeAllConnections();
    await dispatch.settled();
    pictures.close();
    await pool.close();
    await caring;
    await backedUp(store);
    await store.close();
    process.exit(0);
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
  const url = reached.url ?? `${reached.tls ? 'https' : 'http'}://${reached.host}:${port}/`;
  await store.announce(url);
  // Said last: whoever reads it may already stop the server again.
  console.log(`Utsuwa is ready: ${url}`);
  care();
}

/** Nobody listens to other machines without a password. */
async function onlyBehindADoor(store: Store, { isBeyond }: Reached): Promise<void> {
  if (!isBeyond || (await hasPeople(store))) return;
  await store.close();
  throw new Error(
    'HOST: Utsuwa answers other machines only once there is an account: "npm run owner" makes the first one, here on the machine.',
  );
}

/** Deletes what was removed long enough ago, and makes the day's backup; where the clock is in doubt, only that. */
async function lookAfter(store: Store): Promise<void> {
  try {
    const leap = await clockIn(store.folder).look();
    if (leap) {
      console.error(
        `This machine’s clock says ${leap.now.slice(0, 10)}; Utsuwa last ran on ${leap.seen.slice(0, 10)}. Nothing is deleted until somebody says in Utsuwa that it is right.`,
      );
      return void (await store.backUpDaily({ keepAll: true }));
    }
    await purgeRemoved(store);
    await dropEnded(store);
    await dropOldEdits(store);
    await store.backUpDaily();
    await dropUnwantedMeshes(store);
  } catch (error) {
    console.error(`The day’s backup was not made: ${error instanceof Error ? error.message : 'unknown'}`);
  }
}

/** One more backup where anything was written since the last. */
async function backedUp(store: Store): Promise<void> {
  try {
    await store.backUpChanges({ keepAll: (await clockIn(store.folder).look()) !== undefined });
  } catch (error) {
    console.error(`A backup was not made: ${error instanceof Error ? error.message : 'unknown'}`);
  }
}

function portAsked(): number {
  const text = process.env.PORT ?? '4680';
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`PORT: is "${text}", must be a whole number from 0 to 65535`);
  return port;
}

/** Listens on the port, or on the next free one after it. */
async function listen(server: Server, host: string, first: number): Promise<number> {
  for (let port = first; port < first + PORTS_TRIED; port++) {
    try {
      await new Promise<void>((resolve, reject) => {
        server.once('error', reject);
        server.listen(port, host, () => {
          server.off('error', reject);
          resolve();
        });
      });
      return (server.address() as AddressInfo).port;
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
    }
  }
  throw new Error(`PORT: ${first} to ${first + PORTS_TRIED - 1} are all taken; set PORT to a free one.`);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
