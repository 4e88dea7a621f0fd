import { Router, type Request } from 'express';
import { z } from 'zod';
import { historyOf } from '../history/history';
import type { Store } from '../store/store';
import { known } from './commissions';
import { read } from './read';

const pageAsk = z.object({ before: z.coerce.number().int().min(1).max(1e15).optional() });

/** What was changed in a commission, and by whom: nobody edits it. */
export function historyRoutes(store: Store): Router {
  const routes = Router({ mergeParams: true });

  routes.get('/:id/history', async (req: Request<{ id: string }>, res) => {
    const { id } = await known(store, req.params.id);
    res.json(await historyOf(store, id, read(pageAsk, req.query).before));
  });
  return routes;
}
