import { Router, type Request } from 'express';
import { z } from 'zod';
import { isDay } from '../../core/calendar/day';
import { smallJson } from '../body';
import type { Dispatch } from '../dispatch';
import type { Jobs } from '../jobs/jobs';
import { seen } from '../../core/commission/sight';
import { sightIn } from '../people/door';
import { notFound, Problem } from '../problem';
import { orderCsv } from '../documents/orderCsv';
import { UTF8_MARK } from '../documents/takeOffCsv';
import {
  orderAnswered,
  orderByReference,
  orderSent,
  ordersOf,
  placedOf,
  withdrawOrder,
} from '../store/orders';
import type { Store } from '../store/store';
import { readStudio } from '../store/studio';
import { confirmedByWord, requestInstead } from '../supplierLink';
import { known, living } from './commissions';
import { read } from './read';
import { made } from '../jobs/made';

const sendAsk = z.object({
  supplier: z.string().min(1),
  option: z.string().optional(),
  today: z.string().refine(isDay),
  /** Written and sent by a person: only noted here, until they say what comes. */
  by: z.enum(['link', 'hand']).default('link'),
});
const insteadAsk = z.object({
  item: z.string().min(1),
  pack: z.string().min(1),
  today: z.string().refine(isDay),
});
const wordAsk = z.object({
  deliveryDay: z.string().refine(isDay).nullable(),
  supplierReference: z.string().trim().min(1).max(80),
});

/** Orders sent to suppliers and what came back. */
export function orderRoutes(store: Store, jobs: Jobs, dispatch: Dispatch): Router {
  const routes = Router({ mergeParams: true });

  routes.get('/:id/orders', async (req, res) => {
    await known(store, req.params.id);
    const orders = await ordersOf(store, req.params.id);
    const sight = sightIn(res);
    res.json({ orders: sight ? seen(orders, sight) : orders });
  });

  routes.post('/:id/orders', smallJson(), async (req, res) => {
    const ask = sendAsk.safeParse(req.body);
    if (!ask.success) throw new Problem(400, 'An order needs a supplier, and the day it is sent on.');
    const { id } = await living(store, req.params.id as string);
    const sent = (await ordersOf(store, id)).filter((o) => o.supplier === ask.data.supplier);
    // Nobody knows whether it arrived: the same goes out again, under its reference, before anything else is asked for.
    const lost = sent.find((o) => o.state === 'unreachable');
    if (lost && ask.data.by === 'link') {
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
    if (sent.some((o) => o.state === 'sending' || o.state === 'sent') && !before)
      throw new Problem(
        409,
        'An order is on its way there: what is missing besides can be ordered once it is answered.',
      );
    if (ask.data.by === 'hand') {
      if (!before || before.state === 'unreachable' || before.state === 'refused')
        await orderSent(store, id, request, 'sent');
      return void res.status(202).json({ reference: request.reference });
    }
    // Sent twice by an impatient hand: the first one is on its way or answered.
    if (!before || before.state === 'unreachable' || before.state === 'refused')
      await dispatch.send(id, request);
    res.status(202).json({ reference: request.reference });
  });

  /** What a supplier said to an order that a person had sent: all of it comes, on that day. */
  routes.post('/:id/orders/:reference/confirmed', smallJson(), async (req: Request<{ id: string; reference: string }>, res) => {
    const { id } = await living(store, req.params.id);
    const said = read(wordAsk, req.body);
    const order = await orderByReference(store, req.params.reference);
    if (!order || order.commissionId !== id) throw notFound('order');
    if (order.state !== 'sent') throw new Problem(409, 'Only an order that was sent by hand is confirmed by hand.');
    await orderAnswered(store, order.reference, 'confirmed', { confirmation: confirmedByWord(order.request, said) });
    res.status(204).end();
  }); // prettier-ignore

  /** Yes to what was offered in place of a line: it is asked for, and comes besides. */
  routes.post('/:id/orders/:reference/instead', smallJson(), async (req: Request<{ id: string; reference: string }>, res) => {
    const { id } = await living(store, req.params.id);
    const { today, ...line } = read(insteadAsk, req.body);
    const order = await orderByReference(store, req.params.reference);
    if (!order || order.commissionId !== id) throw notFound('order');
    const request = requestInstead(order, line, today);
    if (!request) throw new Problem(409, 'Nothing is offered for that line any more.');
    const before = await orderByReference(store, request.reference);
    if (before?.state === 'withdrawn') throw new Problem(409, 'That was withdrawn: what is missing is asked for in a new order.');
    if (!before || before.state === 'unreachable' || before.state === 'refused') await dispatch.send(id, request);
    res.status(202).json({ reference: request.reference });
  }); // prettier-ignore

  routes.get('/:id/orders/:reference.csv', async (req, res) => {
    await known(store, req.params.id);
    const order = await orderByReference(store, req.params.reference);
    if (!order || order.commissionId !== req.params.id) throw notFound('order');
    res.attachment(`order-${order.reference}.csv`).type('text/csv; charset=utf-8');
    res.end(UTF8_MARK + orderCsv(order.request));
  });

  routes.get('/:id/orders/:reference.pdf', async (req, res) => {
    await known(store, req.params.id);
    const order = await orderByReference(store, req.params.reference);
    if (!order || order.commissionId !== req.params.id) throw notFound('order');
    const { name, address, phone } = await readStudio(store);
    const asked = () => ({ request: order.request, sender: { name, address, phone } });
    const sheet = await jobs.run('orderSheet', { who: req.params.id }, asked);
    res.attachment(`order-${order.reference}.pdf`).type('application/pdf').end(Buffer.from(sheet));
  }); // prettier-ignore

  routes.post('/:id/orders/:reference/withdraw', async (req, res) => {
    const { id } = await living(store, req.params.id);
    if (!(await withdrawOrder(store, id, req.params.reference))) throw notFound('order');
    res.status(204).end();
  });

  return routes;
}
