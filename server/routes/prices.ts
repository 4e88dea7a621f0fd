import { Router, type Response } from 'express';
import { z } from 'zod';
import { isDay } from '../../core/calendar/day';
import { listShapeSchema, type ListShape, type PriceAnswer } from '../../core/catalogue/priceList';
import { smallJson, taking, whileWaitedFor } from '../body';
import type { Jobs } from '../jobs/jobs';
import { notFound, Problem } from '../problem';
import { entryOf } from '../store/lists';
import {
  offersText,
  pricesToday,
  searchOffers,
  shapeOf,
  shapes,
  takeOffers,
  usedText,
} from '../store/offers';
import { sellersOf } from '../store/studio';
import type { Store } from '../store/store';
import { read } from './read';

const MAX_LIST_BYTES = 16 * 1024 * 1024;
/** Packs that one document has at most are asked for in one request. */
const MAX_ASKED_BYTES = 1024 * 1024;

const listAsk = z.object({
  today: z.string().refine(isDay),
  /** Which column is what, as a person has just said it; else as it was said before. */
  shape: z.string().max(20_000).optional(),
  /** The report that was agreed to. */
  take: z.string().max(100).optional(),
});
const searchAsk = z.object({
  q: z.string().max(200).default(''),
  supplier: z.string().max(80).optional(),
  limit: z.coerce.number().int().min(1).max(200).default(40),
});
const todayAsk = z.array(z.object({ supplier: z.string().max(80), article: z.string().max(200) })).max(5_000);

/** Suppliers' price lists: compared before anything is taken, searched, and asked what a pack costs today. */
export function priceRoutes(store: Store, jobs: Jobs): Router {
  const routes = Router();

  routes.get('/price-lists', async (_req, res) => {
    res.json({ lists: await shapes(store) });
  });

  routes.get('/offers', async (req, res) => {
    res.json(await searchOffers(store, read(searchAsk, req.query)));
  });

  routes.post('/prices-today', smallJson(MAX_ASKED_BYTES), async (req, res) => {
    res.json({ prices: await pricesToday(store, read(todayAsk, req.body)) });
  });

  routes.post(
    '/suppliers/:id/prices',
    taking<{ id: string }>(store.folder, MAX_LIST_BYTES, 'document', async (req, res, body) => {
      const { id } = req.params;
      const { today, take, shape: said } = read(listAsk, req.query);
      if (!(await entryOf(store, 'suppliers', id))) throw notFound('supplier');
      const shape = said === undefined ? usual(await shapeOf(store, id)) : shapeIn(said);
      const { currency } = await sellersOf(store);
      const ask = async () => ({ body, shape, currency, kept: await offersText(store, id), used: await usedText(store, id) }); // prettier-ignore
      const told = (done: number, of: number) => lineTo(res, { done, of });
      const asker = { who: 'prices', signal: whileWaitedFor(res), told };
      const found = await jobs.run('readPrices', asker, ask).catch((error: unknown) => refusedIn(res, error));
      if (found.kind !== 'report' || take === undefined)
        return answer(res, found.kind === 'report' ? { kind: 'report', report: found.report } : found);
      if (take !== found.report.digest) return answer(res, { kind: 'refused', says: CHANGED });
      const repriced = await takeOffers(store, id, found.prices, found.report.shape, today);
      answer(res, { kind: 'taken', lines: found.prices.count, repriced });
    }),
  );

  return routes;
}

const CHANGED =
  'The list or what it was compared with has changed meanwhile: look at what it changes once more.';

/** What was matched for the list before; how its prices were written counts where the new one does not say. */
const usual = (kept: ListShape | undefined) => kept && { columns: kept.columns, usualSign: kept.sign };

function shapeIn(text: string): ListShape {
  let shape: unknown;
  try {
    shape = JSON.parse(text);
  } catch {
    throw new Problem(400, 'shape is no JSON.');
  }
  return read(listShapeSchema, shape);
}

/** A line of an answer that comes while it is worked out: how far it is, at last the answer itself. */
function lineTo(res: Response, line: { done: number; of: number } | { answer: PriceAnswer }): void {
  if (res.writableEnded) return;
  if (!res.headersSent) res.type('application/x-ndjson');
  res.write(`${JSON.stringify(line)}\n`);
}

/** An answer that has begun cannot become a problem any more: it ends with it. */
function refusedIn(res: Response, error: unknown): Extract<PriceAnswer, { kind: 'refused' }> {
  if (!res.headersSent || !(error instanceof Problem)) throw error;
  return { kind: 'refused', says: error.title };
}

function answer(res: Response, found: PriceAnswer): void {
  lineTo(res, { answer: found });
  res.end();
}
