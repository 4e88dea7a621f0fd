import type { AddressInfo } from 'node:net';
import { createServer, type Server } from 'node:http';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from './app';
import { SimulatedSuppliers } from './stand-ins/supplier';
import { purgeRemoved } from './store/commissions';
import { releaseInterrupted } from './store/orders';
import { openStore } from './store/store';

/*
 * Starts the server. UTSUWA_DATA is the folder of the studio's data, PORT and HOST where it listens.
 */

const PORTS_TRIED = 20;
const LOOPBACK = ['127.0.0.1', 'localhost', '::1'];

async function main(): Promise<void> {
  const host = process.env.HOST ?? '127.0.0.1';
  if (!LOOPBACK.includes(host))
    throw new Error(
      `HOST: is "${host}", must be a loopback address (127.0.0.1): accounts with passwords are not there yet, and without them Utsuwa listens on no other.`,
    );
  const folder = process.env.UTSUWA_DATA ?? join(homedir(), '.local', 'share', 'utsuwa');
  const store = await openStore(folder);
  await releaseInterrupted(store);
  await purgeRemoved(store);
  // A server that runs for months keeps the promise too.
  setInterval(() => void purgeRemoved(store), 86_400_000).unref();
  const web = fileURLToPath(new URL('../dist/web', import.meta.url));
  const { app, dispatch } = createApp({ store, suppliers: new SimulatedSuppliers(), web });
  const server = createServer(app);
  const port = await listen(server, host, portAsked());

  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    server.close();
    server.closeAllConnections();
    await dispatch.settled();
    await store.close();
    process.exit(0);
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
  // Said last: whoever reads it may already stop the server again.
  console.log(`Utsuwa is ready: http://${host}:${port}/`);
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
