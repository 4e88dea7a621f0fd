import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { dispatchOf, type Dispatch } from './dispatch';
import type { Pool } from './jobs/jobs';
import type { Pictures } from './pictures/pictures';
import { longestHoldMs } from './eventLoop';
import { notFound, Problem, problemHandler } from './problem';
import { clientRoutes } from './routes/clients';
import { clockRoutes } from './routes/clock';
import { openGlances, type Glances } from './glances';
import { commissionRoutes } from './routes/commissions';
import { fileRoutes } from './routes/files';
import { meshRoutes } from './routes/meshes';
import { orderRoutes } from './routes/orders';
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
  /** Done when somebody has said that the machine's clock is right. */
  care?: () => void;
  /** Folder with the built interface; without it only the API answers. */
  web?: string;
}

const SAFE = ['GET', 'HEAD', 'OPTIONS'];

/** Nothing but what this server sends may run, be drawn or be asked for; no other page may frame it. */
const HEADERS: Parameters<typeof helmet>[0] = {
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
  // Served on this machine alone and without encryption: there is nothing to be strict about.
  strictTransportSecurity: false,
};

/** The whole server: the API below `/api`, the interface beside it. */
export function createApp({ store, pool, pictures, suppliers, web, care = () => {} }: AppParts): {
  app: Express;
  dispatch: Dispatch;
  glances: Glances;
} {
  const jobs = pool.in(store.folder);
  const dispatch = dispatchOf(store, suppliers);
  const glances = openGlances(store, jobs);
  const app = express();
  app.disable('x-powered-by');
  // A digest of every answer costs more than it saves: what is large is asked for once.
  app.set('etag', false);
  app.use(helmet(HEADERS));
  app.use(ownPagesOnly);
  app.get('/api/health', (_req, res) => void res.json({ ok: true, heldMs: longestHoldMs() }));
  app.use('/api/studio', yardRoutes(store, jobs, pictures));
  app.use('/api/studio', listRoutes(store, jobs));
  app.use('/api/studio', priceRoutes(store, jobs));
  app.use('/api/studio', studioRoutes(store));
  app.use('/api/lessons', lessonRoutes(store));
  app.use('/api/week', weekRoutes(store, glances));
  app.use('/api/commissions', fileRoutes(store, jobs, glances));
  app.use('/api/commissions', orderRoutes(store, jobs, dispatch));
  app.use('/api/commissions', pictureRoutes(store, pictures));
  app.use('/api/commissions', commissionRoutes(store, jobs, glances));
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
  return { app, dispatch, glances };
}

/**
 * Answers only to this machine's own names and to pages that it served itself: a page from elsewhere that
 * runs in the same browser can neither read nor write here.
 */
function ownPagesOnly(req: Request, _res: Response, next: NextFunction): void {
  const host = (req.headers.host ?? '').replace(/:\d+$/, '');
  const { origin } = req.headers;
  const site = req.headers['sec-fetch-site'];
  if (!['127.0.0.1', 'localhost', '[::1]'].includes(host))
    throw new Problem(421, 'This address is not served here.');
  if (origin && origin !== `http://${req.headers.host}`)
    throw new Problem(403, 'Requests from other pages are refused.');
  // A browser says where a request comes from even where it leaves the origin out.
  if (!SAFE.includes(req.method) && (site === 'cross-site' || site === 'same-site'))
    throw new Problem(403, 'Requests from other pages are refused.');
  next();
}

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
