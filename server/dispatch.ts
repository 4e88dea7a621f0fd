import { orderAnswered, orderSent } from './store/orders';
import type { Store } from './store/store';
import { SupplierRefusal, type SupplierLink, type SupplierRequest } from './supplierLink';

/** How long a supplier may take, ms, and how often an order that got lost is sent again by itself. */
const PATIENCE_MS = 8_000;
const TRIES = 2;

/** Sends orders in the background; the answer is found in the store. */
export interface Dispatch {
  send(commissionId: string, request: SupplierRequest): Promise<void>;
  /** Resolves when nothing is on its way any more. */
  settled(): Promise<void>;
}

export function dispatchOf(store: Store, link: SupplierLink, patienceMs = PATIENCE_MS): Dispatch {
  const underWay = new Set<Promise<void>>();
  return {
    async send(commissionId, request) {
      await orderSent(store, commissionId, request);
      const work = deliver(store, link, request, patienceMs).finally(() => underWay.delete(work));
      underWay.add(work);
    },
    settled: async () => {
      await Promise.allSettled(underWay);
    },
  };
}

async function deliver(
  store: Store,
  link: SupplierLink,
  request: SupplierRequest,
  patienceMs: number,
): Promise<void> {
  let reason = '';
  for (let attempt = 1; attempt <= TRIES; attempt++) {
    try {
      const confirmation = await link.place(request, AbortSignal.timeout(patienceMs));
      const whole = confirmation.lines.every((l) => l.given === l.asked);
      return await orderAnswered(store, request.reference, whole ? 'confirmed' : 'partly', { confirmation });
    } catch (error) {
      reason = error instanceof Error ? error.message : String(error);
      if (error instanceof SupplierRefusal)
        return await orderAnswered(store, request.reference, 'refused', { reason });
    }
  }
  await orderAnswered(store, request.reference, 'unreachable', {
    reason: `${reason} Send it again: it keeps its reference.`,
  });
}
