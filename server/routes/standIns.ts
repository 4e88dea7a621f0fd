import { Router } from 'express';
import { z } from 'zod';
import { smallJson } from '../body';
import { MOODS, type Mood } from '../../core/ordering/moods';
import { read } from './read';

const moodAsk = z.object({ supplier: z.string().min(1).max(80), mood: z.enum(MOODS) });

/** How the simulated suppliers answer, one by one; there are no such addresses where real ones stand behind the link. */
export function standInRoutes(moods: Map<string, Mood>): Router {
  const routes = Router();

  routes.get('/suppliers', (_req, res) => {
    res.json({ moods: Object.fromEntries(moods) });
  });

  routes.put('/suppliers', smallJson(), (req, res) => {
    const { supplier, mood } = read(moodAsk, req.body);
    if (mood === 'usual') moods.delete(supplier);
    else moods.set(supplier, mood);
    res.status(204).end();
  });

  return routes;
}
