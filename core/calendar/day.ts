import { addDays, differenceInCalendarDays, format, formatISO, getDay, isValid, parseISO } from 'date-fns';

/** A calendar day without a time zone, `YYYY-MM-DD`. */
export type Day = string;

/** Days of the week as suppliers state them. */
export const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'] as const;
export type Weekday = (typeof WEEKDAYS)[number];

/** True for a day that exists: `2027-02-29` does not. */
export function isDay(text: string): boolean {
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && isValid(parseISO(text));
}

/** The day that a moment is in, where the program runs. */
export function localDay(moment: Date): Day {
  return formatISO(moment, { representation: 'date' });
}

/** `dayPlus('2027-01-14', -2)` is `2027-01-12`. */
export function dayPlus(day: Day, days: number): Day {
  return formatISO(addDays(parseISO(day), days), { representation: 'date' });
}

/** Whole days from one day to a later one: from 12 to 14 January is 2. */
export function daysFrom(from: Day, to: Day): number {
  return differenceInCalendarDays(parseISO(to), parseISO(from));
}

/** A day as it is said in a sentence: `14 Jan 2027`. */
export function dayWords(day: Day): string {
  return format(parseISO(day), 'd MMM yyyy');
}

/** `2027-01-14` is a Thursday: `thu`. */
export function weekdayOf(day: Day): Weekday {
  return WEEKDAYS[getDay(parseISO(day))];
}
