import { daysFrom, localDay, type Day } from '../../core/calendar/day';

const date = (day: Day) => new Date(`${day}T12:00:00`);
const format = (options: Intl.DateTimeFormatOptions) => {
  // Made with the first day it writes: each takes some milliseconds, and the first screen needs one of them.
  let f: Intl.DateTimeFormat | undefined;
  return (day: Day) => (f ??= new Intl.DateTimeFormat('en-GB', options)).format(date(day));
};

/** `14 Jan`, `Thu 14 Jan`, `Thursday 14 January`, `Thu`. */
export const shortDay = format({ day: 'numeric', month: 'short' });
export const weekDay = format({ weekday: 'short', day: 'numeric', month: 'short' });
export const longDay = format({ weekday: 'long', day: 'numeric', month: 'long' });
export const dayName = format({ weekday: 'short' });
export const longDate = format({ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' });

/** Today in this place. */
export const today = (): Day => localDay(new Date());

/** The day and the clock time here of a moment, as a server writes it. */
export const momentDay = (moment: string) => shortDay(localDay(new Date(moment)));
export const momentTime = (moment: string) => new Date(moment).toTimeString().slice(0, 5);

/** `in 50 days`, `tomorrow`, `today`, `3 days ago`. */
export function daysAway(day: Day, from: Day = today()): string {
  const n = daysFrom(from, day);
  if (n === 0) return 'today';
  if (n === 1) return 'tomorrow';
  if (n === -1) return 'yesterday';
  return n > 0 ? `in ${n} days` : `${-n} days ago`;
}
