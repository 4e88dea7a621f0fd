import type { Commission, Vessel } from '../commission/schema';

/** Silicone of so many years is old, whatever it looks like (common practice: ten to fifteen). */
export const OLD_SEAMS_YEARS = 10;

/** It stands full for a day, looked at the next: days until it may be worked on. */
export const LEAK_TEST_DAYS = 2;

/** True for a tank that others had and that nobody has filled since: one that runs is tried every day. */
export function isToBeTried({ vessel, brief }: Pick<Commission, 'vessel' | 'brief'>): boolean {
  return vessel.secondHand !== undefined && !vessel.secondHand.leakTested && !brief.rescape;
}

/** True where its seams are said to be doubtful, or are old and were never renewed. */
export function hasDoubtfulSeams({ secondHand }: Pick<Vessel, 'secondHand'>): boolean {
  if (!secondHand || secondHand.seams === 'renewed') return false;
  return secondHand.seams === 'doubtful' || (secondHand.ageYears ?? 0) > OLD_SEAMS_YEARS;
}
