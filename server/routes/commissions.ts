import { Router, type Request, type Response } from 'express';
import { z } from 'zod';
import { MAX_DOCUMENT_BYTES } from '../../core/commission/parse';
import { isDay } from '../../core/calendar/day';
import { asksGlances, SHOWN, SORTS } from '../../core/pipeline/listed';
import { taking } from '../body';
import type { Body } from '../incoming';
import { revisionAsk } from '../jobs/changesAsk';
import type { Jobs } from '../jobs/jobs';
import type { Read } from '../jobs/work';
import { personIn, scopeIn, sightIn } from '../people/door';
import { goneProblem, notFound, Problem, refused, refusedWhole } from '../problem';
import type { Glances } from '../glances';
import type { Live } from '../live';
import {
  createCommission,
  getCommission,
  getHead,
  isGone,
  lastWorkedOn,
  listCommissions,
  saveCommission,
  setRemoved,
  type Head,
} from '../store/commissions';
import type { Kept } from '../store/columns';
import { wire } from '../store/largeText';
import { copyPictures } from '../store/pictures';
import type { CommissionRow } from '../store/schema';
import type { Store } from '../store/store';
import { alsoUsed } from '../store/yard';
import { saver } from './saver';
import { spoken } from '../../core/words/english';

/** What a save has around its document. */
const AROUND = 64 * 1024;
const MOST_CHANGES_BYTES = 1024 * 1024;

const listAsk = z.object({
  q: z.string().max(200, 'q').optional(),
  show: z.enum(SHOWN).optional(),
  sort: z.enum(SORTS).optional(),
  today: z.string().refine(isDay).optional(),
  from: z.coerce.number().int().min(0).max(1e9).optional(),
  limit: z.coerce.number().int().min(1).max(200).optional(),
});
/** Create, list, search, read, save, duplicate, remove and bring back. */
export function commissionRoutes(store: Store, jobs: Jobs, glances: Glances, live: Live): Router {
  const routes = Router();

  routes.get('/', async (req, res) => {
    const ask = listAsk.safeParse(req.query);
    if (!ask.success)
      throw new Problem(
        400,
        `A list takes q (at most 200 characters), show (${SHOWN.join(', ')}), sort (${SORTS.join(', ')}), today, from and limit, each once.`,
      );
    const { q, ...page } = ask.data;
    const within = scopeIn(res);
    // What follows from figures that one does not see is not seen by the order of a list either.
    if (within && asksGlances(page.show ?? 'current', page.sort ?? 'build'))
      throw new Problem(403, 'Your account has no such list.');
    const list = await listCommissions(store, { search: q, within, ...page });
    const { show = 'current', sort = 'build', today, from } = page;
    const lately = !from && !q && show === 'current' ? { lately: await lastWorkedOn(store, within) } : {};
    res.json({
      ...list,
      ...lately,
      ...(today && asksGlances(show, sort) ? { unknown: await glances.missing(today) } : {}),
    });
  });

  const large = (what: (req: Request<{ id: string }>, res: Response, body: Body) => Promise<void>) =>
    taking(store.folder, MAX_DOCUMENT_BYTES + AROUND, 'document', what);

  routes.post('/', taking(store.folder, MAX_DOCUMENT_BYTES, 'document', async (_req, res, body) => {
    const { kept, notes } = keptOf(await jobs.run('readNew', saver('new commissions', body), () => body));
    res.status(201).json({ ...(await createCommission(store, kept)), notes });
  })); // prettier-ignore

  routes.get('/:id/head', async (req, res) => {
    const { revision, removedAt } = await known(store, req.params.id);
    res.json({ revision, removedAt });
  });

  routes.get('/:id', async (req, res) => {
    const row = await seenRow(jobs, await existing(store, req.params.id), res);
    const { id, revision, updatedAt, removedAt } = row;
    sendWith(res, 200, 'application/json', { id, revision, updatedAt, removedAt }, row);
  });

  routes.put(
    '/:id',
    large(async ({ params: { id } }, res, body) => {
      const said = await jobs.run('readSave', saver(id, body), () => body);
      if (said === 'no JSON') throw refusedWhole('is not JSON, must be a JSON document', 400);
      const basedOn = revisionAsk.safeParse(said.revision);
      if (!basedOn.success)
        throw new Problem(400, 'A save needs the revision it is based on and the document.');
      await save({ store, jobs, live }, res, id, basedOn.data, keptOf(said.read));
    }),
  );

  // What was changed since a revision: the usual save, and what a page sends when it goes.
  routes.patch(
    '/:id',
    taking<{ id: string }>(
      store.folder,
      MOST_CHANGES_BYTES,
      'request',
      async ({ params: { id } }, res, body) => {
        let stored!: { revision: number; updatedAt: string };
        const read = await jobs.run('readChanges', saver(id, body), async () => {
          const { document, ...row } = await living(store, id);
          stored = row;
          return { text: document, revision: row.revision, body, sight: sightIn(res) };
        });
        if (read === 'no JSON') throw new Problem(400, 'The request is not JSON.');
        if (read === 'no change')
          throw new Problem(400, 'A change needs the revision it is based on and what is to change.');
        if (read === 'not theirs')
          throw new Problem(403, 'Your account may not change that part of a commission.');
        if (read === 'another revision')
          return conflict(res, await seenRow(jobs, await living(store, id), res));
        // Changed and changed back: it stands as it was.
        if (read === 'nothing to do')
          return void res.json({ revision: stored.revision, updatedAt: stored.updatedAt });
        await save({ store, jobs, live }, res, id, stored.revision, keptOf(read));
      },
    ),
  );

  routes.post('/:id/duplicate', async (req, res) => {
    const { id } = await known(store, req.params.id);
    const text = async () => (await existing(store, id)).document;
    const copy = await createCommission(store, await jobs.run('duplicate', { who: id }, text));
    await copyPictures(store, id, copy.id);
    res.status(201).json(copy);
  });

  routes.delete('/:id', async (req, res) => {
    await known(store, req.params.id);
    if (!(await setRemoved(store, req.params.id, true))) throw notFound('commission');
    res.json({ removed: true });
  });

  routes.post('/:id/restore', async (req, res) => {
    await known(store, req.params.id);
    if (!(await setRemoved(store, req.params.id, false))) throw notFound('commission');
    res.json({ removed: false });
  });

  return routes;
}

