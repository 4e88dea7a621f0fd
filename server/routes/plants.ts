import { Router, type Request } from 'express';
import { withKnown } from '../../core/catalogue/knownPlants';
import { faultOf } from '../../core/commission/fault';
import { plantSchema } from '../../core/commission/schema';
import { smallJson, taking } from '../body';
import type { Jobs } from '../jobs/jobs';
import { plantsCsv } from '../documents/plantsCsv';
import { notFound, Problem } from '../problem';
import { dropPlant, keepPlants, readStudio } from '../store/studio';
import type { Store } from '../store/store';

const MAX_LIST_BYTES = 1024 * 1024;

/** The studio's own plants: one is changed or added, one is dropped, the list goes out and comes in as CSV. */
export function plantRoutes(store: Store, jobs: Jobs): Router {
  const routes = Router();

  routes.get('/plants.csv', async (_req, res) => {
    const { catalogue } = await readStudio(store);
    // The mark in front tells spreadsheets that the text is UTF-8.
    res
      .attachment('plants.csv')
      .type('text/csv; charset=utf-8')
      .send(`\uFEFF${plantsCsv(catalogue.plants.map(withKnown))}`);
  });

  routes.post('/plants.csv', taking(store.folder, MAX_LIST_BYTES, 'document', async (_req, res, body) => {
    const read = await jobs.run('readPlants', { who: 'plants' }, () => body);
    if (!read.ok) throw new Problem(422, read.says);
    const { catalogue } = await readStudio(store);
    const known = new Map(catalogue.plants.map((p) => [p.id, p]));
    // What the list does not say of a plant stays: its packs above all.
    const plants = read.plants.map((p) => ({ ...known.get(p.id), ...p }));
    await keepPlants(store, plants);
    res.status(201).json({ taken: plants.length, fresh: plants.filter((p) => !known.has(p.id)).length });
  })); // prettier-ignore

  routes.put('/plants/:id', smallJson(), async (req: Request<{ id: string }>, res) => {
    const parsed = plantSchema.safeParse({ ...(req.body as object), id: req.params.id });
    if (!parsed.success) {
      const fault = faultOf(parsed.error.issues[0], req.body);
      throw new Problem(400, `${fault.path} ${fault.says}.`);
    }
    await keepPlants(store, [parsed.data]);
    res.status(204).end();
  });

  routes.delete('/plants/:id', async (req, res) => {
    if (!(await dropPlant(store, req.params.id))) throw notFound('plant');
    res.status(204).end();
  });
  return routes;
}
