import { move, transferableSymbol, valueSymbol } from 'piscina';
import '../typed.mjs';

const work = await import('./work.ts');
const { buffersIn } = await import('../store/largeText.ts');

/** One job by its name. Long texts in its answer are handed over, not copied. */
export default ({ name, input }) => {
  const value = work[name](input);
  const buffers = buffersIn(value);
  return buffers.length === 0 ? value : move({ [transferableSymbol]: buffers, [valueSymbol]: value });
};
