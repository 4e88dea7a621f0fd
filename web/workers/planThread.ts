import { partMissing } from '../design/newerHere';

/** Begun and not yet asked for. */
let waiting: Worker | undefined;

function begun(): Worker {
  const thread = new Worker(new URL('./planWorker.ts', import.meta.url), { type: 'module' });
  // A script that cannot be fetched is an event without words; one that fails while it runs says where (HTML standard, 10.2.6).
  thread.addEventListener('error', (event) => {
    if (!(event instanceof ErrorEvent)) void partMissing();
  });
  return thread;
}

/** Begins the thread that plans, for whoever asks first: reading it takes longer than the page has to wait for figures. */
export function beginPlanThread(): void {
  waiting ??= begun();
}

/** A thread that plans, the one that was begun or another; whoever asks ends it. */
export function planThread(): Worker {
  const thread = waiting ?? begun();
  waiting = undefined;
  return thread;
}
