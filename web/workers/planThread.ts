import { wrap, type Remote } from 'comlink';
import { packer } from './parcel';
import type { PlanWorker } from './planWorker';

/** A thread that plans, and what packs commissions for it: what it has is not sent again. */
export interface PlanThread {
  worker: Worker;
  remote: Remote<PlanWorker>;
  pack: ReturnType<typeof packer>;
}

/** Begun and not yet asked for. */
let waiting: PlanThread | undefined;

function begun(): PlanThread {
  const worker = new Worker(new URL('./planWorker.ts', import.meta.url), { type: 'module' });
  // A script that cannot be fetched is an event without words; one that fails while it runs says where (HTML standard, 10.2.6).
  worker.addEventListener('error', (event) => {
    if (!(event instanceof ErrorEvent))
      void import('../design/newerHere').then(({ partMissing }) => partMissing());
  });
  return { worker, remote: wrap<PlanWorker>(worker), pack: packer() };
}

/** Begins the thread that plans, for whoever asks first: reading it takes longer than the page has to wait for figures. */
export function beginPlanThread(): PlanThread {
  return (waiting ??= begun());
}

/** A thread that plans, the one that was begun or another; whoever asks ends it. */
export function planThread(): PlanThread {
  const thread = waiting ?? begun();
  waiting = undefined;
  return thread;
}
