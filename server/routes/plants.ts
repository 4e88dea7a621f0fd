import { Router } from 'express';
import { taking } from '../body';
import type { Jobs } from '../jobs/jobs';
import { Problem } from '../problem';
import { plantTexts, takePlants } from '../store/studio';
import type { Store } from '../store/store';

const MAX_LIST_BYTES = 1024 * 1024;
/** Lists of plants take turns as one commission does. */
const PLANTS = { who: 'plants' };

/** The studio's own plants go out and come in as CSV. */
export function plantRoutes(store: Store, jobs: Jobs): Router {
  const routes = Router();

  routes.get('/plants.csv', async (_req, res) => {
    const csv = await jobs.run('plantsFile', PLANTS, () => plantTexts(store));
    // The mark in front tells spreadsheets that the text is UTF-8.
    res.attachment('plants.csv').type('text/csv; charset=utf-8').send(`\uFEFF${csv}`);
  });

  routes.post('/plants.csv', taking(store.folder, MAX_LIST_BYTES, 'document', async (_req, res, body) => {
    const read = await jobs.run('readPlants', PLANTS, () => body);
    if (!read.ok) throw new Problem(422, read.says);
    const fresh = await takePlants(store, read.value.json);
    res.status(201).json({ taken: read.value.count, fresh });
  })); // prettier-ignore

  return routes;
}
