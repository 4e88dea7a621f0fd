import { homeOf } from '../sittings/homes';
import type { Sitting } from '../sittings/sittings';
import { arrivingTasks, breakTasks, carryTasks, isFirst, leavingOverTasks } from './betweenTasks';
import { closingTasks, openingTasks } from './frameTasks';
import {
  composeTasks,
  floorStoneTasks,
  jointTasks,
  moveTasks,
  stoneTasks,
  tableTasks,
  trialTasks,
  wareTasks,
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
import { strewnTasks } from './strewnTasks';
import type { Step, Task } from './task';

/**
 * The tasks of one sitting, each after what it rests on (`order.ts`): of what is set, poured and planted in it (`job`), and
 * of the whole work (`whole`) what belongs to it. What is there already has none.
 */
export function tasksOf(whole: Job, job: Job, sitting: Sitting): Task[] {
  const isIts = ({ id }: Step) => homeOf(whole.commission, id).id === sitting.id;
  const steps = [
    ...(isFirst(whole, sitting) ? [] : arrivingTasks(whole)),
    ...carryTasks(whole, sitting),
    ...framing(whole)[0].filter(isIts),
    ...(sitting.kind === 'rebuild' ? composeTasks(whole, sitting.limitMin) : []),
    ...thingSteps(job),
    ...framing(whole)[1].filter(isIts),
    ...leavingOverTasks(whole, sitting),
  ];
  return inOrder([...steps, ...breakTasks(job, steps)], job);
}

/** Every task of the whole work, whichever sitting it is in. */
export function wholeSteps(job: Job): Step[] {
  const [before, after] = framing(job);
  return [...before, ...thingSteps(job), ...after];
}

/** What is done before the scape and after it, once in the whole work. */
function framing(job: Job): [Step[], Step[]] {
  return [
    [...openingTasks(job), ...strippingTasks(job), ...tableTasks(job), ...trialTasks(job), ...moveTasks(job)],
    [...closingTasks(job), ...returningTasks(job)],
  ];
}

/** What is done with stones, wood, layers and plants, those of one sitting or all. */
function thingSteps(job: Job): Step[] {
  return [
    ...washTasks(job),
    ...fillerTasks(job),
    ...floorStoneTasks(job),
    ...damTasks(job),
    ...bedTasks(job),
    ...firstSoilTasks(job),
    ...stoneTasks(job),
    ...wareTasks(job),
    ...woodTasks(job),
    ...jointTasks(job),
    ...closingGapTasks(job),
    ...gapTasks(job),
    ...pocketTasks(job),
    ...strewnTasks(job),
    ...plantTasks(job),
    ...sandTasks(job),
  ];
}
