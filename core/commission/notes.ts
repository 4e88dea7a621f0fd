import type { Day } from '../calendar/day';
import type { Commission, LogEntry } from './schema';

/* Notes in the log that are about something: decisions with their reason, what was tried, what is still open. */

/** What a note can be about. */
export type About = NonNullable<LogEntry['about']>;

/** The notes about one thing, the newest first. */
export function notesAbout({ log = [] }: Pick<Commission, 'log'>, { of, id }: About): LogEntry[] {
  return log
    .filter((n) => n.about?.of === of && n.about.id === id)
    .sort((a, b) => b.date.localeCompare(a.date));
}

/** Questions without an answer, those that are due first at the front; what has no day comes last. */
export function openQuestions({ log = [] }: Pick<Commission, 'log'>): LogEntry[] {
  const open = log.filter((n) => n.kind === 'question' && !n.answer);
  return open.sort((a, b) => (a.until ?? '9999').localeCompare(b.until ?? '9999'));
}

/** True for a question whose day is over. */
export function isOverdue({ until }: Pick<LogEntry, 'until'>, today: Day): boolean {
  return until !== undefined && until < today;
}
