import { daysFrom, dayPlus, isDay, type Day } from '../../../core/calendar/day';
import type { Commission } from '../../../core/commission/schema';

/** The day on which the sample was written (`sample.json`, held to the demo's by `sample.test.ts`). */
export const WRITTEN: Day = '2027-01-04';

/** A finished commission to look around in, as if it had been begun a while before this day. */
export async function sampleCommission(today: Day): Promise<Commission> {
  const { default: written } = await import('./sample.json');
  // By whole weeks: suppliers deliver on the days of the week that they did.
  return shifted(written as unknown as Commission, Math.ceil(daysFrom(WRITTEN, today) / 7) * 7);
}

/** The same with every day so many days later. */
export function shifted<T>(value: T, days: number): T {
  if (typeof value === 'string') return (isDay(value) ? dayPlus(value, days) : value) as T;
  if (Array.isArray(value)) return value.map((v) => shifted(v, days)) as T;
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, shifted(v, days)])) as T;
}
