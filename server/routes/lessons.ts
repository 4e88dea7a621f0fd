import { Router } from 'express';
import { z } from 'zod';
import { lessonsAbout } from '../store/lessons';
import type { Store } from '../store/store';
import { read } from './read';

const ask = z.object({
  of: z.enum(['plants', 'materials']),
  id: z.string().min(1).max(80),
  besides: z.string().max(80).default(''),
});

/** What was decided and tried of a plant or a material before. */
export function lessonRoutes(store: Store): Router {
  const routes = Router();
  routes.get('/', async (req, res) => {
    const { of, id, besides } = read(ask, req.query);
    res.json({ lessons: await lessonsAbout(store, { of, id }, besides) });
  });
  return routes;
}
