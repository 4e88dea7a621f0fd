import { Router, type Request } from 'express';
import { faultOf } from '../../core/commission/fault';
import { inEnglish } from '../../core/words/english';
import { plantSchema } from '../../core/commission/schema';
import { smallJson, taking } from '../body';
import type { Jobs } from '../jobs/jobs';
import { notFound, Problem } from '../problem';
import { dropPlant, keepPlant, plantTexts, takePlants } from '../store/studio';
import type { Store } from '../store/store';

const MAX_LIST_BYTES = 1024 * 1024;
/** Lists of plants take turns as one commission does. */
const PLANTS = { who: 'plants' };

/** The studio's own plants: one is changed or added, one is dropped, the list goes out and comes in as CSV. */
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

  routes.put('/plants/:id', smallJson(), async (req: Request<{ id: string }>, res) => {
    const parsed = plantSchema.safeParse({ ...(req.body as object), id: req.params.id });
    if (!parsed.success) {
      const fault = faultOf(parsed.error.issues[0], req.body);
      throw new Problem(400, `${fault.path} ${inEnglish(fault.says)}.`);
    }
    await keepPlant(store, parsed.data);
    res.status(204).end();
  });

  routes.delete('/plants/:id', async (req, res) => {
    if (!(await dropPlant(store, req.params.id))) throw notFound('plant');
    res.status(204).end();
  });
  return routes;
}
