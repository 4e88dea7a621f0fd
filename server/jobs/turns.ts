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
  start: () => void;
  leave: (why: Error) => void;
}
/** What one asker waits for, by the thing that is worked on. */
type Queue = Map<string, Waiting[]>;

/** Of the room to wait nobody has more than so much, whatever they ask for. */
const MOST_OF_ROOM = 0.5;

/**
 * Lets work begin in turns: the first of each asker before the second of any, and of an asker the first for each thing before the
 * second for any, so that nobody who asks for much keeps another from getting anything, nor one thing of theirs another. Work that
 * its asker gave up on before it began is never begun. An asker is whoever is signed in (`by`); where nobody is, each thing that is worked on.
 */
export function turns({ atOnce, atOnceEach = atOnce, waiting, waitingEach }: Turns) {
  const askers = new Map<string, Queue>();
  const running = new Map<string, number>();
  let [inWork, inQueue] = [0, 0];
  const at = (who: string) => running.get(who) ?? 0;

  function next(): void {
    for (const [by, queue] of askers) {
      if (inWork >= atOnce) return;
      const who = [...queue.keys()].find((w) => at(w) < atOnceEach);
      if (who === undefined) continue;
      const list = queue.get(who)!;
      const { start } = list.shift()!;
      // To the end of the round, or out of it: who was served, and what for, comes after all others.
      queue.delete(who);
      if (list.length > 0) queue.set(who, list);
      askers.delete(by);
      if (queue.size > 0) askers.set(by, queue);
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

  /** Takes out what its asker gave up on; false where it has begun. */
  function left(by: string, who: string, own: Waiting): boolean {
    const queue = askers.get(by);
    const list = queue?.get(who);
    const place = list?.indexOf(own) ?? -1;
    if (!queue || !list || place < 0) return false;
    list.splice(place, 1);
    inQueue--;
    if (list.length === 0) queue.delete(who);
    if (queue.size === 0) askers.delete(by);
    return true;
  }

  /** Resolves when it is the asker's turn. */
  function turn(who: string, by: string, signal?: AbortSignal): Promise<void> {
    const queue: Queue = askers.get(by) ?? new Map<string, Waiting[]>();
    const list = queue.get(who) ?? [];
    const own = [...queue.values()].reduce((n, l) => n + l.length, 0);
    if (inQueue >= waiting || list.length >= waitingEach || own >= waiting * MOST_OF_ROOM)
      return Promise.reject(new TooMuchWaiting());
    return new Promise((start, leave) => {
      // Whoever has begun waits no more: one asker has many turns, and a signal would gather them all.
      const mine: Waiting = { start: () => (signal?.removeEventListener('abort', gone), start()), leave };
      const gone = () => {
        if (left(by, who, mine)) leave(signal!.reason as Error);
      };
      signal?.addEventListener('abort', gone, { once: true });
      list.push(mine);
      queue.set(who, list);
      askers.set(by, queue);
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
