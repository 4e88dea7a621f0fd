import type { Day } from '../calendar/day';
import type { Commission, LogEntry, Option } from './schema';

/* Notes in the log that are about something: decisions with their reason, what was tried, what is still open. */

/** What a note can be about. */
export type About = NonNullable<LogEntry['about']>;

/** The notes about one thing, the newest first. */
export function notesAbout({ log = [] }: Pick<Commission, 'log'>, { of, id }: About): LogEntry[] {
  return log
    .filter((n) => n.about?.of === of && n.about.id === id)
    .sort((a, b) => b.date.localeCompare(a.date));
}

/** What a note is about that another commission may have too: the plant, or what the stone, the wood or the layer is of. */
export interface Subject {
  of: 'plants' | 'materials';
  id: string;
}

/** The subject of what a note is about; undefined for joints and sittings, and for what is gone. */
export function subjectOf(option: Option, { of, id }: About): Subject | undefined {
  if (of === 'plants') {
    const planting = option.plants.find((p) => p.id === id);
    return planting && { of, id: planting.plant };
  }
  if (of !== 'pieces' && of !== 'bed') return undefined;
  const thing = [...option.pieces, ...option.bed].find((t) => t.id === id);
  return thing && { of: 'materials', id: thing.material };
}

/** What was decided or tried, of something that another commission may have too. */
export interface Lesson extends Subject, Pick<LogEntry, 'date' | 'text'> {
  kind: 'decision' | 'tried';
}

/** A lesson with the commission in which it was learnt. */
export interface Learnt extends Pick<Lesson, 'kind' | 'date' | 'text'> {
  commission: string;
  title: string;
}

/** The lessons of a commission, of the option that was built. */
export function lessonsOf({
  log = [],
  options,
  chosen,
}: Pick<Commission, 'log' | 'options' | 'chosen'>): Lesson[] {
  const option = options.find((o) => o.id === chosen);
  return log.flatMap(({ kind, about, date, text }): Lesson[] => {
    const subject = option && about && subjectOf(option, about);
    return subject && (kind === 'decision' || kind === 'tried') ? [{ ...subject, kind, date, text }] : [];
  });
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
