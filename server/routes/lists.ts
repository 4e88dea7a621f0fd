import { Router, type Response } from 'express';
import { taking } from '../body';
import type { Jobs } from '../jobs/jobs';
import type { Made } from '../jobs/work';
import { Problem } from '../problem';
import { wire, type Text } from '../store/largeText';
import { entriesText, namesText, takeEntries, type ListName } from '../store/lists';
import { sellersOf } from '../store/studio';
import type { Store } from '../store/store';

const MAX_PLANTS_BYTES = 1024 * 1024;
const MAX_ANIMALS_BYTES = 1024 * 1024;
const MAX_MATERIALS_BYTES = 16 * 1024 * 1024;
/** Lists take turns as one commission does. */
const PLANTS = { who: 'plants' };
const MATERIALS = { who: 'materials' };
const ANIMALS = { who: 'animals' };

/** The studio's own plants and animals, and its materials with what they cost, go out and come in as CSV. */
export function listRoutes(store: Store, jobs: Jobs): Router {
  const routes = Router();

  routes.get('/plants.csv', async (_req, res) => {
    sendCsv(res, 'plants.csv', await jobs.run('plantsFile', PLANTS, () => entriesText(store, 'plants')));
  });

  routes.post('/plants.csv', taking(store.folder, MAX_PLANTS_BYTES, 'document', async (_req, res, body) => {
    await take(res, 'plants', await jobs.run('readPlants', PLANTS, () => body));
  })); // prettier-ignore

  routes.get('/materials.csv', async (_req, res) => {
    const ask = async () => ({
      materials: await entriesText(store, 'materials'),
      sellers: await sellersOf(store),
    });
    sendCsv(res, 'materials.csv', await jobs.run('materialsFile', MATERIALS, ask));
  });

  routes.post('/materials.csv', taking(store.folder, MAX_MATERIALS_BYTES, 'document', async (_req, res, body) => {
    const ask = async () => ({ body, sellers: await sellersOf(store), known: await namesText(store, 'materials') });
    await take(res, 'materials', await jobs.run('readMaterials', MATERIALS, ask));
  })); // prettier-ignore

  routes.get('/animals.csv', async (_req, res) => {
    sendCsv(res, 'animals.csv', await jobs.run('animalsFile', ANIMALS, () => entriesText(store, 'animals')));
  });

  routes.post('/animals.csv', taking(store.folder, MAX_ANIMALS_BYTES, 'document', async (_req, res, body) => {
    const ask = async () => ({ body, known: await namesText(store, 'animals') });
    await take(res, 'animals', await jobs.run('readAnimals', ANIMALS, ask));
  })); // prettier-ignore

  /** Keeps what was read, or says why nothing was taken. */
  async function take(
    res: Response,
    list: ListName,
    read: Made<{ count: number; json: Text }>,
  ): Promise<void> {
    if (!read.ok) throw new Problem(422, read.says);
    const fresh = await takeEntries(store, list, read.value.json);
    res.status(201).json({ taken: read.value.count, fresh });
  }

  return routes;
}

function sendCsv(res: Response, name: string, csv: Text): void {
  res.attachment(name).type('text/csv; charset=utf-8').end(wire(csv));
}
