/** Begun and not yet asked for. */
let waiting: Worker | undefined;

const begun = () => new Worker(new URL('./planWorker.ts', import.meta.url), { type: 'module' });

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
