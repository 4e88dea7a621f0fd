import { Piscina } from 'piscina';
import { Problem, refused } from '../problem';
import { threadFile } from '../root';
import { buffersIn } from '../store/largeText';
import type * as work from './work';

/** How long one job may take, ms, and how much memory its thread may have, MB. */
const PATIENCE_MS = 20_000;
const MEMORY_MB = 1_024;
/** Jobs at once, and how many may wait before the next is asked to come again. */
const THREADS = 2;
const MOST_WAITING = 64;

type Work = typeof work;
type Name = keyof Work;

/** Threads for what takes long, beside the meshes of one data folder. */
export interface Jobs {
  /** Runs a job of `work.ts`. Throws a Problem when it takes too long or too many wait. */
  run<N extends Name>(name: N, input: Parameters<Work[N]>[0]): Promise<Awaited<ReturnType<Work[N]>>>;
}

/** The threads themselves; each data folder asks them for jobs of its own. */
export interface Pool {
  in(folder: string): Jobs;
  close(): Promise<void>;
}

export function openJobs({ patienceMs = PATIENCE_MS } = {}): Pool {
  const pool = new Piscina({
    filename: threadFile(import.meta.url).href,
    minThreads: 1,
    maxThreads: THREADS,
    maxQueue: MOST_WAITING,
    idleTimeout: 60_000,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
  });
  // A thread that ran out of memory is replaced; its job is told below.
  pool.on('error', () => {});
  return {
    in: (folder) => ({
      async run(name, input) {
        try {
          const signal = AbortSignal.timeout(patienceMs);
          const transferList = handedOver(input);
          return (await pool.run({ name, input, folder }, { signal, transferList })) as never;
        } catch (error) {
          throw asProblem(error as Error & { code?: string });
        }
      },
    }),
    close: () => pool.destroy(),
  };
}

/** The body of a request, or the text of a row: nobody here looks at it once a job has it. */
function handedOver(input: unknown): ArrayBuffer[] {
  if (!(input instanceof Uint8Array)) return buffersIn(input);
  // A small body shares its memory with others and is copied.
  const own = input.byteLength === input.buffer.byteLength && input.buffer instanceof ArrayBuffer;
  return own ? [input.buffer] : [];
}

function asProblem(error: Error & { code?: string }): Error {
  if (
    error.name === 'AbortError' ||
    error.name === 'TimeoutError' ||
    error.code === 'ERR_WORKER_OUT_OF_MEMORY'
  )
    return refused([
      {
        path: '(document)',
        says: 'takes too much to work out here, must have less in it: fewer pieces, layers or corners',
      },
    ]);
  if (/queue/i.test(error.message))
    return new Problem(503, 'Too much is being worked out at the moment. Nothing was changed; try again.');
  return error;
}
