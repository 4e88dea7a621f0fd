import { createHash } from 'node:crypto';
import ical from 'ical-generator';
import { dayPlus, type Day } from '../../core/calendar/day';
import { endsOf } from '../../core/buildDay/buildPlan';
import type { Commission } from '../../core/commission/schema';
import type { Plan } from '../../core/pipeline/plan';
import { say } from '../../core/words/text';
import { inEnglish } from '../../core/words/english';
import { rounded } from '../../core/units/quantity';

interface Entry {
  key: string;
  day: Day;
  title: string;
  detail: string;
}

/** Which dates a calendar is to carry: the studio's (orders, build) or the client's (care), or all. */
export type CalendarPart = 'all' | 'care';

/** Order-by days, the build day and care dates as iCalendar (RFC 5545), whole days without a time zone. */
export function calendarFile(
  id: string,
  commission: Commission,
  plan: Plan,
  part: CalendarPart = 'all',
): string {
  const title = oneLine(commission.title);
  const calendar = ical({ name: title, prodId: '//Utsuwa//commission//EN' });
  const list = part === 'care' ? careEntries(plan) : [...studioEntries(plan), ...careEntries(plan)];
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
function oneLine(text: string): string {
  return text.replace(/[\p{Cc}\u2028\u2029]+/gu, ' ').trim();
}

/** Several lines, each without what could end it otherwise. */
function lines(text: string): string {
  return text
    .split(/\r\n|[\r\n]/)
    .map(oneLine)
    .join('\n');
}

function utc(day: Day): Date {
  return new Date(`${day}T00:00:00Z`);
}

function studioEntries({ order, build }: Plan): Entry[] {
  const orders = order.suppliers.flatMap((s): Entry[] =>
    s.orderBy
      ? [
          {
            key: `order ${s.supplier}`,
            day: s.orderBy,
            title: `Order from ${s.name}`,
            detail: s.lines.map((l) => `${inEnglish(l.packWords)} ${inEnglish(l.name)}`).join('\n'),
          },
        ]
      : [],
  );
  const before = build.beforehand.map((b, i) => ({
    key: `before ${i}`,
    day: b.day,
    title: inEnglish(b.title),
    detail: inEnglish(b.detail),
  }));
  const day = {
    key: 'build',
    day: build.buildDay,
    title: 'Build day',
    detail: `${build.startTime}, ${inEnglish(endsOf(build))}`,
  };
  const visits = build.visits.map((v) => ({
    key: `visit ${v.afterDays}`,
    day: v.day,
    title: inEnglish(say('visit.title', { after: v.afterDays })),
    detail: v.tasks.map((t) => `${inEnglish(t.title)}: ${inEnglish(t.detail)}`).join('\n'),
  }));
  return [...orders, ...before, day, ...visits];
}

function careEntries({ care }: Plan): Entry[] {
  const later = care.later.map((l, i): Entry => {
    const what = inEnglish(l.what);
    return { key: `later ${i}`, day: l.day, title: what[0].toUpperCase() + what.slice(1), detail: what };
  });
  const weeks = care.weeks
    .flatMap((w) => w.days.map((d) => ({ d, w })))
    .flatMap(({ d, w }): Entry[] => {
      const what = [
        ...(d.change ? [`change ${rounded(d.change.litres, 0)} L of water`] : []),
        ...(d.test ? ['test the water, write it down'] : []),
        ...(d.doses > 0 ? [`feed the plants: ${d.doses} ${d.doses === 1 ? 'dose' : 'doses'}`] : []),
        ...d.events.map(inEnglish),
      ];
      if (what.length === 0) return [];
      const title = what[0][0].toUpperCase() + what[0].slice(1);
      return [
        {
          key: `care ${d.afterDays}`,
          day: d.day,
          title,
          detail: [...what, `light ${w.hours} h at ${rounded(w.outputShare * 100, 0)} %`].join('\n'),
        },
      ];
    });
  return [...weeks, ...later];
}
