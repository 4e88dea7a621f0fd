import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import { dispatchOf, type Dispatch } from './dispatch';
import { notFound, Problem, problemHandler } from './problem';
import { clientRoutes } from './routes/clients';
import { commissionRoutes } from './routes/commissions';
import { fileRoutes } from './routes/files';
import { orderRoutes } from './routes/orders';
import { pictureRoutes } from './routes/pictures';
import type { Store } from './store/store';
import { readStudio } from './store/studio';
import type { SupplierLink } from './supplierLink';

export interface AppParts {
  store: Store;
  suppliers: SupplierLink;
  /** Folder with the built interface; without it only the API answers. */
  web?: string;
}

/** The whole server: the API below `/api`, the interface beside it. */
export function createApp({ store, suppliers, web }: AppParts): { app: Express; dispatch: Dispatch } {
  const dispatch = dispatchOf(store, suppliers);
  const app = express();
  app.disable('x-powered-by');
  app.use(ownPagesOnly);
  app.get('/api/health', (_req, res) => void res.json({ ok: true }));
  app.get('/api/studio', async (_req, res) => void res.json(await readStudio(store)));
  app.use('/api/commissions', fileRoutes(store));
  app.use('/api/commissions', orderRoutes(store, dispatch));
  app.use('/api/commissions', pictureRoutes(store));
  app.use('/api/commissions', commissionRoutes(store));
  app.use('/api/clients', clientRoutes(store));
  app.use('/api', () => {
    throw notFound('address');
  });
  if (web && existsSync(join(web, 'index.html'))) serveInterface(app, web);
  app.use(problemHandler);
  return { app, dispatch };
}

/**
 * Answers only to this machine's own names and to pages that it served itself: a page from elsewhere that
 * runs in the same browser can neither read nor write here.
 */
function ownPagesOnly(req: Request, _res: Response, next: NextFunction): void {
  const host = (req.headers.host ?? '').replace(/:\d+$/, '');
  const { origin } = req.headers;
  if (!['127.0.0.1', 'localhost', '[::1]'].includes(host))
    throw new Problem(421, 'This address is not served here.');
  if (origin && origin !== `http://${req.headers.host}`)
    throw new Problem(403, 'Requests from other pages are refused.');
  next();
}

function serveInterface(app: Express, web: string): void {
  app.use('/assets', express.static(join(web, 'assets'), { immutable: true, maxAge: '1y' }));
  app.use(express.static(web, { index: false }));
  app.get(/.*/, (_req, res) => res.setHeader('Cache-Control', 'no-cache').sendFile(join(web, 'index.html')));
}
