import { localDay, type Day } from '../core/calendar/day';

/** The day that it is where the server runs, where nobody who asks has said theirs. */
export const dayNow = (): Day => localDay(new Date());
