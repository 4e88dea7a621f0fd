import { type Day } from '../calendar/day';
import { startTimeOf } from '../commission/usual';
import type { Resolved } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import type { Finding } from '../words/finding';
import { clockOf } from '../calendar/clock';
import { say, type Said, type Text } from '../words/text';
import { beforehandOf } from './beforehand';
import { clockFindings, dayFindings } from './dayFindings';
import { jobOf } from './job';
import { lanesOf, type Lane } from './lanes';
import { longestChain, schedule, type Scheduled } from './schedule';
import { buildTasks } from './tasks';
import type { Beforehand } from './task';
import { shareOn } from '../visit/biofilter';
import { visitsOf, type LaterVisit } from './visits';

export type { Lane } from './lanes';

export interface BuildPlan {
  buildDay: Day;
  /** Clock time of minute 0. */
  startTime: string;
  crew: Said[];
  tasks: Scheduled[];
  lanes: Lane[];
  /** Ids of the tasks that fix the length of the day, first to last. */
  chain: string[];
  beforehand: Beforehand[];
  /** Days after the build on which more is done. */
  visits: LaterVisit[];
  /** Left out where no water goes in. */
  waterInMin?: number;
  doneMin: number;
  findings: Finding[];
}

/** The build day of a scape: its tasks with a time for each of the crew, and what cures or dries meanwhile. */
export function buildPlan(commission: Resolved, survey: Survey): BuildPlan {
  const { brief } = commission;
  const job = jobOf(commission, survey);
  const tasks = schedule(buildTasks(job), brief.crew);
  const doneMin = Math.max(...tasks.map((t) => t.endMin));
  const lanes = lanesOf(job, tasks);
  const filled = tasks.find((t) => t.id === 'fill');
  return {
    buildDay: brief.buildDay,
    startTime: startTimeOf(brief),
    crew: Array.from(
      { length: brief.crew },
      (_, i) => brief.crewNames?.[i] ?? say('person', { number: i + 1 }),
    ),
    tasks,
    lanes,
    chain: longestChain(tasks).map((t) => t.id),
    beforehand: beforehandOf(commission, survey),
    visits: visitsOf(job),
    ...(filled ? { waterInMin: filled.endMin } : {}),
    doneMin,
    findings: [
      ...dayFindings(commission, tasks, doneMin),
      ...clockFindings(lanes, (pieces) => shareOn(commission, survey, pieces)),
    ],
  };
}

/** When the water is in, where any goes in, and when the day is done. */
export function endsOf({ startTime, waterInMin, doneMin }: BuildPlan): Text {
  const done = clockOf(startTime, doneMin);
  if (waterInMin === undefined) return say('day.ends', { done });
  return say('day.ends.water', { water: clockOf(startTime, waterInMin), done });
}

export { clockOf } from '../calendar/clock';
