import { materialOfKind } from '../commission/lookup';
import type { Resolved } from '../resolved/resolved';
import { livesThrough, waterSchoolOf } from '../commission/usual';
import { SCHOOLS } from './waterSchools';

/** Starter bacteria when their entry does not say, mL a day for each 100 L (common practice; the label decides). */
const USUAL_ML_PER_100L = 10;
/** Days of dosing after the build where animals stay in it: the build day and six more (common practice). */
const DAYS = 7;

/** With fish in from the first day they follow each change of so many days (the school's own rule, common practice). */
const FISH_IN_DAYS = 14;

/**
 * Days after the build on which bacteria are dosed, 0 the build day: where animals live through a rescape, since every
 * surface that goes took some of what lived on it; where fish are in from the first day, after each change of the first two
 * weeks. None in another new build: nothing feeds them there.
 */
export function bacteriaDays({ brief }: Pick<Resolved, 'brief'>): number[] {
  const through = livesThrough(brief) ? Array.from({ length: DAYS }, (_, day) => day) : [];
  const school = waterSchoolOf(brief);
  const after = school === 'fish-in' ? SCHOOLS[school].changes().map((c) => c.afterDays) : [];
  return [...new Set([...through, ...after.filter((day) => day <= FISH_IN_DAYS)])].sort((a, b) => a - b);
}

/** Bacteria for one day, mL: 120 L at 10 mL for each 100 L take 12 mL. */
export function bacteriaMlADay(commission: Pick<Resolved, 'catalogue'>, volumeL: number): number {
  const entry = materialOfKind(commission, 'bacteria');
  return ((entry?.bacteriaPer100L ?? USUAL_ML_PER_100L) * volumeL) / 100;
}
