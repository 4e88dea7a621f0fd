import { type Day } from '../calendar/day';
import { startTimeOf } from '../commission/usual';
import type { Commission } from '../commission/schema';
import type { Survey } from '../survey/survey';
import type { TakeOff } from '../takeoff/takeOff';
import type { Finding } from '../words/finding';
import { PRACTICE, say, type Said, type Text } from '../words/text';
import { beforehandOf } from './beforehand';
import { MEDIA_OUT_MIN } from './rates';
import { longestChain, schedule, type Scheduled } from './schedule';
import { buildTasks } from './tasks';
import type { Beforehand } from './task';

/** A stretch of the day during which something cures, or is out of water. Minutes from the start. */
export interface Lane {
  kind: 'cures' | 'plants' | 'media';
  what: Text;
  fromMin: number;
  toMin: number;
  /** Longest it should last, when there is such a limit. */
  limitMin?: number;
}

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
  waterInMin: number;
  doneMin: number;
  findings: Finding[];
}

/** A working day beyond this is too long for good hands, minutes (common practice). */
const LONG_DAY_MIN = 10 * 60;

/** The build day of a scape: its tasks with a time for each of the crew, and what cures or dries meanwhile. */
export function buildPlan(commission: Commission, survey: Survey, takeOff: TakeOff): BuildPlan {
  const { brief } = commission;
  const tasks = schedule(buildTasks(commission, survey, takeOff), brief.crew);
  const doneMin = Math.max(...tasks.map((t) => t.endMin));
  const lanes = lanesOf(tasks);
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
    waterInMin: tasks.find((t) => t.id === 'fill')!.endMin,
    doneMin,
    findings: dayFindings(doneMin, brief.crew),
  };
}

/** Clock time of a minute of the day: minute 95 after 08:30 is 10:05. */
export function clockOf(startTime: string, minute: number): string {
  const [h, m] = startTime.split(':').map(Number);
  const total = h * 60 + m + Math.round(minute);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${two(Math.floor(total / 60) % 24)}:${two(total % 60)}`;
}

function lanesOf(tasks: readonly Scheduled[]): Lane[] {
  const cures = tasks.flatMap((t): Lane[] =>
    t.cure ? [{ kind: 'cures', what: t.cure.what, fromMin: t.endMin, toMin: t.endMin + t.cure.minutes }] : [],
  );
  const find = (id: string) => tasks.find((t) => t.id === id);
  const prepared = tasks
    .filter((t) => t.id.startsWith('prepare-'))
    .sort((a, b) => a.startMin - b.startMin)[0];
  const filled = find('fill')!;
  const started = find('start')!;
  return [
    ...cures,
    ...(prepared
      ? [
          {
            kind: 'plants' as const,
            what: say('lane.plants'),
            fromMin: prepared.startMin,
            toMin: filled.endMin,
          },
        ]
      : []),
    {
      kind: 'media',
      what: say('lane.media'),
      fromMin: started.startMin,
      toMin: started.endMin,
      limitMin: MEDIA_OUT_MIN,
    },
  ];
}

function dayFindings(doneMin: number, crew: number): Finding[] {
  if (doneMin <= LONG_DAY_MIN) return [];
  const hours = Math.round(doneMin / 6) / 10;
  return [
    {
      id: 'build.long',
      severity: 'warn',
      at: { field: 'brief.crew' },
      measured: hours,
      limit: LONG_DAY_MIN / 60,
      unit: 'h',
      says: say('build.long.says', { hours, crew }),
      because: say('build.long.because'),
      source: PRACTICE,
    },
  ];
}
