import { Router, json } from 'express';
import { z } from 'zod';
import { Problem } from '../problem';
import { clientData, eraseClient } from '../store/clients';
import type { Store } from '../store/store';

const named = z.object({ name: z.string().min(1).max(200) });

/** What is kept about one client: handed over in one act, erased in one act. */
export function clientRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/export', async (req, res) => {
    const ask = named.safeParse(req.query);
    if (!ask.success) throw new Problem(400, 'Say whose data: name is missing.');
    const data = await clientData(store, ask.data.name);
    const file = `${ask.data.name.replace(/[^\p{L}\p{N}]+/gu, '-') || 'client'}-everything.json`;
    res
      .attachment(file)
      .type('application/json')
      .send(`${JSON.stringify(data, null, 2)}\n`);
  });

  routes.post('/erase', json({ limit: '10kb' }), async (req, res) => {
    const ask = named.safeParse(req.body);
    if (!ask.success) throw new Problem(400, 'Say whose data: name is missing.');
    res.json({ erased: await eraseClient(store, ask.data.name) });
  });

  return routes;
}
