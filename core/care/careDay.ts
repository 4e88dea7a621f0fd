import type { Day } from '../calendar/day';
import type { Text } from '../words/text';

/** One day after the build, and what is to be done on it. */
export interface CareDay {
  day: Day;
  afterDays: number;
  /** Water to take out and replace, L, and its share of the free water. */
  change?: { litres: number; share: number };
  doses: number;
  test: boolean;
  /** What happens once: a trim, stocking, gaps replanted. */
  events: Text[];
}
