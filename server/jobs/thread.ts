import { move, transferableSymbol, valueSymbol } from 'piscina';
import { buffersIn } from '../store/largeText';
import { meshesIn, type Meshes } from '../store/meshes';
import * as work from './work';

interface Job {
  name: keyof typeof work;
  input: never;
  /** Where the data is to which the job belongs. */
  folder: string;
}

/** One job by its name. Long texts in its answer are handed over, not copied. */
export default async function job({ name, input, folder }: Job): Promise<unknown> {
  const run = work[name] as (input: never, meshes: Meshes) => unknown;
  const value = await run(input, meshesIn(folder));
  const buffers = buffersIn(value);
  return buffers.length === 0
    ? value
    : move({ [transferableSymbol]: buffers, [valueSymbol]: value } as never);
}
