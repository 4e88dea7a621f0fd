import { setTimeout as wait } from 'node:timers/promises';
import { log } from './log';
import { logged } from './problem';
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
      const work = deliver(store, link, request, patienceMs)
        // What cannot be noted stays "sending", and is let go of at the next start: it keeps its reference.
        .catch((error: unknown) => log.error(logged(error)))
        .finally(() => underWay.delete(work));
      underWay.add(work);
    },
    settled: async () => {
      await Promise.allSettled(underWay);
    },
  };
}

/** How often, and after how long each time, an answer is noted again while the disk or another program forbids it. */
const NOTES = 5;
const NOTE_AGAIN_MS = 3_000;

type Answered = Parameters<typeof orderAnswered>;

async function noted(...answer: Answered): Promise<void> {
  for (let n = 1; ; n++) {
    try {
      return await orderAnswered(...answer);
    } catch (error) {
      if (n === NOTES) throw error;
      await wait(NOTE_AGAIN_MS);
    }
  }
}

async function deliver(
  store: Store,
  link: SupplierLink,
  request: SupplierRequest,
  patienceMs: number,
): Promise<void> {
  let reason = '';
  let answer: Answered | undefined;
  for (let attempt = 1; attempt <= TRIES; attempt++) {
    try {
      const confirmation = await link.place(request, AbortSignal.timeout(patienceMs));
      const whole = confirmation.lines.every((l) => l.given === l.asked);
      // Outside this attempt: an answer that came must not be asked for again because it could not be noted.
      answer = [store, request.reference, whole ? 'confirmed' : 'partly', { confirmation }];
      break;
    } catch (error) {
      reason = error instanceof Error ? error.message : String(error);
      if (error instanceof SupplierRefusal) answer = [store, request.reference, 'refused', { reason }];
      if (answer) break;
    }
  }
  const unreachable = { reason: `${reason} Send it again: it keeps its reference.` };
  const lost: Answered = [store, request.reference, 'unreachable', unreachable];
  await noted(...(answer ?? lost));
}
