import type { Option, Vessel } from '../../../core/commission/schema';
import type { Spot3 } from '../../../core/view/sightLine';
import { grownAt, type Grown } from '../../../core/planted/grown';
import type { Planted } from '../../../core/planted/planted';

/** Weeks of the stills that go on paper. */
export const STILL_WEEKS = [0, 2, 4, 8, 16] as const;
/** The film goes from the build day to this week, in so many steps a week. */
const [LAST_WEEK, STEPS] = [16, 2];
export const FILM_WEEKS: readonly number[] = Array.from({ length: LAST_WEEK * STEPS + 1 }, (_, i) => i / STEPS); // prettier-ignore

/** What the pictures of a scape growing are made from, in words: with the same they would be the same. */
export function grownOf({ vessel, option, eye, parts }: { vessel: Vessel; option: Option; eye: Spot3; parts: readonly Planted[] }): string {
  return JSON.stringify([vessel, option, eye, parts.map((p) => [p.id, p.count, p.plugsAtHand, p.growth, p.afterDays])]);
} // prettier-ignore

/** What is planted, as it has grown some weeks after the build day. */
export function grownIn(parts: readonly Planted[], week: number): Grown[] {
  return parts.map((part) => grownAt(part, week * 7));
}
