import { createHash } from 'node:crypto';
import { Router, json } from 'express';
import { z } from 'zod';
import { isDay } from '../../core/calendar/day';
import { supplierOf } from '../../core/commission/lookup';
import { order } from '../../core/ordering/order';
import { notFound, Problem } from '../problem';
import type { CommissionRow } from '../store/schema';
import { orderByReference, ordersOf } from '../store/orders';
import type { Store } from '../store/store';
import type { Dispatch } from '../dispatch';
import type { SupplierRequest } from '../supplierLink';
import { existing } from './commissions';
import { planOf } from './files';

const sendAsk = z.object({
  supplier: z.string().min(1),
  option: z.string().optional(),
  today: z.string().refine(isDay),
});

/** Orders sent to suppliers and what came back. */
export function orderRoutes(store: Store, dispatch: Dispatch): Router {
  const routes = Router({ mergeParams: true });
  routes.get('/:id/orders', async (req, res) => {
    await existing(store, req.params.id);
    res.json({ orders: await ordersOf(store, req.params.id) });
  });

  // Only here: this router also sees saves on their way to the next, and they are larger.
  routes.post('/:id/orders', json({ limit: '100kb' }), async (req, res) => {
    const ask = sendAsk.safeParse(req.body);
    if (!ask.success) throw new Problem(400, 'An order needs a supplier, and the day it is sent on.');
    const row = await existing(store, req.params.id);
    const request = requestOf(row, ask.data);
    const before = await orderByReference(store, request.reference);
    // Sent twice by an impatient hand: the first one is on its way or answered.
    if (!before || before.state === 'unreachable' || before.state === 'refused')
      await dispatch.send(row.id, request);
    res.status(202).json({ reference: request.reference });
  });

  return routes;
}

function requestOf(row: CommissionRow, ask: z.infer<typeof sendAsk>): SupplierRequest {
  const { document } = row;
  const { takeOff } = planOf(row, ask.option);
  const group = order(document, takeOff).suppliers.find((s) => s.supplier === ask.supplier);
  if (!group) throw notFound('supplier in this order');
  const packs = [...document.catalogue.materials, ...document.catalogue.plants].flatMap((e) => e.packs ?? []);
  const content = JSON.stringify([
    row.id,
    ask.option ?? document.chosen,
    group.lines.map((l) => [l.pack, l.count]),
  ]);
  return {
    // Made from what is ordered: sent again it is recognised, changed it is a new order.
    reference: `${ask.supplier}-${createHash('sha256').update(content).digest('hex').slice(0, 10)}`,
    supplier: supplierOf(document, ask.supplier),
    studio: document.studio?.name ?? '',
    today: ask.today,
    wantedBy: group.lines.flatMap((l) => (l.arriveBy ? [l.arriveBy] : [])).sort()[0] ?? null,
    currency: document.currency,
    lines: group.lines.map((l) => ({
      pack: l.pack,
      name: l.name,
      count: l.count,
      priceMinor: l.priceMinor,
      leadDays: packs.find((p) => p.id === l.pack)!.leadDays,
    })),
  };
}
