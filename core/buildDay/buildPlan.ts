import type { Day } from '../calendar/day';
import { startTimeOf } from '../commission/usual';
import type { Resolved } from '../resolved/resolved';
import { BUILD, buildingOf, sittingsOf } from '../sittings/sittings';
import type { Survey } from '../survey/survey';
import type { Finding } from '../words/finding';
import { clockOf } from '../calendar/clock';
import { say, type Said, type Text } from '../words/text';
import { brokenDownFindings, brokenDownOf } from '../beforehand/brokenDown';
import { beforehandOf } from './beforehand';
import { clockFindings, dayFindings } from './dayFindings';
import { jobOf } from './job';
import type { Lane } from './lanes';
import type { Scheduled } from './schedule';
import { sittingFindings } from './sittingFindings';
import { sittingPlan, type SittingPlan } from './sittingPlan';
import type { Beforehand } from './task';
import { shareOn } from '../visit/biofilter';
import { visitsOf, type LaterVisit } from './visits';
import { visitPlan } from './visitPlan';
import { wholeWork } from './wholeWork';
import { workGraph, type WorkGraph } from './workGraph';

export type { Lane } from './lanes';
export type { SittingPlan } from './sittingPlan';

export interface BuildPlan {
  buildDay: Day;
  /** Clock time of minute 0. */
  startTime: string;
  crew: Said[];
  tasks: Scheduled[];
  lanes: Lane[];
  /** Ids of the tasks that fix the length of the day, first to last. */
  chain: string[];
  /** Sittings before the build day, the soonest first. */
  earlier: SittingPlan[];
  /** What waits for what between them; left out where all is done in one day. */
  graph?: WorkGraph;
  beforehand: Beforehand[];
  /** Days after the build on which more is done. */
  visits: LaterVisit[];
  /** Left out where no water goes in. */
  waterInMin?: number;
  doneMin: number;
  findings: Finding[];
}

/**
 * The work on a scape by sitting, up to the build day and after it: the tasks of each with a time for each of its crew, and
 * what cures or dries meanwhile. Without sittings it is the one day.
 */
export function buildPlan(commission: Resolved, survey: Survey): BuildPlan {
  const { brief } = commission;
  const sittings = buildingOf(commission);
  const jobs = new Map([...new Set(sittings.map((s) => s.crew))].map((crew) => [crew, jobOf(commission, survey, crew)])); // prettier-ignore
  const plans = sittings.map((s) => sittingPlan(jobs.get(s.crew)!, s));
  const { tasks, lanes, chain, doneMin, crew } = plans.at(-1)!;
  const job = jobs.get(brief.crew)!;
  // In one day nothing is before or after anything else.
  const whole = sittingsOf(commission).length > 1 ? wholeWork(job) : undefined;
  const visits = visitsOf(job);
  const filled = tasks.find((t) => t.id === 'fill');
  return {
    buildDay: brief.buildDay,
    startTime: startTimeOf(brief),
    crew,
    tasks,
    lanes,
    chain,
    earlier: plans.slice(0, -1),
    ...(whole ? { graph: workGraph(job, whole) } : {}),
    beforehand: beforehandOf(commission, survey),
    visits,
    ...(filled ? { waterInMin: filled.endMin } : {}),
    doneMin,
    findings: [
      ...plans.flatMap((plan, i) => [
        ...dayFindings(sittings[i], plan),
        ...clockFindings(plan.lanes, (pieces) => shareOn(commission, survey, pieces)),
      ]),
      ...visits.flatMap((v) => (v.sitting ? dayFindings(v.sitting, visitPlan(v, brief)) : [])),
      ...brokenDownFindings(brokenDownOf(commission, survey)),
      ...sittingFindings(job, whole, plans, visits.flatMap((v) => (v.sitting ? [visitPlan(v, brief)] : []))),
    ],
  };
} // prettier-ignore

/** The build day as a sitting like those before it. */
export function buildDayOf(build: BuildPlan): SittingPlan & Pick<BuildPlan, 'waterInMin'> {
  const { startTime, crew, tasks, lanes, chain, doneMin, waterInMin, buildDay: day } = build;
  return { id: BUILD, kind: BUILD, day, startTime, crew, tasks, lanes, chain, doneMin, ...(waterInMin === undefined ? {} : { waterInMin }) }; // prettier-ignore
}

/** When the water is in, where any goes in, and when the day is done. */
export function endsOf({
  startTime,
  waterInMin,
  doneMin,
}: Pick<BuildPlan, 'startTime' | 'waterInMin' | 'doneMin'>): Text {
  const done = clockOf(startTime, doneMin);
  if (waterInMin === undefined) return say('day.ends', { done });
  return say('day.ends.water', { water: clockOf(startTime, waterInMin), done });
}

export { clockOf } from '../calendar/clock';
