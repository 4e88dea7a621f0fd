import type { Commission } from '../commission/schema';
import type { Survey } from '../survey/survey';
import type { TakeOff } from '../takeoff/takeOff';
import { closingTasks, openingTasks } from './frameTasks';
import { floorStoneTasks, jointTasks, stoneTasks, washTasks, woodTasks } from './hardscapeTasks';
import { jobOf } from './job';
import { plantTasks } from './plantTasks';
import { afterStripping, returningTasks, strippingTasks } from './rescapeTasks';
import { fillerTasks, firstSoilTasks, gapTasks, sandTasks } from './substrateTasks';
import type { Task } from './task';

/** The tasks that this scape needs, in the trade's order. Without sand there is no sand task. */
export function buildTasks(commission: Commission, survey: Survey, takeOff: TakeOff): Task[] {
  const job = jobOf(commission, survey, takeOff);
  const tasks = [
    ...openingTasks(job),
    ...strippingTasks(job),
    ...washTasks(job),
    ...fillerTasks(job),
    ...floorStoneTasks(job),
    ...firstSoilTasks(job),
    ...stoneTasks(job),
    ...woodTasks(job),
    ...jointTasks(job),
    ...gapTasks(job),
    ...plantTasks(job),
    ...sandTasks(job),
    ...closingTasks(job),
    ...returningTasks(job),
  ];
  return present(afterStripping(tasks));
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
