import { format, isValid, parse, parseISO } from 'date-fns';
import { isDay, type Day } from '../../core/calendar/day';

/**
 * Days as they are typed where the studio works. A day is read in its locale's order of figures, with a month in
 * words, or as `2027-01-14`; it is shown with the month in words, which nobody reads the other way round.
 */

/** In which order a locale writes day, month and year: `d M y` in Britain, `M d y` in the United States. */
function orderIn(locale: string): string {
  const letters: Partial<Record<Intl.DateTimeFormatPartTypes, string>> = { day: 'd', month: 'M', year: 'y' };
  return new Intl.DateTimeFormat(locale)
    .formatToParts(new Date(2027, 0, 14))
    .flatMap(({ type }) => letters[type] ?? [])
    .join(' ');
}

/** With words for the month the order does not matter: both are taken. */
const WITH_WORDS = ['d MMM y', 'MMM d y', 'd MMMM y', 'MMMM d y', 'y MMM d'];

/** A year has two or four figures; what has one or three is still being typed. */
const YEAR = /(?:^|\D)(?:\d{2}|\d{4})(?:\D|$)(?!.*(?:^|\D)(?:\d{3}|\d{5,})(?:\D|$))/;

/** The day that was typed, or undefined when it cannot be read as one. A year of two figures is of this century. */
export function dayTyped(text: string, locale: string): Day | undefined {
  const plain = text.trim();
  if (isDay(plain)) return plain;
  const parts = plain.replace(/\bsept\b/i, 'Sep').replace(/^\p{L}+day,?\s+/iu, '').split(/[\s./,-]+/).filter(Boolean).join(' '); // prettier-ignore
  for (const form of [orderIn(locale), ...WITH_WORDS]) {
    const date = parse(parts, form, new Date(2000, 0, 1));
    if (!isValid(date) || !YEAR.test(parts)) continue;
    const year = date.getFullYear() < 100 ? date.getFullYear() + 2000 : date.getFullYear();
    const two = (n: number) => String(n).padStart(2, '0');
    const day = `${year}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
    return isDay(day) ? day : undefined;
  }
  return undefined;
}

/** How a day stands in a field: `14 Jan 2027`, in the United States `Jan 14 2027`, in Japan `2027 Jan 14`. */
export function dayShown(day: Day, locale: string): string {
  return format(parseISO(day), orderIn(locale).replace('M', 'MMM'));
}

/** A day as an example in words that say what is wrong. */
export const dayExample = (locale: string): string => dayShown('2027-01-14', locale);

/** A clock time as the document has it: `9.30`, `930` and `9:30` are `09:30`; what is no time stays as it was typed. */
export function clockTyped(text: string): string {
  const [, hours, minutes] = /^\s*(\d{1,2})[:.]?(\d{2})\s*$/.exec(text) ?? [];
  return hours ? `${hours.padStart(2, '0')}:${minutes}` : text;
}

/** The day of the week with which a calendar begins there: 0 Sunday, 1 Monday. */
export function firstWeekday(locale: string): number {
  const { weekInfo, getWeekInfo } = new Intl.Locale(locale) as Intl.Locale & {
    weekInfo?: { firstDay: number };
    getWeekInfo?: () => { firstDay: number };
  };
  // Browsers have it as a method or as a property, and those that have neither begin as ISO 8601 does.
  return ((getWeekInfo?.call(new Intl.Locale(locale)) ?? weekInfo)?.firstDay ?? 1) % 7;
}
