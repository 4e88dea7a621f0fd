import { Router, type Request, type Response } from 'express';
import { MAX_FILE_BYTES } from '../../core/commission/budgets';
import { bytes, bytesOf } from '../body';
import type { Jobs } from '../jobs/jobs';
import type { Asked, Made } from '../jobs/work';
import { Problem } from '../problem';
import { createCommission } from '../store/commissions';
import type { CommissionRow } from '../store/schema';
import { wire, type Text } from '../store/largeText';
import type { Store } from '../store/store';
import { existing, keptOf } from './commissions';

/** What goes out as a file and comes in as one. */
export function fileRoutes(store: Store, jobs: Jobs): Router {
  const routes = Router();

  routes.post('/import', bytes(MAX_FILE_BYTES, 'document'), async (req, res) => {
    const { kept, notes } = keptOf(await jobs.run('readFile', bytesOf(req)));
    res.status(201).json({ ...(await createCommission(store, kept)), notes });
  });

  routes.get('/:id/file', async (req, res) => {
    const row = await existing(store, req.params.id);
    const { ending, file } = await jobs.run('documentFile', row.document);
    attach(res, row, ending, `application/${ending}`, file);
  });

  routes.get('/:id/takeoff.csv', async (req, res) => {
    const row = await existing(store, req.params.id);
    const csv = made(await jobs.run('takeOffFile', asked(row, req)));
    // The mark in front tells spreadsheets that the text is UTF-8.
    attach(res, row, 'csv', 'text/csv; charset=utf-8', `\uFEFF${csv}`);
  });

  for (const [ending, type] of [
    ['glb', 'model/gltf-binary'],
    ['stl', 'model/stl'],
    ['svg', 'image/svg+xml'],
  ] as const)
    routes.get(`/:id/scape.${ending}`, async (req, res) => {
      const row = await existing(store, req.params.id);
      attach(res, row, ending, type, made(await jobs.run('scape', { ...asked(row, req), ending })));
    });

  routes.get('/:id/calendar.ics', async (req, res) => {
    const row = await existing(store, req.params.id);
    const part = req.query.part === 'care' ? 'care' : 'all';
    const calendar = made(await jobs.run('calendar', { ...asked(row, req), part }));
    attach(res, row, 'ics', 'text/calendar; charset=utf-8', calendar);
  });

  return routes;
}

function asked({ id, document }: CommissionRow, { query }: Request): Asked {
  return { id, text: document, ...(typeof query.option === 'string' ? { option: query.option } : {}) };
}

/** What a job made, or the 404 that says which options there are. */
export function made<T>(answer: Made<T>): T {
  if (!answer.ok) throw new Problem(404, answer.says);
  return answer.value;
}

function attach(res: Response, row: CommissionRow, ending: string, type: string, body: Text): void {
  const name = row.title.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'commission';
  res.attachment(`${name}.${ending}`).type(type).end(wire(body));
}
