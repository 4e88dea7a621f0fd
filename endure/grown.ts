import { memoryOf } from './memory';

/** Memory at the end of many like pieces of work against that in the middle third of them, at least, MB. */
export const MOST_MORE_MB = 40;
/** How often it is looked at. */
const LOOKS = 90;

/**
 * Does so many like pieces of work; what a process and its children have in the last third of them at least, and how much more
 * that is than in the middle, MB. The least is what is truly held: above it lies what is collected when there is time.
 */
export async function grown(
  pid: number,
  many: number,
  work: (n: number) => Promise<unknown>,
): Promise<{ atEnd: number; more: number }> {
  const at: number[] = [];
  for (let n = 0; n < many; n++) {
    await work(n);
    if (n % Math.max(1, Math.floor(many / LOOKS)) === 0) at.push(memoryOf(pid));
  }
  const third = Math.max(1, Math.floor(at.length / 3));
  const [before, atEnd] = [Math.min(...at.slice(third, 2 * third)), Math.min(...at.slice(-third))];
  return { atEnd, more: atEnd - before };
}
