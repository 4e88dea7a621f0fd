import { shallowRef } from 'vue';
import { changesBetween, type Change } from '../../core/commission/changes';
import type { Commission } from '../../core/commission/schema';
import { lastSteps } from './stepSize';

/** Steps that can be undone at most, and the memory for them: a brush over a sculpted bed makes large ones. */
export const MOST_STEPS = 1_000;
export const MOST_STEP_BYTES = 40 * 1024 * 1024;
const bounded = (steps: Change[][]) => lastSteps(steps, MOST_STEPS, MOST_STEP_BYTES);
/** Steps of one gesture or of one field within this time are undone as one. */
const SAME_STEP_MS = 1_200;

/** What can be undone and redone: steps, each the changes it made; and what belongs to one step. */
export function useSteps() {
  const past = shallowRef<Change[][]>([]);
  const future = shallowRef<Change[][]>([]);
  let last = { key: '', at: 0 };
  /** The document before the step that is under way. */
  let base: Commission | undefined;
  /** While a hand drags: whether its first change has been noted as a step yet. */
  let gesture: 'none' | 'begun' | 'noted' = 'none';
  /** Changes with every step that is made, taken back or made again. */
  let turn = 0;

  function begins(key: string): boolean {
    const now = Date.now();
    const same = key === last.key && now - last.at <= SAME_STEP_MS;
    last = { key, at: now };
    if (gesture === 'none') return !same;
    const first = gesture === 'begun';
    gesture = 'noted';
    return first;
  }

  /** Notes an edit, as a step of its own or as more of the one under way. */
  function note(key: string, before: Commission, after: Commission): void {
    const fresh = begins(key) || !base || past.value.length === 0;
    if (fresh) {
      base = before;
      turn++;
    }
    const step = changesBetween(base!, after);
    past.value = bounded([...(fresh ? past.value : past.value.slice(0, -1)), step]);
    future.value = [];
  }

  /** What follows of itself from the last step is taken back with it; what was taken back can still be made again. */
  function more(changes: Change[]): void {
    const last = past.value.at(-1);
    if (last) past.value = bounded([...past.value.slice(0, -1), [...last, ...changes]]);
  }

  /** A step that was made in one: choosing between two versions. */
  function add(step: Change[]): void {
    turn++;
    past.value = bounded([...past.value, step]);
    future.value = [];
    end();
  }

  /** Takes the last step from one list to the other; undefined when there is none. */
  function shift(from: typeof past, to: typeof past): Change[] | undefined {
    const step = from.value.at(-1);
    if (!step) return undefined;
    turn++;
    to.value = [...to.value, step];
    from.value = from.value.slice(0, -1);
    end();
    return step;
  }

  /** Everything until `end` is one step, whatever it changes: a drag that moves and buries. */
  function begin(): void {
    gesture = 'begun';
  }

  /** The next change is a step of its own. */
  function end(): void {
    gesture = 'none';
    last = { key: '', at: 0 };
    base = undefined;
  }

  function clear(): void {
    [past.value, future.value] = [[], []];
    turn++;
    end();
  }

  return { past, future, note, more, add, shift, begin, end, clear, turn: () => turn };
}
