import { createHash } from 'node:crypto';
import { parentPort } from 'node:worker_threads';
import { move, transferableSymbol, valueSymbol } from 'piscina';
import { hashBy } from '../../core/exchange/meshBlob';
import { buffersIn } from '../store/largeText';
import { meshesIn, type Meshes } from '../store/meshes';
import type { Tell } from './priceWork';
import * as work from './work';

hashBy((bytes) => createHash('sha256').update(bytes).digest('hex'));

interface Job {
  name: keyof typeof work;
  input: never;
  /** Where the data is to which the job belongs. */
  folder: string;
  number: number;
}

/** Said when a job is no longer waiting, by its number. */
export interface Begun {
  begun: number;
}

/** Said by a job that is on its way: so much is done of so much. */
export interface Told {
  told: number;
  done: number;
  of: number;
}

/** One job by its name. Long texts in its answer are handed over, not copied. */
export default async function job({ name, input, folder, number }: Job): Promise<unknown> {
  parentPort?.postMessage({ begun: number } satisfies Begun);
  const tell = (done: number, of: number) =>
    parentPort?.postMessage({ told: number, done, of } satisfies Told);
  const run = work[name] as (input: never, meshes: Meshes, tell: Tell) => unknown;
  const value = await run(input, meshesIn(folder), tell);
  const buffers = buffersIn(value);
  return buffers.length === 0
    ? value
    : move({ [transferableSymbol]: buffers, [valueSymbol]: value } as never);
}
