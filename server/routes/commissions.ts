import { Router, json } from 'express';
import { z } from 'zod';
import { MAX_DOCUMENT_BYTES, parseCommission } from '../../core/commission/parse';
import type { Commission } from '../../core/commission/schema';
import { notFound, Problem, refused } from '../problem';
import {
  createCommission,
  getCommission,
  listCommissions,
  saveCommission,
  setRemoved,
} from '../store/commissions';
import { copyPictures } from '../store/pictures';
import type { CommissionRow } from '../store/schema';
import type { Store } from '../store/store';

const listAsk = z.object({ q: z.string().max(200).optional(), removed: z.string().optional() });
const saveAsk = z.object({ revision: z.int().min(1), document: z.unknown() });

/** Create, list, search, read, save, duplicate, remove and bring back. */
export function commissionRoutes(store: Store): Router {
  const routes = Router();
  routes.use(json({ limit: MAX_DOCUMENT_BYTES }));

  routes.get('/', async (req, res) => {
    const ask = listAsk.parse(req.query);
    res.json({ commissions: await listCommissions(store, { search: ask.q, removed: ask.removed === '1' }) });
  });

  routes.post('/', async (req, res) => {
    const row = await createCommission(store, documentOf(req.body));
    res.status(201).json({ id: row.id, revision: row.revision });
  });

  routes.get('/:id', async (req, res) => {
    const { id, revision, document, updatedAt, removedAt } = await existing(store, req.params.id);
    res.json({ id, revision, document, updatedAt, removedAt });
  });

  routes.put('/:id', async (req, res) => {
    const ask = saveAsk.safeParse(req.body);
    if (!ask.success) throw new Problem(400, 'A save needs the revision it is based on and the document.');
    const document = documentOf(ask.data.document);
    const saved = await saveCommission(store, req.params.id, ask.data.revision, document);
    if (!saved.saved) throw conflict(saved.theirs, ask.data.revision, document);
    res.json({ revision: saved.revision, updatedAt: saved.updatedAt });
  });

  routes.post('/:id/duplicate', async (req, res) => {
    const { id, document } = await existing(store, req.params.id);
    const copy = { ...document, title: `${document.title}, copy`.slice(0, 200), log: [] };
    const row = await createCommission(store, copy);
    await copyPictures(store, id, row.id);
    res.status(201).json({ id: row.id, revision: row.revision });
  });

  routes.delete('/:id', async (req, res) => {
    if (!(await setRemoved(store, req.params.id, true))) throw notFound('commission');
    res.json({ removed: true });
  });

  routes.post('/:id/restore', async (req, res) => {
    if (!(await setRemoved(store, req.params.id, false))) throw notFound('commission');
    res.json({ removed: false });
  });

  return routes;
}

/** The row of a commission, or a 404. */
export async function existing(store: Store, id: string): Promise<CommissionRow> {
  const row = await getCommission(store, id);
  if (!row) throw notFound('commission');
  return row;
}

function documentOf(body: unknown): Commission {
  const parsed = parseCommission(body);
  if (!parsed.ok) throw refused(parsed.faults);
  return parsed.commission;
}

function conflict(theirs: CommissionRow | undefined, basedOn: number, document: Commission): Problem {
  if (!theirs) return notFound('commission');
  return new Problem(409, 'Somebody else saved this commission meanwhile.', {
    theirs: { revision: theirs.revision, document: theirs.document, updatedAt: theirs.updatedAt },
    yours: { revision: basedOn, document },
  });
}
