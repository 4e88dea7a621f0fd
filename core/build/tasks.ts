import { closingTasks, openingTasks } from './frameTasks';
import {
  floorStoneTasks,
  jointTasks,
  moveTasks,
  stoneTasks,
  trialTasks,
  washTasks,
  woodTasks,
} from './hardscapeTasks';
import type { Job } from './job';
import { plantTasks } from './plantTasks';
import { afterStripping, returningTasks, strippingTasks } from './rescapeTasks';
import {
  bedTasks,
  closingGapTasks,
  damTasks,
  fillerTasks,
  firstSoilTasks,
  gapTasks,
  pocketTasks,
  sandTasks,
} from './substrateTasks';
import type { Task } from './task';

/** The tasks that this scape needs: each after what it rests on. What is there already has none. */
export function buildTasks(job: Job): Task[] {
  const tasks = [
    ...openingTasks(job),
    ...strippingTasks(job),
    ...washTasks(job),
    ...trialTasks(job),
    ...moveTasks(job),
    ...fillerTasks(job),
    ...floorStoneTasks(job),
    ...damTasks(job),
    ...bedTasks(job),
    ...firstSoilTasks(job),
    ...stoneTasks(job),
    ...woodTasks(job),
    ...jointTasks(job),
    ...closingGapTasks(job),
    ...gapTasks(job),
    ...pocketTasks(job),
    ...plantTasks(job),
    ...sandTasks(job),
    ...closingTasks(job),
    ...returningTasks(job),
  ];
  return present(afterTrial(afterStripping(tasks)));
}

/** Nothing lies in the tank while the hardscape is tried out on its floor. */
function afterTrial(tasks: readonly Task[]): Task[] {
  if (!tasks.some((t) => t.id === 'trial')) return [...tasks];
  const first = ['filler', 'soil', 'floor-stones', 'stones', 'wood', 'sand'];
  return tasks.map((t) =>
    first.includes(t.id) || t.id.startsWith('layer-') ? { ...t, needs: [...t.needs, 'trial'] } : t,
  );
}

/** In whole minutes; a need for a task that this scape does not have has nothing to wait for. */
function present(tasks: Task[]): Task[] {
  const ids = new Set(tasks.map((t) => t.id));
  return tasks.map((t) => ({
    ...t,
    minutes: Math.max(1, Math.round(t.minutes)),
    needs: t.needs.filter((id) => ids.has(id)),
  }));
}
