import { Router, type Request } from 'express';
import { z } from 'zod';
import { smallJson } from '../body';
import type { Live } from '../live';
import { personIn, type Door } from '../people/door';
import { notFound, Problem } from '../problem';
import type { Store } from '../store/store';
import { known } from './commissions';
import { read } from './read';

const tab = z.string().min(1).max(80);
const hereAsk = z.object({
  tab,
  stage: z.string().max(40).optional(),
  chosen: z.string().max(200).optional(),
});

/** Who is at a commission, and what is saved there, while a page has it open; only where people have accounts. */
export function liveRoutes(store: Store, door: Door, live: Live): Router {
  const routes = Router({ mergeParams: true });

  routes.get('/:id/live', async (req: Request<{ id: string }>, res) => {
    const person = personIn(res);
    if (!person) throw notFound('address');
    const { id } = await known(store, req.params.id);
    const mine = read(z.object({ tab }), req.query).tab;
    const isTaken = live.listen(id, mine, person, res, () => door.mayStill(req, res));
    if (!isTaken) throw new Problem(429, 'Too many pages are open: close one.');
  });

  routes.post('/:id/live', smallJson(), async (req, res) => {
    const { tab: mine, ...where } = read(hereAsk, req.body);
    if (!live.at(req.params.id as string, mine, personIn(res)?.id ?? '', where)) throw notFound('page');
    res.status(204).end();
  });
  return routes;
}
