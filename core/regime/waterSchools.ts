import { dayPlus, weekdayOf, type Day, type Weekday } from '../calendar/day';
import type { WaterSchool } from '../commission/schema';
import { say, type Text } from '../words/text';

/** A water change: days after the build day, and the share of the free water taken out. */
export interface Change {
  afterDays: number;
  share: number;
}

/** Length of the care plan: eight weeks after the build day. Week 1 is days 1 to 7. */
export const CARE_DAYS = 56;

/** The last build day of which the care has ended by a day: the list has it in the archive from then on. */
export function careEndedFor(today: Day): Day {
  return dayPlus(today, -CARE_DAYS - 1);
}

interface School {
  title: Text;
  /** The rule in a sentence, as the client reads it. */
  rule: Text;
  changes: () => Change[];
}

/** Every `step` days from `from` to `to`, both included. */
function every(step: number, from: number, to: number, share: number): Change[] {
  const list: Change[] = [];
  for (let d = from; d <= to; d += step) list.push({ afterDays: d, share });
  return list;
}

/** The schools of water change (common practice). */
export const SCHOOLS: Readonly<Record<WaterSchool, School>> = {
  taper: {
    title: say('school.taper.title'),
    rule: say('school.taper.rule'),
    changes: () => [
      ...every(1, 1, 7, 0.5),
      ...every(2, 9, 14, 0.5),
      ...every(3, 16, 21, 0.5),
      // Twice a week: the third and the sixth day of weeks 4 and 5.
      ...[24, 27, 31, 34].map((afterDays) => ({ afterDays, share: 0.5 })),
      ...every(7, 41, CARE_DAYS, 0.5),
    ],
  },
  'large-ro': {
    title: say('school.large-ro.title'),
    rule: say('school.large-ro.rule'),
    changes: () => [...every(1, 1, 7, 0.35), ...every(7, 14, CARE_DAYS, 0.35)],
  },
  weekly: {
    title: say('school.weekly.title'),
    rule: say('school.weekly.rule'),
    changes: () => [...every(7, 7, 28, 0.5), ...every(14, 42, CARE_DAYS, 0.5)],
  },
  'every-week': {
    title: say('school.every-week.title'),
    rule: say('school.every-week.rule'),
    changes: () => every(7, 7, CARE_DAYS, 0.5),
  },
  light: {
    title: say('school.light.title'),
    rule: say('school.light.rule'),
    changes: () =>
      Array.from({ length: CARE_DAYS / 7 }, (_, week) =>
        [3, 6].map((day) => ({ afterDays: week * 7 + day, share: 0.55 })),
      ).flat(),
  },
  'fish-in': {
    title: say('school.fish-in.title'),
    rule: say('school.fish-in.rule'),
    changes: () => [{ afterDays: 1, share: 0.75 }, ...every(1, 2, 14, 0.5), ...every(7, 21, CARE_DAYS, 0.5)],
  },
};

/**
 * Share of the old water that is left after changes: (1 − f) for each. Five of 50 % leave 3.1 %.
 * Valid for water mixed through at each change. Leaves out: what soil and plants give off meanwhile.
 * Test: care.test.ts, "leaves 3.1 % after five changes of 50 %, 8.2 % after seven of 30 %".
 */
export function remainingShare(shares: readonly number[]): number {
  return shares.reduce((left, f) => left * (1 - f), 1);
}

/**
 * The changes of a school as this commission keeps them: the only one of a week on the weekday that suits the client.
 */
export function changesOf(
  school: WaterSchool,
  { buildDay, changeDay }: { buildDay: Day; changeDay?: Weekday },
): Change[] {
  const kept = SCHOOLS[school].changes();
  if (!changeDay) return kept;
  return kept.map((change) => {
    const week = Math.ceil(change.afterDays / 7);
    const alone = kept.filter((c) => Math.ceil(c.afterDays / 7) === week).length === 1;
    return alone ? { ...change, afterDays: dayInWeek(buildDay, week, changeDay) } : change;
  });
}

/** The day of a week after the build that falls on a weekday. */
function dayInWeek(buildDay: Day, week: number, weekday: Weekday): number {
  for (let after = week * 7 - 6; after < week * 7; after++)
    if (weekdayOf(dayPlus(buildDay, after)) === weekday) return after;
  return week * 7;
}
