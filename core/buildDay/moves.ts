import type { Move } from '../sittings/move';
import { BUILD } from '../sittings/sittings';
import { taskKind } from '../sittings/taskKinds';
import { say, type Text } from '../words/text';
import type { WorkGraph } from './workGraph';

/** What moves with a task, or why it cannot go there. */
export type Moves = { moves: Move[]; refused?: undefined } | { moves?: undefined; refused: Text };

/**
 * Everything that gets another sitting when a task does: whatever it needs and would come later goes with it, and whatever
 * needs it and would come before. The task itself is the first of them.
 * Out of a sitting (`from`) that is not that of the task itself only the single things go that were given it.
 * Valid for tasks that `isMovable`. Leaves out: single things that were given a sitting themselves; they stay in it.
 * Test: moves.test.ts, "takes along what it needs to an earlier day, and what needs it to a later".
 */
export function movesWith(graph: WorkGraph, task: string, to: string, from?: string): Moves {
  const { sittings, tasks } = graph;
  const [target, water] = [sittings.indexOf(to), sittings.indexOf(BUILD)];
  if (!Object.hasOwn(tasks, task) || target < 0) return { moves: [] };
  const moveOf = (key: string): Move => ({ task: key, to, ...(tasks[key].layers.length > 0 ? { layers: tasks[key].layers } : {}) }); // prettier-ignore
  if (from !== undefined && from !== tasks[task].sitting)
    return { moves: [{ ...moveOf(task), single: true }] };
  const moved = [...along(graph, task, target)];
  const fixed = target > water && moved.find((key) => !taskKind(key).mayBeLater);
  if (fixed) return { refused: say('move.only.build', { task: tasks[fixed].title }) };
  return { moves: moved.filter((key) => key === task || taskKind(key).isFree).map(moveOf) };
}

/** The task, and all that it pulls to an earlier sitting or pushes to a later. */
function along({ sittings, tasks, needs }: WorkGraph, task: string, target: number): Set<string> {
  const at = (key: string) => sittings.indexOf(tasks[key].sitting);
  const isEarlier = target < at(task);
  const moved = new Set([task]);
  const open = [task];
  while (open.length > 0) {
    const next = open.pop()!;
    for (const [first, then] of needs) {
      const [from, other] = isEarlier ? [then, first] : [first, then];
      if (from !== next || moved.has(other) || (isEarlier ? at(other) <= target : at(other) >= target)) continue;
      moved.add(other);
      open.push(other);
    }
  }
  return moved;
} // prettier-ignore

/** True for a task that somebody may give another sitting. */
export function isMovable(task: string): boolean {
  return taskKind(task).isFree;
}
