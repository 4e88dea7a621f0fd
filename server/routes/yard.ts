import { Router, type Request } from 'express';
import { z } from 'zod';
import { faultOf } from '../../core/commission/fault';
import { bytes, bytesOf, smallJson } from '../body';
import type { Jobs } from '../jobs/jobs';
import { notFound, Problem } from '../problem';
import { addToYard, changeInYard, dropFromYard, readStudio, usedPieces } from '../store/studio';
import type { Store } from '../store/store';

/** A scan file of so many bytes is taken. */
const MAX_SCAN_BYTES = 60 * 1024 * 1024;

const side = z.number().min(1).max(5_000);
const asked = z.object({
  id: z.string().trim().min(1).max(40),
  material: z.string().min(1).max(80),
  sizeMm: z.tuple([side, side, side]).optional(),
  massKg: z.number().min(0.001).max(2_000).optional(),
  litres: z.number().min(0.001).max(1_000).optional(),
  /** A scan that was taken in before, by the name of its mesh. */
  scan: z
    .string()
    .regex(/^[a-f0-9]{32}$/)
    .optional(),
});
/** What is found out about a piece while it is handled. */
const turn = z.number().min(-360).max(360);
const facts = z.object({ faceDeg: turn.optional(), grainDeg: turn.optional() });
export type YardAsk = z.infer<typeof asked>;

/** The studio with its yard, and in which commissions each piece of it stands. */
export function yardRoutes(store: Store, jobs: Jobs): Router {
  const routes = Router();

  routes.get('/', async (_req, res) => {
    const [studio, used] = await Promise.all([readStudio(store), usedPieces(store)]);
    res.json({ ...studio, used });
  });

  routes.post('/yard', ...smallJson(), async (req, res) => {
    const parsed = asked.safeParse(req.body);
    if (!parsed.success) {
      const fault = faultOf(parsed.error.issues[0], req.body);
      throw new Problem(400, `${fault.path} ${fault.says}.`);
    }
    const { catalogue, yard } = await readStudio(store);
    const { id, material } = parsed.data;
    if (yard.some((p) => p.id === id)) throw new Problem(409, `${id} is in the yard already, must be a number of its own.`); // prettier-ignore
    const kind = catalogue.materials.find((m) => m.id === material);
    if (!kind) throw new Problem(400, `material is "${material}", must be one of the studio’s catalogue.`);
    const made = await jobs.run('yardPiece', { ask: parsed.data, material: kind });
    if (!made.ok) throw new Problem(422, made.says);
    await addToYard(store, made.value.piece);
    res.status(201).json(made.value);
  });

  routes.post('/yard/scans', bytes(MAX_SCAN_BYTES, 'scan'), async (req, res) => {
    const name = typeof req.query.file === 'string' ? req.query.file : '';
    const unit = z.enum(['mm', 'cm', 'm']).catch('mm').parse(req.query.unit);
    const taken = await jobs.run('takeScan', { bytes: bytesOf(req), name, unit });
    if (!taken.ok) throw new Problem(422, taken.says);
    res.status(201).json(taken.value);
  });

  routes.patch('/yard/:id', ...smallJson(), async (req: Request<{ id: string }>, res) => {
    const parsed = facts.safeParse(req.body);
    if (!parsed.success) {
      const fault = faultOf(parsed.error.issues[0], req.body);
      throw new Problem(400, `${fault.path} ${fault.says}.`);
    }
    if (!(await changeInYard(store, req.params.id, parsed.data))) throw notFound('piece of the yard');
    res.status(204).end();
  });

  routes.delete('/yard/:id', async (req, res) => {
    if (!(await dropFromYard(store, req.params.id))) throw notFound('piece of the yard');
    res.status(204).end();
  });
  return routes;
}
