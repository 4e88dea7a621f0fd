import { grownAt, type Grown } from '../../../core/planted/grown';
import type { Planted } from '../../../core/planted/planted';

/** Weeks of the stills that go on paper. */
export const STILL_WEEKS = [0, 2, 4, 8, 16] as const;
/** The film goes from the day of the water to this week, in so many steps a week. */
const [LAST_WEEK, STEPS] = [16, 2];
export const FILM_WEEKS: readonly number[] = Array.from({ length: LAST_WEEK * STEPS + 1 }, (_, i) => i / STEPS); // prettier-ignore

/** What is planted, as it has grown some weeks after the water went in. */
export function grownIn(parts: readonly Planted[], week: number): Grown[] {
  return parts.map((part) => grownAt(part, week * 7));
}
