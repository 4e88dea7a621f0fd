import { format, isValid, parse, parseISO } from 'date-fns';
import { dayPlus, isDay, WEEKDAYS, type Day, type Weekday } from '../../core/calendar/day';

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

/** `in 7 weeks`, `in 10 days`, `tomorrow`: days from today on. */
function daysAhead(text: string): number | undefined {
  if (/^today$/i.test(text)) return 0;
  if (/^tomorrow$/i.test(text)) return 1;
  const [, count, unit] = /^(?:in )?(\d{1,4}) ?(d|days?|w|weeks?)$/i.exec(text) ?? [];
  return count ? Number(count) * (/^w/i.test(unit) ? 7 : 1) : undefined;
}

/** From which day on, or back, what has no year is counted. */
export interface From {
  day: Day;
  past?: boolean;
}

const WITHOUT_YEAR = ['d MMM', 'MMM d', 'd MMMM', 'MMMM d'];

/** Years that are looked through: the 29th of February is one in a leap year alone. */
const YEARS = [0, 1, 2, 3, 4];

/** The next such day, or the last, be it that day itself. */
function nearest(parts: string, { day: from, past = false }: From): Day | undefined {
  for (const form of WITHOUT_YEAR)
    for (const n of YEARS) {
      const year = Number(from.slice(0, 4)) + (past ? -n : n);
      const date = parse(`${parts} ${year}`, `${form} y`, new Date(2000, 0, 1));
      const day = isValid(date) ? format(date, 'yyyy-MM-dd') : undefined;
      if (day && isDay(day) && (past ? day <= from : day >= from)) return day;
    }
  return undefined;
}

/**
 * The day that was typed, or undefined when it cannot be read as one. A year of two figures is of this century; without
 * a year, and `in 7 weeks`, it is counted from a day.
 */
export function dayTyped(text: string, locale: string, from?: From): Day | undefined {
  const plain = text.trim();
  if (isDay(plain)) return plain;
  const ahead = from && daysAhead(plain);
  if (from && ahead !== undefined) return dayPlus(from.day, ahead);
  const parts = plain.replace(/\bsept\b/i, 'Sep').replace(/^\p{L}+day,?\s+/iu, '').split(/[\s./,-]+/).filter(Boolean).join(' '); // prettier-ignore
  for (const form of [orderIn(locale), ...WITH_WORDS]) {
    const date = parse(parts, form, new Date(2000, 0, 1));
    if (!isValid(date) || !YEAR.test(parts)) continue;
    const year = date.getFullYear() < 100 ? date.getFullYear() + 2000 : date.getFullYear();
    const two = (n: number) => String(n).padStart(2, '0');
    const day = `${year}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
    return isDay(day) ? day : undefined;
  }
  return from && nearest(parts, from);
}

/** How a day stands in a field: `14 Jan 2027`, in the United States `Jan 14 2027`, in Japan `2027 Jan 14`. */
export function dayShown(day: Day, locale: string): string {
  return format(parseISO(day), orderIn(locale).replace('M', 'MMM'));
}

/** A day as an example in words that say what is wrong. */
export const dayExample = (locale: string): string => dayShown('2027-01-14', locale);

/** A clock time as the document has it: `8`, `8.30`, `830`, `8 am` and `8:30 pm`; what is no time stays as it was typed. */
export function clockTyped(text: string): string {
  const [, hours, minutes = '00', half] =
    /^(\d{1,2})(?:[:.h]?([0-5]\d))? ?([ap]\.?m\.?)?$/i.exec(text.trim()) ?? [];
  if (!hours || Number(hours) > (half ? 12 : 23)) return text;
  const hour = half ? (Number(hours) % 12) + (/^p/i.test(half) ? 12 : 0) : Number(hours);
  return `${String(hour).padStart(2, '0')}:${minutes}`;
}

/** The day of the week with which a calendar begins: 0 Sunday, 1 Monday; as it was said, otherwise as the place has it. */
export function firstWeekday(locale: string, said?: Weekday): number {
  if (said) return WEEKDAYS.indexOf(said);
  const { weekInfo, getWeekInfo } = new Intl.Locale(locale) as Intl.Locale & {
    weekInfo?: { firstDay: number };
    getWeekInfo?: () => { firstDay: number };
  };
  // Browsers have it as a method or as a property, and those that have neither begin as ISO 8601 does.
  return ((getWeekInfo?.call(new Intl.Locale(locale)) ?? weekInfo)?.firstDay ?? 1) % 7;
}
