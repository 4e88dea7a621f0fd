import { Router, type Request } from 'express';
import { z, type ZodType } from 'zod';
import { isDay } from '../../core/calendar/day';
import { houseSchema } from '../../core/catalogue/house';
import { START_SET } from '../../core/catalogue/startSet';
import {
  animalSchema,
  materialSchema,
  plantSchema,
  supplierSchema,
} from '../../core/commission/catalogueSchema';
import { shelfSchema } from '../../core/stock/shelf';
import { smallJson } from '../body';
import { notFound, Problem } from '../problem';
import {
  addEntry,
  addMissing,
  dropEntry,
  isNamed,
  keepEntry,
  listed,
  LISTS,
  soldBy,
  type ListName,
} from '../store/lists';
import { lastBackupAt } from '../store/backups';
import { dropOffers } from '../store/offers';
import { reservedOnShelf } from '../store/shelf';
import { keepHouse } from '../store/studio';
import type { Store } from '../store/store';
import { read } from './read';

const ENTRY: Record<ListName, ZodType<{ id: string; name: string }>> = {
  materials: materialSchema,
  plants: plantSchema,
  suppliers: supplierSchema,
  animals: animalSchema,
  shelf: shelfSchema,
};
const THING: Record<ListName, string> = {
  materials: 'material',
  plants: 'plant',
  suppliers: 'supplier',
  animals: 'animal',
  shelf: 'thing on the shelf',
};

/** Rows of a list at most in one answer. */
const MOST_ROWS = 200;
const listAsk = z.object({
  q: z.string().max(200).default(''),
  from: z.coerce.number().int().min(0).max(1_000_000).default(0),
  limit: z.coerce.number().int().min(1).max(MOST_ROWS).default(60),
});

const MOST_ON_SHELF = 2_000;
/** The shelf as one commission finds it, or as the studio does. */
const shelfAsk = z.object({ today: z.string().refine(isDay), besides: z.string().max(80).optional() });

/** The studio itself: what it is called and how it works, and its catalogue row by row. */
export function studioRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/kept', async (_req, res) => {
    const replica = store.replica();
    const backupAt = await lastBackupAt(store.folder);
    res.json({ ...(backupAt ? { backupAt } : {}), ...(replica ? { replica } : {}) });
  });

  routes.put('/house', smallJson(), async (req, res) => {
    await keepHouse(store, read(houseSchema, req.body));
    res.status(204).end();
  });

  routes.get('/shelf-stock', async (req, res) => {
    const { today, besides } = read(shelfAsk, req.query);
    const { entries } = await listed(store, 'shelf', { q: '', from: 0, limit: MOST_ON_SHELF });
    res.json({ entries, reserved: await reservedOnShelf(store, today, besides) });
  });

  routes.post('/start-set', async (_req, res) => {
    res.status(201).json({ added: await addMissing(store, 'materials', START_SET) });
  });

  for (const list of Object.keys(LISTS) as ListName[]) {
    routes.get(`/${list}`, async (req, res) => {
      res.json(await listed(store, list, read(listAsk, req.query)));
    });

    routes.post(`/${list}`, smallJson(), async (req, res) => {
      // Under whatever id: it gets one of its own.
      const entry = read(ENTRY[list], { ...(req.body as object), id: 'new' });
      if (list === 'suppliers') await onlyOne(store, entry);
      res.status(201).json({ id: await addEntry(store, list, entry) });
    });

    routes.put(`/${list}/:id`, smallJson(), async (req: Request<{ id: string }>, res) => {
      const entry = read(ENTRY[list], { ...(req.body as object), id: req.params.id });
      if (list === 'suppliers') await onlyOne(store, entry);
      await keepEntry(store, list, entry);
      res.status(204).end();
    });

    routes.delete(`/${list}/:id`, async (req: Request<{ id: string }>, res) => {
      const sells = list === 'suppliers' ? await soldBy(store, req.params.id) : 0;
      if (sells > 0)
        throw new Problem(409, `${sells} of the catalogue ${sells === 1 ? 'is' : 'are'} bought there: give that another supplier first.`); // prettier-ignore
      if (!(await dropEntry(store, list, req.params.id))) throw notFound(THING[list]);
      if (list === 'suppliers') await dropOffers(store, req.params.id);
      res.status(204).end();
    });
  }
  return routes;
}

/** Orders and lists name suppliers: two of one name cannot be told apart. */
async function onlyOne(store: Store, { id, name }: { id: string; name: string }): Promise<void> {
  if (await isNamed(store, 'suppliers', name, id))
    throw new Problem(409, `There is a supplier called “${name}” already: give this one a name that tells them apart.`); // prettier-ignore
}
