import { taskKey } from '../sittings/homes';
import type { Move } from '../sittings/move';
import { BUILD, sittingsOf } from '../sittings/sittings';
import { say, type Text } from '../words/text';
import { homedTasks } from './betweenSittings';
import type { Job } from './job';
import { edgesAcross } from './order';
import { wholeSteps } from './tasks';

/** What moves with a task, or why it cannot go there. */
export type Moves = { moves: Move[]; refused?: undefined } | { moves?: undefined; refused: Text };

/**
 * Everything that gets another sitting when a task does: whatever it needs and would come later goes with it, and whatever
 * needs it and would come before. The task itself is the first of them.
 * Valid for tasks that `isMovable`. Leaves out: single things that were given a sitting themselves; they stay in it.
 * Test: moves.test.ts, "takes along what it needs to an earlier day, and what needs it to a later".
 */
export function movesWith(job: Job, task: string, to: string): Moves {
  const all = sittingsOf(job.commission);
  const at = (id: string) => all.findIndex((s) => s.id === id);
  const tasks = homedTasks(job);
  const own = tasks.get(task);
  const target = at(to);
  if (!own || target < 0) return { moves: [] };
  const water = at(BUILD);
  if (target > water && !MAY_BE_LATER.test(task)) return { refused: say('move.only.build', { task: own.title }) }; // prettier-ignore
  const homes = new Map([...tasks].map(([key, { home }]) => [key, all.indexOf(home)]));
  const earlier = target < homes.get(task)!;
  const edges = edgesAcross(wholeSteps(job), job).map((e) => ({ first: taskKey(e.first), then: taskKey(e.then) }));
  const moved = new Set([task]);
  const open = [task];
  while (open.length > 0) {
    const next = open.pop()!;
    for (const { first, then } of edges) {
      const [from, other] = earlier ? [then, first] : [first, then];
      if (from !== next || moved.has(other)) continue;
      const where = homes.get(other)!;
      if (earlier ? where <= target : where >= target) continue;
      moved.add(other);
      open.push(other);
    }
  }
  const fixed = [...moved].find((key) => target > water && !MAY_BE_LATER.test(key));
  if (fixed) return { refused: say('move.only.build', { task: tasks.get(fixed)!.title }) };
  return { moves: [...moved].filter((key) => key === task || !FOLLOWS.test(key)).map((key) => ({ task: key, to, ...layersOf(job, key) })) };
} // prettier-ignore

function layersOf({ pours }: Job, task: string): Pick<Move, 'layers'> {
  const layers = pours.filter((p) => p.task === task).map((p) => p.layer);
  return layers.length > 0 ? { layers } : {};
}

/** What may come after the water: plants, a layer on which nothing that comes before it rests, the picture. */
const MAY_BE_LATER = /^(plant-.*|epiphytes|floaters|sand|layer-.*|photograph)$/;

/** What goes with the things that it is made for, and is never said to belong anywhere. */
const FOLLOWS = /^(prepare-.*|wiggle|close|dam|gaps|rinse)$/;

/** Nothing of this is moved by hand: it follows something else, or stands at the beginning or end of each sitting. */
const STAYS =
  /^(prepare-.*|wiggle|close|dam|gaps|rinse|arrive|leave|compose|table|clear-up|start|refloat|fill|return)$/;

/** True for a task that somebody may give another sitting. */
export function isMovable(task: string): boolean {
  return !STAYS.test(taskKey(task));
}
