import { Router } from 'express';
import type { Clock } from '../store/clock';

/** Whether the machine's clock has leapt since the server last ran, and that somebody says it is right. */
export function clockRoutes(clock: Clock, accepted: () => void): Router {
  const routes = Router();
  routes.get('/', async (_req, res) => void res.json({ leap: (await clock.look()) ?? null }));
  routes.post('/accept', async (_req, res) => {
    await clock.accept();
    // What has waited for it is done now.
    accepted();
    res.status(204).end();
  });
  return routes;
}
