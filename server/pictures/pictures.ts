import { fork, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import type { Body } from '../incoming';
import { TooMuchWaiting, turns } from '../jobs/turns';
import type { Asker } from '../jobs/jobs';
import { Problem } from '../problem';
import { threadFile } from '../root';
import { NoPictureError, type Prepared } from './picture';
import type { PictureAnswer } from './process';

/** Makes what is kept of pictures, one after the other, in a process that goes when it is not wanted. */
export interface Pictures {
  /** @throws NoPictureError; a Problem 503 where too many wait */
  prepare(body: Body, asker: Asker): Promise<Prepared>;
  close(): void;
}

/** How long one picture may take, and how long the process waits for the next, ms. */
const PATIENCE_MS = 30_000;
const IDLE_MS = 10_000;

export function openPictures({ patienceMs = PATIENCE_MS, idleMs = IDLE_MS } = {}): Pictures {
  const inTurn = turns({ atOnce: 1, waiting: 64, waitingEach: 32 });
  let live: ChildProcess | undefined;
  let idle: NodeJS.Timeout | undefined;

  function started(): ChildProcess {
    const child = fork(fileURLToPath(threadFile('server/pictures/process')), {
      serialization: 'advanced',
      execArgv: [],
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    });
    child.once('exit', () => {
      if (live === child) live = undefined;
    });
    // A server that stops does not wait for it.
    child.unref();
    child.channel?.unref();
    return child;
  }

  function close(): void {
    clearTimeout(idle);
    if (live?.connected) live.disconnect();
    live = undefined;
  }

  async function prepared(body: Body): Promise<Prepared> {
    clearTimeout(idle);
    live ??= started();
    try {
      const answer = await asked(live, body, patienceMs);
      if (!answer.ok) throw new NoPictureError(answer.says, answer.limit);
      return { ...answer.value, jpeg: Buffer.from(answer.value.jpeg) };
    } finally {
      idle = setTimeout(close, idleMs).unref();
    }
  }

  return {
    prepare: (body, { who, signal }) =>
      inTurn(who, () => prepared(body), signal).catch((error: unknown) => {
        if (!(error instanceof TooMuchWaiting)) throw error;
        throw new Problem(503, 'Too many pictures are coming in at the moment. Send it again.');
      }),
    close,
  };
}

/** One question; a process that ends without an answer, or does not give one in time, was given no picture it can read. */
function asked(child: ChildProcess, body: Body, patienceMs: number): Promise<PictureAnswer> {
  return new Promise((resolve) => {
    const settle = (answer: PictureAnswer) => {
      clearTimeout(timer);
      child.off('message', settle).off('exit', lost);
      resolve(answer);
    };
    const lost = () => settle({ ok: false, says: 'ended while it was read', limit: '' });
    const timer = setTimeout(() => child.kill('SIGKILL'), patienceMs);
    child.once('message', settle).once('exit', lost);
    child.send(body, (error) => {
      if (error) child.kill('SIGKILL');
    });
  });
}
