import { Router, type Request } from 'express';
import { addMember, dropMember, membersOf } from '../people/members';
import { personIn } from '../people/door';
import { note } from '../people/people';
import { notFound } from '../problem';
import type { Store } from '../store/store';
import { known } from './commissions';

/** Who of the crew and which guests are on a commission. */
export function memberRoutes(store: Store): Router {
  const routes = Router({ mergeParams: true });
  type Of = Request<{ id: string; person: string }>;

  routes.get('/:id/people', async (req: Of, res) => {
    await known(store, req.params.id);
    res.json({ people: await membersOf(store, req.params.id) });
  });

  routes.put('/:id/people/:person', async (req: Of, res) => {
    const { id } = await known(store, req.params.id);
    if (!(await addMember(store, id, req.params.person))) throw notFound('person');
    await note(store, personIn(res)?.id ?? null, 'put-on', req.params.person);
    res.status(204).end();
  });

  routes.delete('/:id/people/:person', async (req: Of, res) => {
    const { id } = await known(store, req.params.id);
    if (!(await dropMember(store, id, req.params.person))) throw notFound('person');
    await note(store, personIn(res)?.id ?? null, 'taken-off', req.params.person);
    res.status(204).end();
  });
  return routes;
}
