import { createHash } from 'node:crypto';
import ical from 'ical-generator';
import { dayPlus } from '../../core/calendar/day';
import type { Dated } from '../../core/staging/week';
import { METRIC, readerIn } from '../../core/words/readers';
import { inWords } from '../../core/words/render';
import { oneLine, utc } from './calendar';

/** What is due in all commissions as iCalendar (RFC 5545), whole days: a calendar that asks for it again has what is new. */
export function weekFile(all: readonly Dated[], studio: string): string {
  const calendar = ical({ name: oneLine(studio), prodId: '//Utsuwa//studio//EN' });
  const reader = readerIn(METRIC);
  for (const { id, title, dues } of all)
    for (const { sort, day, what } of dues) {
      const summary = oneLine(inWords(what, reader));
      calendar.createEvent({
        id: `${createHash('sha256').update(`${id} ${sort} ${day} ${summary}`).digest('hex').slice(0, 24)}@utsuwa`,
        start: utc(day),
        end: utc(dayPlus(day, 1)),
        allDay: true,
        timezone: 'UTC',
        summary: `${summary} · ${oneLine(title)}`,
      });
    }
  return calendar.toString();
}
