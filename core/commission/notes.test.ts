import { describe, expect, it } from 'vitest';
import { plan } from '../pipeline/plan';
import { scape } from '../testing/scape';
import { inEnglish } from '../words/english';
import { isOverdue, notesAbout, openQuestions } from './notes';
import type { Commission } from './schema';

const log: Commission['log'] = [
  { id: 'l-1', date: '2026-11-20', text: 'Turned the root: open to the door.', kind: 'decision', about: { of: 'pieces', id: 'R-1' } },
  { id: 'l-2', date: '2026-11-24', text: 'Upright, and left: it looked like an antler.', kind: 'tried', about: { of: 'pieces', id: 'R-1' } },
  { id: 'l-3', date: '2026-11-24', text: 'May the lid go?', kind: 'question', until: '2026-12-04' },
  { id: 'l-4', date: '2026-11-25', text: 'Which wall socket?', kind: 'question' },
  { id: 'l-5', date: '2026-11-25', text: 'Sand or none?', kind: 'question', until: '2026-11-30', answer: 'None, says the client.' },
]; // prettier-ignore

describe('notes about things', () => {
  it('stand by their thing, the newest first, and by nothing else', () => {
    expect(notesAbout({ log }, { of: 'pieces', id: 'R-1' }).map((n) => n.id)).toEqual(['l-2', 'l-1']);
    expect(notesAbout({ log }, { of: 'plants', id: 'R-1' })).toEqual([]);
    expect(notesAbout({}, { of: 'pieces', id: 'R-1' })).toEqual([]);
  });

  it('are open until they are answered, the first due first', () => {
    expect(openQuestions({ log }).map((n) => n.id)).toEqual(['l-3', 'l-4']);
    expect([isOverdue({ until: '2026-12-04' }, '2026-12-04'), isOverdue({ until: '2026-12-04' }, '2026-12-05'), isOverdue({}, '2030-01-01')]).toEqual([false, true, false]); // prettier-ignore
  });

  it('are said among the findings: a note until their day, to be settled after it', () => {
    const found = (today: string) =>
      plan({ ...scape(), log }, { today }).findings.filter((f) => f.id === 'note.open');
    expect(found('2026-12-01').map((f) => [f.severity, inEnglish(f.says)])).toEqual([
      ['note', 'Open until 4 Dec 2026: May the lid go?'],
      ['note', 'Still open: Which wall socket?'],
    ]);
    expect(found('2026-12-07')[0]).toMatchObject({ severity: 'warn', measured: 3 });
    expect(inEnglish(found('2026-12-07')[0].because)).toMatch(/^Its day was 3 days ago/);
  });
});
