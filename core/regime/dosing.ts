import { materialOfKind } from '../commission/lookup';
import type { DosingSchool } from '../commission/schema';
import type { Resolved } from '../resolved/resolved';
import { say, type Text } from '../words/text';
import type { Change } from './waterSchools';

/** Doses of plant food on a day, as a count of the label's dose for the tank's free water. */
export interface Dose {
  afterDays: number;
  doses: number;
}

/** Plant food of one dose when its entry does not say, mL for each 100 L (common practice; the label decides). */
const USUAL_DOSE_ML = 10;

/** Plant food of one dose for an amount of water, mL: 120 L at 10 mL for each 100 L take 12 mL. */
export function plantFoodMl(commission: Pick<Resolved, 'catalogue'>, volumeL: number): number {
  const dose = materialOfKind(commission, 'plant-food')?.dosePer100L ?? USUAL_DOSE_ML;
  return (dose * volumeL) / 100;
}

/** The rule of each school in a sentence, as the client reads it (common practice). */
export const DOSING_RULES: Readonly<Record<DosingSchool, Text>> = {
  none: say('dosing.none'),
  ramp: say('dosing.ramp'),
  lean: say('dosing.lean'),
  excess: say('dosing.excess'),
};

/** The same where the bed gives nothing: those schools that wait for the soil do not wait. */
export const INERT_RULES: Readonly<Record<DosingSchool, Text>> = {
  ...DOSING_RULES,
  none: say('dosing.inert'),
  lean: say('dosing.inert'),
};

/** Where nothing is planted. */
export const NOTHING_TO_FEED = say('dosing.nothing');

/**
 * Days and doses of a school over a number of days after the build. A bed that gives nothing itself, sand or
 * gravel, is fed from the first change on; rich soil feeds plants for weeks and is left to it.
 */
export function dosesOf(
  school: DosingSchool,
  changes: readonly Change[],
  days: number,
  inert = false,
): Dose[] {
  const daily = (count: (week: number) => number) =>
    Array.from({ length: days }, (_, i) => ({ afterDays: i + 1, doses: count(Math.floor(i / 7) + 1) }));
  const afterChanges = (fromWeek: number) =>
    changes
      .filter((c) => c.afterDays > (fromWeek - 1) * 7)
      .map((c) => ({ afterDays: c.afterDays, doses: 1 }));
  switch (school) {
    case 'none':
      return afterChanges(inert ? 1 : 5);
    case 'ramp':
      return daily((week) => Math.min(5, week));
    case 'lean':
      return afterChanges(inert ? 1 : 3);
    case 'excess':
      return daily(() => 1);
    default:
      return school satisfies never;
  }
}
