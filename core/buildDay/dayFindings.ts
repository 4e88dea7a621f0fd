import { daysFrom, type Day } from '../calendar/day';
import { BUILD, type Sitting } from '../sittings/sittings';
import type { Finding } from '../words/finding';
import { PRACTICE, say, type Text } from '../words/text';
import { clockOf, minuteOf } from '../calendar/clock';
import type { BuildPlan } from './buildPlan';
import type { Lane } from './lanes';
import type { Scheduled } from './schedule';
import { pastSittings } from './sittingFindings';
import type { SittingPlan } from './sittingPlan';

/** A working day beyond this is too long for good hands, minutes (common practice). */
const LONG_DAY_MIN = 10 * 60;
const MIDNIGHT_MIN = 24 * 60;
/** What touches neither tank nor plants and can be done in the yard the day before. */
const AHEAD = ['wash', 'rinse', 'unpack'];

/** A sitting that is too long, ends after midnight or outside the house's hours, or asks for hands that do not come. */
export function dayFindings(
  { id, crew, start, hours }: Pick<Sitting, 'id' | 'crew' | 'start' | 'hours'>,
  { tasks, doneMin, day }: Pick<SittingPlan, 'tasks' | 'doneMin' | 'day'>,
): Finding[] {
  // Of the build day it is said without a day: it is the one that everybody has in mind.
  const isBuild = id === BUILD;
  const when = { day: { day } };
  const end = clockOf(start, doneMin);
  const because = aheadOf(tasks);
  const at = { field: isBuild ? 'brief.startTime' : 'brief.sittings' };
  const found: Finding[] = [];
  const endMin = minuteOf(start) + doneMin;
  if (endMin > MIDNIGHT_MIN)
    found.push({
      id: 'build.midnight',
      severity: 'stop',
      at,
      measured: endMin,
      limit: MIDNIGHT_MIN,
      unit: 'min',
      says: isBuild
        ? say('build.midnight.says', { end })
        : say('build.midnight.says.sitting', { end, ...when }),
      because,
      source: say('source.brief'),
    });
  else if (hours && (start < hours[0] || endMin > minuteOf(hours[1])))
    found.push({
      id: 'build.house',
      severity: 'warn',
      at: { field: isBuild ? 'site.hours' : 'brief.sittings' },
      measured: endMin,
      limit: minuteOf(hours[1]),
      unit: 'min',
      says: isBuild
        ? say('build.house.says', { start, end, from: hours[0], until: hours[1] })
        : say('build.house.says.sitting', { start, end, from: hours[0], until: hours[1], ...when }),
      because:
        start < hours[0]
          ? say('build.house.because.early', {
              from: hours[0],
              end: clockOf(hours[0], doneMin),
              ahead: because,
            })
          : because,
      source: say('source.brief'),
    });
  if (doneMin > LONG_DAY_MIN)
    found.push({
      id: 'build.long',
      severity: 'warn',
      at: { field: isBuild ? 'brief.crew' : 'brief.sittings' },
      measured: Math.round(doneMin / 6) / 10,
      limit: LONG_DAY_MIN / 60,
      unit: 'h',
      says: isBuild
        ? say('build.long.says', { hours: Math.round(doneMin / 6) / 10, crew })
        : say('build.long.says.sitting', { hours: Math.round(doneMin / 6) / 10, crew, ...when }),
      because: say('build.long.because', { ahead: because }),
      source: PRACTICE,
    });
  const most = tasks.reduce<Scheduled | undefined>((a, b) => (!a || b.people > a.people ? b : a), undefined);
  // A second pair of hands is found in any house; more have to be asked for.
  if (most && most.people > Math.max(2, crew))
    found.push({
      id: 'build.hands',
      severity: 'warn',
      at: { field: isBuild ? 'brief.crew' : 'brief.sittings' },
      measured: crew,
      limit: most.people,
      unit: 'people',
      says: say('build.hands.says', { task: most.short ?? most.title, needs: most.people, crew }),
      because: say('build.hands.because'),
      source: say('source.niosh'),
    });
  return found;
}

/** What has to begin on an earlier day, and that day is over; once the build day itself is, nothing can be late for it. */
export function pastFindings(
  { buildDay, beforehand, earlier }: Pick<BuildPlan, 'buildDay' | 'beforehand' | 'earlier'>,
  today: Day | undefined,
): Finding[] {
  if (today === undefined || buildDay < today) return [];
  const past: Finding[] = beforehand
    .filter((b) => b.day < today)
    .map(({ day, kind, title }) => ({
      id: 'build.past',
      severity: 'warn',
      at: { field: 'brief.buildDay', task: kind },
      measured: daysFrom(day, today),
      limit: 0,
      unit: 'days',
      says: say('build.past.says', { title, day: { day }, days: daysFrom(day, today) }),
      because: say('build.past.because'),
      source: say('source.brief'),
    }));
  return [...past, ...pastSittings(earlier, today)];
}

/** What could be done the day before, and how long it takes. */
function aheadOf(tasks: readonly Scheduled[]): Text {
  const ahead = tasks.filter((t) => AHEAD.includes(t.id));
  if (ahead.length === 0) return say('build.ahead.because.none');
  const minutes = ahead.reduce((sum, t) => sum + t.minutes, 0);
  return say('build.ahead.because', { minutes, tasks: ahead.map((t) => t.short ?? t.title) });
}

/** Whatever is out of water for longer than it bears; `shareOf` says how much of the biofilter is on some pieces. */
export function clockFindings(
  lanes: readonly Lane[],
  shareOf: (pieces: readonly string[]) => number,
): Finding[] {
  return lanes.flatMap(({ kind, fromMin, toMin, limitMin, pieces }): Finding[] => {
    const minutes = Math.round(toMin - fromMin);
    if (kind === 'cures' || limitMin === undefined || minutes <= limitMin) return [];
    const percent = Math.round(shareOf(pieces ?? []) * 100);
    const values = { minutes, limit: limitMin, pieces: pieces ?? [], count: pieces?.length ?? 0, percent };
    return [
      {
        id: 'build.out',
        severity: 'warn',
        at: { field: 'brief.crew', ...(pieces ? { pieces } : {}) },
        measured: minutes,
        limit: limitMin,
        unit: 'min',
        says: say(`build.out.${kind}.says`, values),
        because: say(`build.out.${kind}.because`, values),
        source: PRACTICE,
      },
    ];
  });
}
