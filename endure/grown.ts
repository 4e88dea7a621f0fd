import { memoryOf } from './memory';

/** Memory at the end of many like pieces of work against that in the middle third of them, MB. */
export const MOST_MORE_MB = 80;

/** Does so many like pieces of work; what a process and its children have at the end, and how much more than in the middle, MB. */
export async function grown(
  pid: number,
  many: number,
  work: (n: number) => Promise<unknown>,
): Promise<{ atEnd: number; more: number }> {
  const at: number[] = [];
  for (let n = 0; n < many; n++) {
    await work(n);
    if (n % Math.max(1, Math.floor(many / 30)) === 0) at.push(memoryOf(pid));
  }
  const middle = (part: number[]) => part.toSorted((a, b) => a - b)[part.length >> 1];
  const third = Math.max(1, Math.floor(at.length / 3));
  const [before, atEnd] = [middle(at.slice(third, 2 * third)), middle(at.slice(-third))];
  return { atEnd, more: atEnd - before };
}
