import type { DosingSchool } from '../commission/schema';
import type { Change } from './waterSchools';

/** Doses of plant food on a day, as a count of the label's dose for the tank's free water. */
export interface Dose {
  afterDays: number;
  doses: number;
}

/** The rule of each school in a sentence, as the client reads it (common practice). */
export const DOSING_RULES: Readonly<Record<DosingSchool, string>> = {
  none: 'none for four weeks: the soil feeds them; then one dose after each change',
  ramp: 'one dose a day in week 1, two in week 2, up to five from week 5',
  lean: 'one small dose after each change, from week 3',
  excess: 'one dose every day, with a 50 % change each week',
};

/** Where nothing is planted. */
export const NOTHING_TO_FEED = 'none: nothing is planted';

/** Days and doses of a school over a number of days after the build. */
export function dosesOf(school: DosingSchool, changes: readonly Change[], days: number): Dose[] {
  const daily = (count: (week: number) => number) =>
    Array.from({ length: days }, (_, i) => ({ afterDays: i + 1, doses: count(Math.floor(i / 7) + 1) }));
  const afterChanges = (fromWeek: number) =>
    changes
      .filter((c) => c.afterDays > (fromWeek - 1) * 7)
      .map((c) => ({ afterDays: c.afterDays, doses: 1 }));
  switch (school) {
    case 'none':
      return afterChanges(5);
    case 'ramp':
      return daily((week) => Math.min(5, week));
    case 'lean':
      return afterChanges(3);
    case 'excess':
      return daily(() => 1);
    default:
      return school satisfies never;
  }
}
