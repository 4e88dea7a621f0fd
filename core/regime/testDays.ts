import type { Gates } from './gates';
import { filterStateOf, livesThrough, waitingOf, waterSchoolOf } from '../commission/usual';
import type { Resolved } from '../resolved/resolved';
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

/** A reading that lets animals in is no older than this, days (common practice). */
const FRESH_DAYS = 3;

/**
 * Tests with one just before animals come: on the last day before it that has no change, so that the reading is not that of
 * fresh water; on the first day after the build where they come on it.
 */
export function testedBefore(
  tests: readonly number[],
  changes: readonly Change[],
  gates: Gates | undefined,
): number[] {
  const days = gates
    ? [...(gates.wanted.shrimps ? [gates.shrimps] : []), ...(gates.wanted.fish ? [gates.fish] : [])]
    : [];
  const before = days
    .filter((day) => day > 0)
    .flatMap((day) => {
      const ahead = Array.from({ length: FRESH_DAYS }, (_, i) => day - 1 - i).filter((d) => d > 0);
      if (ahead.some((d) => tests.includes(d)) || tests.includes(day)) return [];
      return [ahead.find((d) => !changes.some((c) => c.afterDays === d)) ?? ahead[0] ?? day];
    });
  return [...new Set([...tests, ...before])].sort((a, b) => a - b);
}

/** With fish in from the first day ammonia is read each day of the first week (common practice). */
const FISH_IN_TESTS = [1, 2, 3, 4, 5, 6, 7];

/** Days of the two readings after which animals that were elsewhere come back (common practice). */
export const FIRST_TWO = [1, 2];

/**
 * Days on which a reading decides something at once: the first week with fish in from the first day, be they new or there all along; the first two where
 * animals live through the work or come back from elsewhere, the first day before any come on a mature filter.
 */
export function earlyTests({ brief }: Resolved): number[] {
  if (waterSchoolOf(brief) === 'fish-in') return FISH_IN_TESTS;
  if (livesThrough(brief) || waitingOf(brief) === 'elsewhere') return FIRST_TWO;
  const coming = (brief.livestock ?? []).some((s) => !s.present);
  return filterStateOf(brief) === 'mature' && coming ? [1] : [];
}
