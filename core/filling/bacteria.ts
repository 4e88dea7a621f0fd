import { materialOfKind } from '../commission/lookup';
import type { Commission } from '../commission/schema';
import { livesThrough } from '../commission/usual';

/** Starter bacteria when their entry does not say, mL a day for each 100 L (common practice; the label decides). */
const USUAL_ML_PER_100L = 10;
/** Days of dosing after the build where animals stay in it: the build day and six more (common practice). */
const DAYS = 7;

/**
 * Days after the build on which bacteria are dosed, 0 the build day: where animals live through a rescape,
 * since every surface that goes took some of what lived on it. None in a new build: nothing feeds them there.
 */
export function bacteriaDays({ brief }: Pick<Commission, 'brief'>): number[] {
  return livesThrough(brief) ? Array.from({ length: DAYS }, (_, day) => day) : [];
}

/** Bacteria for one day, mL: 120 L at 10 mL for each 100 L take 12 mL. */
export function bacteriaMlADay(commission: Pick<Commission, 'catalogue'>, volumeL: number): number {
  const entry = materialOfKind(commission, 'bacteria');
  return ((entry?.bacteriaPer100L ?? USUAL_ML_PER_100L) * volumeL) / 100;
}
