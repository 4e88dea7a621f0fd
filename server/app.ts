import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import helmet, { type HelmetOptions } from 'helmet';
import type { Door } from './people/door';
import { dispatchOf, type Dispatch } from './dispatch';
import type { Pool } from './jobs/jobs';
import type { Pictures } from './pictures/pictures';
import { longestHoldMs } from './eventLoop';
import { noted } from './log';
import { hasPeople } from './people/people';
import { openLive, type Live } from './live';
import { notFound, Problem, problemHandler } from './problem';
import { clientRoutes } from './routes/clients';
import { clockRoutes } from './routes/clock';
import { openGlances, type Glances } from './glances';
import { commissionRoutes } from './routes/commissions';
import { fileRoutes } from './routes/files';
import { historyRoutes } from './routes/history';
import { keyRoutes } from './routes/keys';
import { liveRoutes } from './routes/live';
import { linkRoutes, openedLinkRoutes } from './routes/links';
import { memberRoutes } from './routes/members';
import { meshRoutes } from './routes/meshes';
import { orderRoutes } from './routes/orders';
import { peopleRoutes } from './routes/people';
import { pictureRoutes } from './routes/pictures';
import { listRoutes } from './routes/lists';
import { lessonRoutes } from './routes/lessons';
import { priceRoutes } from './routes/prices';
import { standInRoutes } from './routes/standIns';
import { SimulatedSuppliers } from './stand-ins/supplier';
import { weekRoutes } from './routes/week';
import { studioRoutes } from './routes/studio';
import { yardRoutes } from './routes/yard';
import { clockIn } from './store/clock';
import type { Store } from './store/store';
import type { SupplierLink } from './supplierLink';

export interface AppParts {
  store: Store;
  pool: Pool;
  pictures: Pictures;
  suppliers: SupplierLink;
  /** Who may come in. */
  door: Door;
  /** Names under which this server answers besides this machine's own: `studio.local:4680`. */
  names?: readonly string[];
  /** Addresses of proxies before it: what they say of host, scheme and caller is believed. */
  proxies?: readonly string[];
  /** Over TLS, by itself or by a proxy before it. */
  isSecure?: boolean;
  /** Done when somebody has said that the machine's clock is right. */
  care?: () => void;
  /** Folder with the built interface; without it only the API answers. */
  web?: string;
}

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];
const SAFE = ['GET', 'HEAD', 'OPTIONS'];
/** Whoever looks after the machine asks these on it, be there a proxy or not. */
const PROBES = ['/api/health', '/api/ready'];

/** Nothing but what this server sends may run, be drawn or be asked for; no other page may frame it. */
const HEADERS = {
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      workerSrc: ["'self'"],
      // The component library writes its theme into the page.
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      // A film of the scape growing, made by the page itself.
      mediaSrc: ["'self'", 'blob:'],
      fontSrc: ["'self'", 'data:'],
      connectSrc: ["'self'"],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  referrerPolicy: { policy: 'no-referrer' },
  frameguard: { action: 'deny' },
} satisfies HelmetOptions;

