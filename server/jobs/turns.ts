/** More wants to wait than may: nothing was begun, and it may be asked again in a moment. */
export class TooMuchWaiting extends Error {}

/** How much goes on at once and how much may wait, in all and of one asker. */
export interface Turns {
  atOnce: number;
  atOnceEach?: number;
  waiting: number;
  waitingEach: number;
}

interface Waiting {
  /** Whose work it is: of one thing no more goes on at once than may. */
  who: string;
  start: () => void;
  leave: (why: Error) => void;
}

/**
 * Lets work begin in turns: the first of each asker before the second of any, so that nobody who asks for much keeps
 * another from getting anything. Work that its asker gave up on before it began is never begun. An asker is whoever is signed in
 * (`by`), whatever they ask for; where nobody is, each thing that is worked on.
 */
export function turns({ atOnce, atOnceEach = atOnce, waiting, waitingEach }: Turns) {
  const queues = new Map<string, Waiting[]>();
  const running = new Map<string, number>();
  let [inWork, inQueue] = [0, 0];
  const at = (who: string) => running.get(who) ?? 0;

  function next(): void {
    for (const [by, queue] of queues) {
      if (inWork >= atOnce) return;
      const place = queue.findIndex(({ who }) => at(who) < atOnceEach);
      if (place < 0) continue;
      const [{ who, start }] = queue.splice(place, 1);
      // To the end of the round, or out of it: whoever was served comes after all others.
      queues.delete(by);
      if (queue.length > 0) queues.set(by, queue);
      begin(who);
      start();
    }
  }

  function begin(who: string): void {
    inWork++;
    inQueue--;
    running.set(who, at(who) + 1);
  }

  function end(who: string): void {
    inWork--;
    if (at(who) === 1) running.delete(who);
    else running.set(who, at(who) - 1);
    next();
  }

  /** Resolves when it is the asker's turn. */
  function turn(who: string, by: string, signal?: AbortSignal): Promise<void> {
    const queue = queues.get(by) ?? [];
    if (inQueue >= waiting || queue.length >= waitingEach) return Promise.reject(new TooMuchWaiting());
    return new Promise((start, leave) => {
      // Whoever has begun waits no more: one asker has many turns, and a signal would gather them all.
      const own: Waiting = {
        who,
        start: () => (signal?.removeEventListener('abort', gone), start()),
        leave,
      };
      const gone = () => {
        const there = queues.get(by);
        const place = there?.indexOf(own) ?? -1;
        if (!there || place < 0) return;
        there.splice(place, 1);
        inQueue--;
        if (there.length === 0) queues.delete(by);
        leave(signal!.reason as Error);
      };
      signal?.addEventListener('abort', gone, { once: true });
      queue.push(own);
      queues.set(by, queue);
      inQueue++;
      next();
    });
  }

  return async <T>(who: string, work: () => Promise<T>, signal?: AbortSignal, by = who): Promise<T> => {
    signal?.throwIfAborted();
    await turn(who, by, signal);
    try {
      return await work();
    } finally {
      end(who);
    }
  };
}
