import { Piscina } from 'piscina';
import { Problem, refused } from '../problem';
import { threadFile } from '../root';
import { buffersIn } from '../store/largeText';
import type { Tell } from './priceWork';
import type { Begun, Told } from './thread';
import { asker } from '../people/asker';
import { TooMuchWaiting, turns, type Turns } from './turns';
import type * as work from './work';
import { fault } from '../../core/commission/fault';

/** How long one job may take once a thread works on it, ms, and how much memory that thread may have, MB. */
const PATIENCE_MS = 20_000;
const MEMORY_MB = 1_024;

type Work = typeof work;
type Name = keyof Work;

/**
 * Threads by what they are for, so that none waits for another kind: a save never for a plan, neither for a file
 * from outside. `idleMs` after its last job a thread goes, and with it the memory of what it read.
 */
const LANES = {
  saves: { threads: { min: 1, max: 2 }, idleMs: 60_000, turns: { atOnce: 2, atOnceEach: 1, waiting: 512, waitingEach: 64 } },
  plans: { threads: { min: 0, max: 2 }, idleMs: 30_000, turns: { atOnce: 2, atOnceEach: 1, waiting: 256, waitingEach: 128 } },
  files: { threads: { min: 0, max: 1 }, idleMs: 5_000, turns: { atOnce: 1, waiting: 64, waitingEach: 32 } },
} satisfies Record<string, { threads: { min: number; max: number }; idleMs: number; turns: Turns }>; // prettier-ignore
type Lane = keyof typeof LANES;

const LANE_OF: Record<Name, Lane> = {
  readNew: 'saves',
  readSave: 'saves',
  readChanges: 'saves',
  readAnswer: 'saves',
  seenBy: 'saves',
  duplicate: 'saves',
  erase: 'saves',
  documentFile: 'plans',
  takeOffFile: 'plans',
  booksFile: 'plans',
  orderSheet: 'plans',
  calendar: 'plans',
  scape: 'plans',
  glance: 'plans',
  supplierRequest: 'plans',
  yardPiece: 'plans',
  partPiece: 'plans',
  plantsFile: 'plans',
  materialsFile: 'plans',
  animalsFile: 'plans',
  search: 'plans',
  drawMesh: 'plans',
  readFile: 'files',
  readPlants: 'files',
  readMaterials: 'files',
  readAnimals: 'files',
  readPrices: 'files',
  takeScan: 'files',
};

/** Whose job it is, and until when somebody waits for it. */
export interface Asker {
  /** A commission, or a kind of work: each has its turn. */
  who: string;
  /** Who asks, where that is not whoever is signed in. */
  by?: string;
  /** Aborted when nobody wants it any more; a job that has begun goes on. */
  signal?: AbortSignal;
  /** Hears how far a job is that says so. */
  told?: Tell;
}

/** Threads for what takes long, beside the meshes of one data folder. */
export interface Jobs {
  /**
   * Runs a job of `work.ts` when it is its turn; what it needs is fetched only then, so that what waits takes no memory.
   * Throws a Problem: 503 where too many wait, 422 where the job itself took too long.
   */
  run<N extends Name>(
    name: N,
    asker: Asker,
    input: () => Parameters<Work[N]>[0] | Promise<Parameters<Work[N]>[0]>,
  ): Promise<Awaited<ReturnType<Work[N]>>>;
}

/** The threads themselves; each data folder asks them for jobs of its own. */
export interface Pool {
  in(folder: string): Jobs;
  close(): Promise<void>;
}

export function openJobs({ patienceMs = PATIENCE_MS } = {}): Pool {
  const lanes = Object.fromEntries(
    Object.entries(LANES).map(([name, lane]) => [name, openLane(lane, patienceMs)]),
  ) as Record<Lane, ReturnType<typeof openLane>>;
  return {
    in: (folder) => ({
      run: (name, asker, input) => lanes[LANE_OF[name]].run(name, asker, input, folder) as never,
    }),
    close: async () => {
      await Promise.all(Object.values(lanes).map((lane) => lane.close()));
    },
  };
}

function openLane(lane: (typeof LANES)[Lane], patienceMs: number) {
  const pool = new Piscina({
    filename: threadFile('server/jobs/thread').href,
    minThreads: lane.threads.min,
    maxThreads: lane.threads.max,
    idleTimeout: lane.idleMs,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
  });
  // A thread that ran out of memory is replaced; its job is told below.
  pool.on('error', () => {});
  const begun = new Map<number, () => void>();
  const telling = new Map<number, Tell>();
  pool.on('message', (said: Begun | Told) => {
    if ('begun' in said) begun.get(said.begun)?.();
    else telling.get(said.told)?.(said.done, said.of);
  });
  const inTurn = turns(lane.turns);
  let count = 0;

  /** Patience begins when a thread says that it has begun: neither queue nor the start of a thread is the job's fault. */
  async function patiently(job: object, input: unknown, told?: Tell): Promise<unknown> {
    const number = count++;
    const over = new AbortController();
    let timer: NodeJS.Timeout | undefined;
    if (told) telling.set(number, told);
    begun.set(number, () => (timer = setTimeout(() => over.abort(), patienceMs)));
    try {
      return await pool.run({ ...job, input, number }, { signal: over.signal, transferList: handedOver(input) }); // prettier-ignore
    } finally {
      clearTimeout(timer);
      begun.delete(number);
      telling.delete(number);
    }
  }

  return {
    run: (
      name: Name,
      { who, by = asker(), signal, told }: Asker,
      input: () => unknown,
      folder: string,
    ): Promise<unknown> =>
      inTurn(who, async () => patiently({ name, folder }, await input(), told), signal, by).catch(
        (error: Error) => {
          throw asProblem(error, name);
        },
      ),
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

function asProblem(error: Error & { code?: string }, name: Name): Error {
  if (error instanceof TooMuchWaiting)
    return new Problem(503, 'Too much is being worked out at the moment. Nothing was changed; try again.');
  if (error.name === 'AbortError' || error.code === 'ERR_WORKER_OUT_OF_MEMORY')
    return name === 'takeScan'
      ? new Problem(422, 'The file takes too much to work out here, must have fewer triangles.')
      : refused([fault('(document)', 'fault.too.long')]); // prettier-ignore
  return error;
}