/** The whole server: the API below `/api`, the interface beside it. */
export function createApp({
  store,
  pool,
  pictures,
  suppliers,
  door,
  names = [],
  proxies = [],
  isSecure = false,
  web,
  care = () => {},
}: AppParts): {
  app: Express;
  dispatch: Dispatch;
  glances: Glances;
  live: Live;
} {
  const jobs = pool.in(store.folder);
  const dispatch = dispatchOf(store, suppliers);
  const glances = openGlances(store, jobs);
  const live = openLive();
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', proxies.length > 0 ? [...proxies] : false);
  app.use(noted);
  // A digest of every answer costs more than it saves: what is large is asked for once.
  app.set('etag', false);
  app.use(helmet({ ...HEADERS, strictTransportSecurity: isSecure }));
  app.use(notIndexed);
  app.use(ownPagesOnly({ names, isSecure, isBehind: proxies.length > 0 }));
  app.use('/api', door.guard);
  app.get('/api/health', (_req, res) => void res.json({ ok: true, heldMs: longestHoldMs() }));
  app.get('/api/ready', (_req, res, next) => void ready(store).then((is) => void res.status(is ? 200 : 503).json({ ready: is }), next)); // prettier-ignore
  app.use('/api/people', keyRoutes(store, door));
  app.use('/api/people', peopleRoutes(store, door));
  app.use('/api/studio', yardRoutes(store, jobs, pictures));
  app.use('/api/studio', listRoutes(store, jobs));
  app.use('/api/studio', priceRoutes(store, jobs));
  app.use('/api/studio', studioRoutes(store));
  app.use('/api/lessons', lessonRoutes(store));
  app.use('/api/week', weekRoutes(store, glances));
  app.use('/api/commissions', fileRoutes(store, jobs, glances));
  app.use('/api/commissions', orderRoutes(store, jobs, dispatch));
  app.use('/api/commissions', linkRoutes(store));
  app.use('/api/commissions', memberRoutes(store));
  app.use('/api/commissions', historyRoutes(store));
  app.use('/api/commissions', liveRoutes(store, door, live));
  app.use('/api/link', openedLinkRoutes(store, jobs, live));
  app.use('/api/commissions', pictureRoutes(store, pictures));
  app.use('/api/commissions', commissionRoutes(store, jobs, glances, live));
  app.use('/api/meshes', meshRoutes(store, jobs));
  app.use('/api/clients', clientRoutes(store, jobs));
  app.use('/api/clock', clockRoutes(clockIn(store.folder), care));
  if (suppliers instanceof SimulatedSuppliers) app.use('/api/stand-ins', standInRoutes(suppliers.moods));
  app.use('/api', () => {
    throw notFound('address');
  });
  if (web && existsSync(join(web, 'index.html'))) serveInterface(app, web);
  // What nothing above answers, by address or by method, is answered in the same words as everything else.
  app.use(() => {
    throw notFound('page');
  });
  app.use(problemHandler);
  return { app, dispatch, glances, live };
}

/**
 * Answers only to this machine's own names and to pages that it served itself: a page from elsewhere that
 * runs in the same browser can neither read nor write here.
 */
function ownPagesOnly({
  names,
  isSecure,
  isBehind,
}: {
  names: readonly string[];
  isSecure: boolean;
  isBehind: boolean;
}) {
  return (req: Request, _res: Response, next: NextFunction): void => {
    // Of a proxy, what it says that the browser asked for; of anybody else, what they ask for.
    const named = req.host ?? '';
    const isOwn = LOOPBACK.includes(named.replace(/:\d+$/, ''));
    // Behind a proxy nobody is on this machine: who says so comes from elsewhere, too.
    const isHere = !isBehind && isOwn;
    const { origin } = req.headers;
    const site = req.headers['sec-fetch-site'];
    const isProbe = isOwn && PROBES.includes(req.path);
    if (!isHere && !isProbe && !names.includes(named))
      throw new Problem(421, 'This address is not served here.');
    if (!isHere && !isProbe && isSecure && !req.secure) throw new Problem(403, 'Only over TLS.');
    if (origin && origin !== `${isSecure ? 'https' : 'http'}://${named}`)
      throw new Problem(403, 'Requests from other pages are refused.');
    // A browser says of every write where it comes from; what does not is no page of this server.
    if (!isHere && !origin && !SAFE.includes(req.method))
      throw new Problem(403, 'Requests from other pages are refused.');
    // A browser says where a request comes from even where it leaves the origin out.
    if (!SAFE.includes(req.method) && (site === 'cross-site' || site === 'same-site'))
      throw new Problem(403, 'Requests from other pages are refused.');
    next();
  };
}

/** What goes out by a link is for whom it was made for: no engine that finds one lists it. */
function notIndexed(_req: Request, res: Response, next: NextFunction): void {
  res.setHeader('X-Robots-Tag', 'noindex, nofollow');
  next();
}

/** Whether the database answers. */
const ready = (store: Store) => hasPeople(store).then(() => true, () => false); // prettier-ignore

function serveInterface(app: Express, web: string): void {
  app.use('/assets', express.static(join(web, 'assets'), { immutable: true, maxAge: '1y' }));
  // A part of a version that is not here any more is missing, not the start page: the page that asks knows then.
  app.use('/assets', () => {
    throw notFound('part of the interface: a newer version is here, load the page again');
  });
  app.use(express.static(web, { index: false }));
  app.get('/{*path}', (_req, res) =>
    res.setHeader('Cache-Control', 'no-cache').sendFile(join(web, 'index.html')),
  );
}
