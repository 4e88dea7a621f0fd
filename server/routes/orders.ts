import { Router } from 'express';
import { z } from 'zod';
import { isDay } from '../../core/calendar/day';
import { smallJson } from '../body';
import type { Dispatch } from '../dispatch';
import type { Jobs } from '../jobs/jobs';
import { notFound, Problem } from '../problem';
import { orderByReference, ordersOf, placedOf, withdrawOrder } from '../store/orders';
import type { Store } from '../store/store';
import { known, living } from './commissions';
import { made } from '../jobs/made';

const sendAsk = z.object({
  supplier: z.string().min(1),
  option: z.string().optional(),
  today: z.string().refine(isDay),
});

/** Orders sent to suppliers and what came back. */
export function orderRoutes(store: Store, jobs: Jobs, dispatch: Dispatch): Router {
  const routes = Router({ mergeParams: true });

  routes.get('/:id/orders', async (req, res) => {
    await known(store, req.params.id);
    res.json({ orders: await ordersOf(store, req.params.id) });
  });

  routes.post('/:id/orders', smallJson(), async (req, res) => {
    const ask = sendAsk.safeParse(req.body);
    if (!ask.success) throw new Problem(400, 'An order needs a supplier, and the day it is sent on.');
    const { id } = await living(store, req.params.id as string);
    const sent = (await ordersOf(store, id)).filter((o) => o.supplier === ask.data.supplier);
    // Nobody knows whether it arrived: the same goes out again, under its reference, before anything else is asked for.
    const lost = sent.find((o) => o.state === 'unreachable');
    if (lost) {
      await dispatch.send(id, { ...lost.request, today: ask.data.today });
      return void res.status(202).json({ reference: lost.reference });
    }
    const asked = async () => ({
      id,
      text: (await living(store, id)).document,
      placed: await placedOf(store, id),
      withdrawn: sent.filter((o) => o.state === 'withdrawn').map((o) => o.reference),
      ...ask.data,
    });
    const request = made(await jobs.run('supplierRequest', { who: id }, asked));
    if (!request) throw new Problem(404, 'There is nothing to order from that supplier any more.');
    const before = await orderByReference(store, request.reference);
    if (sent.some((o) => o.state === 'sending') && !before)
      throw new Problem(
        409,
        'An order is on its way there: what is missing besides can be ordered once it is answered.',
      );
    // Sent twice by an impatient hand: the first one is on its way or answered.
    if (!before || before.state === 'unreachable' || before.state === 'refused')
      await dispatch.send(id, request);
    res.status(202).json({ reference: request.reference });
  });

  routes.post('/:id/orders/:reference/withdraw', async (req, res) => {
    const { id } = await living(store, req.params.id);
    if (!(await withdrawOrder(store, id, req.params.reference))) throw notFound('order');
    res.status(204).end();
  });

  return routes;
}
