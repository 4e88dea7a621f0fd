import { move, transferableSymbol, valueSymbol } from 'piscina';
import { buffersIn } from '../store/largeText';
import * as work from './work';

/** One job by its name. Long texts in its answer are handed over, not copied. */
export default function job({ name, input }: { name: keyof typeof work; input: never }): unknown {
  const value: unknown = (work[name] as (input: never) => unknown)(input);
  const buffers = buffersIn(value);
  return buffers.length === 0
    ? value
    : move({ [transferableSymbol]: buffers, [valueSymbol]: value } as never);
}
