import { Router, type Request, type Response } from 'express';
import { z } from 'zod';
import { MAX_FILE_BYTES } from '../../core/commission/budgets';
import { isDay } from '../../core/calendar/day';
import { METRIC } from '../../core/words/readers';
import { SYSTEMS, VOLUMES } from '../../core/words/scales';
import { taking, whileWaitedFor } from '../body';
import { UTF8_MARK } from '../documents/takeOffCsv';
import type { Glances } from '../glances';
import type { Asker, Jobs } from '../jobs/jobs';
import { made } from '../jobs/made';
import type { Asked } from '../jobs/work';
import { personIn } from '../people/door';
import { note } from '../people/people';
import { createCommission } from '../store/commissions';
import { wire, type Text } from '../store/largeText';
import { placedOf } from '../store/orders';
import type { Store } from '../store/store';
import { existing, keptOf, known } from './commissions';
import { read } from './read';

/** In which units whoever asks reads: metric where nothing is said. */
const habitsAsked = z.object({
  units: z.enum(['metric', 'us']).default(METRIC.units),
  gallons: z.enum(VOLUMES).default(METRIC.gallons),
  masses: z.enum(SYSTEMS).optional(),
  temperatures: z.enum(SYSTEMS).optional(),
  hardness: z.enum(['degree', 'ppm', 'mmol']).default(METRIC.hardness),
});

/** What goes out as a file and comes in as one. */
export function fileRoutes(store: Store, jobs: Jobs, glances: Glances): Router {
  const routes = Router();

  routes.post(
    '/import',
    taking(store.folder, MAX_FILE_BYTES, 'document', async (_req, res, body) => {
      const asker = { who: 'imports', signal: whileWaitedFor(res) };
      const { kept, notes } = keptOf(await jobs.run('readFile', asker, () => body));
      res.status(201).json({ ...(await createCommission(store, kept)), notes });
    }),
  );

  routes.get('/:id/file', async (req, res) => {
    const commission = await known(store, req.params.id);
    const { id } = commission;
    const text = async () => (await existing(store, id)).document;
    const { ending, file } = await jobs.run('documentFile', planner(id, res), text);
    await takenOut(res, commission, ending, `application/${ending}`, file);
  });

  routes.get('/:id/takeoff.csv', async (req, res) => {
    const { commission, ask, asker } = await asked(req, res);
    const csv = made(await jobs.run('takeOffFile', asker, ask));
    await takenOut(res, commission, 'csv', CSV, `${UTF8_MARK}${csv}`);
  });

  routes.get('/:id/books.csv', async (req: Request<{ id: string }>, res) => {
    const { today } = read(booksAsk, req.query);
    const { commission, ask, asker } = await asked(req, res);
    const csv = made(await jobs.run('booksFile', asker, async () => ({ ...(await ask()), today })));
    await takenOut(res, commission, 'csv', CSV, `${UTF8_MARK}${csv}`);
  });

  for (const [ending, type] of [
    ['glb', 'model/gltf-binary'],
    ['stl', 'model/stl'],
    ['svg', 'image/svg+xml'],
  ] as const)
    routes.get(`/:id/scape.${ending}`, async (req: Request<{ id: string }>, res) => {
      const { commission, ask, asker } = await asked(req, res);
      const scape = await jobs.run('scape', asker, async () => ({ ...(await ask()), ending }));
      await takenOut(res, commission, ending, type, made(scape));
    });

  routes.get('/:id/calendar.ics', async (req, res) => {
    const part = req.query.part === 'care' ? 'care' : 'all';
    const habits = habitsAsked.parse(req.query);
    const { commission, ask, asker } = await asked(req, res);
    const calendar = made(
      await jobs.run('calendar', asker, async () => ({ ...(await ask()), part, habits })),
    );
    await takenOut(res, commission, 'ics', 'text/calendar; charset=utf-8', calendar);
  });

  routes.get('/:id/glance', async (req: Request<{ id: string }>, res) => {
    const { today } = read(glanceAsk, req.query);
    const { id, revision } = await known(store, req.params.id);
    res.json(await glances.of({ id, revision, today }, whileWaitedFor(res)));
  });

  /** What a plan is asked of: refused at once where there is none, its document fetched when it is its turn. */
  async function asked(req: Request<{ id: string }>, res: Response) {
    const commission = await known(store, req.params.id);
    const { id } = commission;
    const { option } = req.query;
    const ask = async (): Promise<Asked> => {
      const { document } = await existing(store, id);
      const placed = await placedOf(store, id);
      return { id, text: document, placed, ...(typeof option === 'string' ? { option } : {}) };
    };
    return { commission, ask, asker: planner(id, res) };
  }

  /** Answers with a file, and has the journal say who took one out. */
  async function takenOut(
    res: Response,
    { id, title }: { id: string; title: string },
    ending: string,
    type: string,
    body: Text,
  ): Promise<void> {
    await note(store, personIn(res)?.id ?? null, 'file-taken', id);
    const name = title.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'commission';
    res.attachment(`${name}.${ending}`).type(type).end(wire(body));
  }

  return routes;
}

const CSV = 'text/csv; charset=utf-8';

/** By whose day a supplier is too late; `option` is read with the plan. */
const booksAsk = z.looseObject({ today: z.string().refine(isDay).optional() });

const glanceAsk = z.object({ today: z.string().refine(isDay) });

/** The turn of a commission whose plan is asked for, as long as somebody waits for it. */
function planner(id: string, res: Response): Asker {
  return { who: id, signal: whileWaitedFor(res) };
}