/** A commission, removed ones too; otherwise a 404, or a 410 that says what became of it. */
export function existing(store: Store, id: string): Promise<CommissionRow> {
  return found(store, id, getCommission);
}

/** The same without its document. */
export function known(store: Store, id: string): Promise<Head> {
  return found(store, id, getHead);
}

/** A commission that may be worked on. */
export async function living(store: Store, id: string): Promise<CommissionRow> {
  const row = await existing(store, id);
  if (row.removedAt) throw goneProblem('removed', row.title);
  return row;
}

async function found<T extends Head>(
  store: Store,
  id: string,
  get: (store: Store, id: string) => Promise<T | undefined>,
): Promise<T> {
  const row = await get(store, id);
  if (!row) throw (await isGone(store, id)) ? goneProblem('deleted') : notFound('commission');
  if (row.erasedAt) throw goneProblem('erased');
  return row;
}

export function keptOf(read: Read): { kept: Kept; notes: unknown[]; changes?: string } {
  if (!read.ok) throw refused(read.faults);
  const { kept, notes, changes } = read;
  return { kept, notes: spoken(notes), changes };
}

async function save(
  { store, jobs, live }: { store: Store; jobs: Jobs; live: Live },
  res: Response,
  id: string,
  basedOn: number,
  { kept, changes }: { kept: Kept; changes?: string },
): Promise<void> {
  const { yard } = kept;
  const edit = { who: personIn(res)?.id ?? null, changes };
  const saved = await saveCommission(store, id, basedOn, kept, edit);
  if (saved.saved) {
    live.saved(id, saved.revision);
    // A stone that somebody else took a moment before is said with the answer, not when the yard is next looked at.
    const also = await alsoUsed(store, id, yard);
    return void res.json({
      revision: saved.revision,
      updatedAt: saved.updatedAt,
      ...(Object.keys(also).length > 0 ? { also } : {}),
    });
  }
  conflict(res, await seenRow(jobs, await living(store, id), res));
}

/** A commission with the document as who asked sees it. */
async function seenRow(jobs: Jobs, row: CommissionRow, res: Response): Promise<CommissionRow> {
  const sight = sightIn(res);
  if (!sight) return row;
  const document = await jobs.run('seenBy', { who: row.id }, () => ({ text: row.document, sight }));
  return { ...row, document };
}

/** 409 with what is kept now; the other version is with whom it was sent by. */
function conflict(res: Response, row: CommissionRow): void {
  const { revision, updatedAt } = row;
  const title = 'Somebody else saved this commission meanwhile.';
  const problem = { type: 'about:blank', status: 409, title };
  res.status(409).type('application/problem+json');
  res.write(`${JSON.stringify(problem).slice(0, -1)},"theirs":`);
  sendDocument(res, { revision, updatedAt }, row);
  res.end('}');
}

function sendWith(res: Response, status: number, type: string, fields: object, row: CommissionRow): void {
  res.status(status).type(type);
  sendDocument(res, fields, row);
  res.end();
}

/** An object with the document as it stands, unparsed. */
function sendDocument(res: Response, fields: object, row: CommissionRow): void {
  res.write(`${JSON.stringify(fields).slice(0, -1)},"document":`);
  res.write(wire(row.document));
  res.write('}');
}
