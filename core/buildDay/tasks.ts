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
import { inOrder } from './order';
import { plantTasks } from './plantTasks';
import { returningTasks, strippingTasks } from './rescapeTasks';
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

/** The tasks that this scape needs, each after what it rests on (`order.ts`). What is there already has none. */
export function buildTasks(job: Job): Task[] {
  const steps = [
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
  return inOrder(steps, job);
}
