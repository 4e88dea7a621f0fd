import { createServer, type RequestListener, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { Certificate } from './reached';

/** Connections at once: a browser opens six to one server. */
const MOST_CONNECTIONS = 256;
/** How long the head of a request may take, and a whole request with its body, ms; bodies have a least speed besides. */
const HEAD_MS = 10_000;
const WHOLE_MS = 300_000;
/** How often that is looked at, ms. */
const LOOKED_AFTER_MS = 2_000;
/** How long a connection on which nothing more is asked stays open, ms. */
const SILENT_MS = 10_000;

/** A server that nobody stops by holding its connections: those that are slow, silent or too many are closed. */
export function limitedServer(app: RequestListener, tls?: Certificate): Server {
  const limits = {
    headersTimeout: HEAD_MS,
    requestTimeout: WHOLE_MS,
    keepAliveTimeout: SILENT_MS,
    connectionsCheckingInterval: LOOKED_AFTER_MS,
  };
  const server = tls
    ? createSecureServer({ ...limits, ...tls, minVersion: 'TLSv1.2' }, app)
    : createServer(limits, app);
  server.maxConnections = MOST_CONNECTIONS;
  return server;
}
