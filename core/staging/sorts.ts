import type { Day } from '../calendar/day';
import type { Held } from '../beforehand/held';
import type { Said } from '../words/text';

/** What kind of thing is to be seen to. */
export const DUE_SORTS = ['order', 'fetch', 'receive', 'ready', 'build', 'visit', 'question'] as const;
export type DueSort = (typeof DUE_SORTS)[number];

/** When hands are there, min after midnight, how many, and those of them that have a name. */
export interface Hands {
  fromMin: number;
  toMin: number;
  count: number;
  names: string[];
}

/** Something due, as a week shows it. */
export interface WeekDue {
  sort: DueSort;
  day: Day;
  what: Said;
  hands?: Hands;
  /** An order that is not sent: over its day it is not past, it is late. */
  waits?: boolean;
  /** What of the studio's own it holds, from its day on. */
  holds?: Held;
}
