import { daysFrom, type Day } from '../calendar/day';
import { isOverdue, openQuestions } from '../commission/notes';
import type { LogEntry } from '../commission/schema';
import type { Resolved } from '../resolved/resolved';
import type { Finding, FindingPlace } from '../words/finding';
import { say } from '../words/text';

/** Questions that somebody left open: a note until their day, to be settled once it is over. */
export function questionFindings(commission: Pick<Resolved, 'log'>, today: Day | undefined): Finding[] {
  return openQuestions(commission).map((q): Finding => {
    const overdue = today !== undefined && isOverdue(q, today);
    const days = q.until === undefined || today === undefined ? 0 : Math.max(0, daysFrom(q.until, today));
    return {
      id: 'note.open',
      severity: overdue ? 'warn' : 'note',
      at: placeOf(q),
      measured: days,
      limit: 0,
      unit: 'days',
      says: q.until ? say('note.open.says.until', { text: shortened(q.text), day: { day: q.until } }) : say('note.open.says', { text: shortened(q.text) }), // prettier-ignore
      because: overdue ? say('note.open.because.late', { days }) : say('note.open.because'),
      source: say('source.brief'),
    };
  });
} // prettier-ignore

const LONGEST = 120;
const shortened = (text: string) => (text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text);

/** Where it is asked: in the log, and with a mark at the stone or the plant it is about. */
function placeOf({ about }: LogEntry): FindingPlace {
  if (about?.of === 'pieces') return { field: 'log', pieces: [about.id] };
  return { field: 'log' };
}
