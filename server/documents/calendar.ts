import { createHash } from 'node:crypto';
import ical from 'ical-generator';
import { dayPlus, type Day } from '../../core/calendar/day';
import type { Commission } from '../../core/commission/schema';
import { dueOf } from '../../core/pipeline/due';
import type { Plan } from '../../core/pipeline/plan';
import { say, type Said, type Text } from '../../core/words/text';
import { inLitres } from '../../core/words/measure';
import { METRIC, readerIn } from '../../core/words/readers';
import { inWords, type Reader } from '../../core/words/render';
import type { Habits } from '../../core/words/scales';
import { rounded } from '../../core/units/quantity';

interface Entry {
  key: string;
  day: Day;
  title: string;
  detail: string;
}

/** Which dates a calendar is to carry: the studio's (orders, build) or the client's (care), or all. */
export type CalendarPart = 'all' | 'care';

/** Order-by days, deliveries once they are confirmed, the build day and care dates as iCalendar (RFC 5545), whole days without a time zone. */
export function calendarFile(
  id: string,
  commission: Commission,
  plan: Plan,
  part: CalendarPart = 'all',
  habits: Habits = METRIC,
): string {
  const reader = readerIn(habits);
  const title = oneLine(commission.title);
  const calendar = ical({ name: title, prodId: '//Utsuwa//commission//EN' });
  const list =
    part === 'care'
      ? careEntries(plan, reader)
      : [...studioEntries(plan, commission, reader), ...careEntries(plan, reader)];
  for (const { key, day, title: what, detail } of list) {
    calendar.createEvent({
      // The same for the same entry, so that a newer file replaces what an older one brought.
      id: `${createHash('sha256').update(`${id} ${key}`).digest('hex').slice(0, 24)}@utsuwa`,
      start: utc(day),
      end: utc(dayPlus(day, 1)),
      allDay: true,
      timezone: 'UTC',
      summary: `${oneLine(what)} · ${title}`,
      description: lines(detail),
    });
  }
  return calendar.toString();
}

/** A line break within a name would begin a line of the calendar's own. */
export function oneLine(text: string): string {
  return text.replace(/[\p{Cc}\u2028\u2029]+/gu, ' ').trim();
}

/** Several lines, each without what could end it otherwise. */
function lines(text: string): string {
  return text
    .split(/\r\n|[\r\n]/)
    .map(oneLine)
    .join('\n');
}

export function utc(day: Day): Date {
  return new Date(`${day}T00:00:00Z`);
}

function studioEntries(plan: Plan, commission: Commission, reader: Reader): Entry[] {
  const words = (said: Said) => inWords(said, reader);
  return dueOf(plan, commission).map(({ key, day, title, detail }) => ({
    key,
    day,
    title: words(title),
    detail: detail.map(words).join('\n'),
  }));
}

function careEntries({ care }: Plan, reader: Reader): Entry[] {
  const words = (said: Said) => inWords(said, reader);
  const later = care.later.map((l, i): Entry => {
    const what = words(l.what);
    return { key: `later ${i}`, day: l.day, title: capital(what), detail: what };
  });
  const weeks = care.weeks
    .flatMap((w) => w.days.map((d) => ({ d, w })))
    .flatMap(({ d, w }): Entry[] => {
      const texts: Text[] = [
        ...(d.change ? [say('calendar.change', { litres: inLitres(d.change.litres, 0) })] : []),
        ...(d.test ? [say('calendar.test')] : []),
        ...(d.doses > 0 ? [say('calendar.feed', { count: d.doses })] : []),
        ...d.events,
      ];
      if (texts.length === 0) return [];
      const light = say('calendar.light', { hours: w.hours, percent: rounded(w.outputShare * 100, 0) });
      return [
        {
          key: `care ${d.afterDays}`,
          day: d.day,
          title: capital(words(texts[0])),
          detail: [...texts, light].map(words).join('\n'),
        },
      ];
    });
  return [...weeks, ...later];
}

const capital = (text: string) => text[0].toUpperCase() + text.slice(1);
