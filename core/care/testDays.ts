import { filterStateOf, livesThrough } from '../commission/usual';
import type { Commission } from '../commission/schema';
import { CARE_DAYS, type Change } from './waterSchools';

/** One test a week: the day furthest after a change, so that the reading is not that of fresh water. */
export function testDays(changes: readonly Change[], early: readonly number[]): number[] {
  const weekly = Array.from({ length: CARE_DAYS / 7 }, (_, week) => {
    let best = { day: week * 7 + 4, since: -1 };
    for (let day = week * 7 + 1; day <= week * 7 + 7; day++) {
      if (changes.some((c) => c.afterDays === day)) continue;
      const last = Math.max(0, ...changes.map((c) => c.afterDays).filter((d) => d < day));
      if (day - last > best.since) best = { day, since: day - last };
    }
    return best.day;
  });
  return [...new Set([...early, ...weekly])].sort((a, b) => a - b);
}

/** Days on which a reading decides something at once: the first two where animals live through the work, the first before any come. */
export function earlyTests({ brief }: Commission): number[] {
  if (livesThrough(brief)) return [1, 2];
  const coming = (brief.livestock ?? []).some((s) => !s.present);
  return filterStateOf(brief) === 'mature' && coming ? [1] : [];
}
