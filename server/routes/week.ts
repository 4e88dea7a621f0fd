import { Router } from 'express';
import { z } from 'zod';
import { isDay } from '../../core/calendar/day';
import { kitOf } from '../../core/staging/kit';
import { weekOf } from '../../core/staging/week';
import { weekFile } from '../documents/weekFile';
import { dayNow } from '../dayNow';
import type { Glances } from '../glances';
import { readStudio } from '../store/studio';
import type { Store } from '../store/store';
import { dated } from '../store/week';
import { read } from './read';

const day = z.string().refine(isDay);
const ask = z.object({ today: day, from: day.optional() });

/** A week over all commissions, and the same as a feed for the studio's own calendar. */
export function weekRoutes(store: Store, glances: Glances): Router {
  const routes = Router();

  routes.get('/', async (req, res) => {
    const { today, from = today } = read(ask, req.query);
    const [unknown, all, studio] = [await glances.missing(today), await dated(store, today), await readStudio(store)]; // prettier-ignore
    res.json({ ...weekOf(all, from, today, { ...kitOf(studio), people: studio.people?.length }), unknown });
  });

  routes.get('/feed.ics', async (req, res) => {
    const today = read(ask.partial(), req.query).today ?? dayNow();
    // What is not known of today is worked out for whoever asks next.
    await glances.missing(today);
    res.type('text/calendar').send(weekFile(await dated(store, today, true), (await readStudio(store)).name));
  });

  return routes;
}
