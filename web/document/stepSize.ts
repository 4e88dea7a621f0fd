import type { Change } from '../../core/commission/changes';

/** What an object and an entry take at the least, and a character, bytes: roughly what engines need. */
const OBJECT_BYTES = 48;
const FIGURE_BYTES = 8;
const CHARACTER_BYTES = 2;

/** About how much memory a value takes, bytes. A long list of figures, a sculpted bed, is not looked into. */
export function bytesOf(value: unknown): number {
  if (typeof value === 'string') return OBJECT_BYTES + value.length * CHARACTER_BYTES;
  if (value === null || typeof value !== 'object') return FIGURE_BYTES;
  if (Array.isArray(value) && typeof value[0] === 'number') return OBJECT_BYTES + value.length * FIGURE_BYTES;
  return Object.values(value).reduce<number>((sum, inner) => sum + bytesOf(inner), OBJECT_BYTES);
}

/** A step is asked again and again while it is among those that can be undone. */
const known = new WeakMap<readonly Change[], number>();

function stepBytes(step: readonly Change[]): number {
  const bytes = known.get(step) ?? bytesOf(step);
  known.set(step, bytes);
  return bytes;
}

/** The last steps, so many at most and no more than so many bytes; the last one always. */
export function lastSteps<T extends readonly Change[]>(
  steps: readonly T[],
  most: number,
  mostBytes: number,
): T[] {
  let bytes = 0;
  let from = steps.length;
  while (from > 0 && steps.length - from < most) {
    bytes += stepBytes(steps[from - 1]);
    if (bytes > mostBytes && from < steps.length) break;
    from--;
  }
  return steps.slice(from);
}
