import { taskKey } from '../sittings/homes';
import type { Move } from '../sittings/move';
import { BUILD } from '../sittings/sittings';
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
  if (!(task in tasks) || target < 0) return { moves: [] };
  const layers = tasks[task].layers.length > 0 ? { layers: tasks[task].layers } : {};
  if (from !== undefined && from !== tasks[task].sitting)
    return { moves: [{ task, to, single: true, ...layers }] };
  const moved = [...along(graph, task, target)];
  const fixed = target > water && moved.find((key) => !MAY_BE_LATER.test(key));
  if (fixed) return { refused: say('move.only.build', { task: tasks[fixed].title }) };
  const said = moved.filter((key) => key === task || !FOLLOWS.test(key));
  return { moves: said.map((key) => ({ task: key, to, ...(tasks[key].layers.length > 0 ? { layers: tasks[key].layers } : {}) })) }; // prettier-ignore
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

/** What may come after the water: plants, a layer on which nothing that comes before it rests, the picture. */
const MAY_BE_LATER = /^(plant-.*|epiphytes|floaters|sand|layer-.*|photograph)$/;

/** What goes with the things that it is made for, and is never said to belong anywhere. */
const FOLLOWS = /^(prepare-.*|wiggle|close|dam|gaps|rinse)$/;

/** Nothing of this is moved by hand: it follows something else, or stands at the beginning or end of each sitting. */
const STAYS =
  /^(prepare-.*|wiggle|close|dam|gaps|rinse|arrive|carry|break|leave|compose|table|clear-up|start|wash|refloat|fill|fill-part|return|(partly|submerged)-.*)$/;

/** True for a task that somebody may give another sitting. */
export function isMovable(task: string): boolean {
  return !STAYS.test(taskKey(task));
}
