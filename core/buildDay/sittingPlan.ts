import type { Day } from '../calendar/day';
import { crewNamesOf } from './crewNames';
import type { Sitting } from '../sittings/sittings';
import type { Said } from '../words/text';
import { jobIn } from './jobIn';
import type { Job } from './job';
import { lanesOf, type Lane } from './lanes';
import { leftAfter, type Left } from './leftStanding';
import { longestChain, schedule, type Scheduled } from './schedule';
import { tasksOf } from './tasks';

/** A sitting with its tasks on a clock. */
export interface SittingPlan {
  id: string;
  kind: Sitting['kind'];
  /** What the studio calls it, where it has a name. */
  title?: string;
  day: Day;
  /** Clock time of minute 0. */
  startTime: string;
  crew: Said[];
  tasks: Scheduled[];
  lanes: Lane[];
  /** Ids of the tasks that fix its length, first to last. */
  chain: string[];
  doneMin: number;
  limitMin?: number;
  /** How the tank is left until the next; the build day leaves a tank with water. */
  left?: Left;
  note?: string;
}

/** One sitting of the work: its tasks with a time for each of its crew, and how it leaves the tank. */
export function sittingPlan(whole: Job, sitting: Sitting): SittingPlan {
  const job = jobIn(whole, sitting);
  const tasks = schedule(tasksOf(whole, job, sitting), sitting.crew, whole.commission.brief.learner);
  const left = leftAfter(whole, sitting);
  return {
    id: sitting.id,
    kind: sitting.kind,
    ...(sitting.title ? { title: sitting.title } : {}),
    day: sitting.day,
    startTime: sitting.start,
    crew: crewNamesOf(whole.commission.brief, sitting.crew),
    tasks,
    lanes: lanesOf(job, tasks),
    chain: longestChain(tasks).map((t) => t.id),
    doneMin: Math.max(0, ...tasks.map((t) => t.endMin)),
    ...(sitting.limitMin ? { limitMin: sitting.limitMin } : {}),
    ...(left ? { left } : {}),
    ...(sitting.note ? { note: sitting.note } : {}),
  };
}
