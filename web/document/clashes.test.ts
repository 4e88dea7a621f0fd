import { describe, expect, it } from 'vitest';
import { clashRows, placeWords } from './clashes';
import { fault } from '../../core/commission/fault';
import { inEnglish } from '../../core/words/english';

describe('what was changed in two places', () => {
  it('is said with both values, as people read them', () => {
    const piece = [{ path: ['options', { id: 'a' }, 'pieces', { id: 'S-1' }], was: { id: 'S-1' } }];
    const rows = clashRows(
      [
        { change: { path: ['title'], was: 'a', is: 'Hall' }, theirs: 'Stairs' },
        { change: { path: ['vessel', 'waterLineMm'], was: 1, is: 330 }, theirs: undefined },
        { change: { path: ['brief', 'co2'], was: false, is: true }, theirs: false },
        { change: piece[0], theirs: { id: 'S-1', material: 'slate' } },
        {
          change: {
            path: ['options', { id: 'a' }, 'plants', { id: 'P-1' }, 'region'],
            is: [
              [1, 2],
              [3, 4],
            ],
          },
          theirs: [7, 8],
        },
        { change: { path: ['options', { id: 'a' }, 'bed'], order: { was: [], is: [] } }, theirs: [] },
        {
          change: { path: ['log', { id: 'l' }], is: { id: 'l', text: 'rang' } },
          theirs: undefined,
          unfit: fault('log[0].text', 'must.be.whole'),
        },
      ],
      inEnglish,
    );
    expect(rows.map((r) => [r.place, r.mine, r.theirs, r.unfit])).toEqual([
      ['title', 'Hall', 'Stairs', undefined],
      ['vessel, water line (mm)', '330', 'nothing', undefined],
      ['co2', 'yes', 'no', undefined],
      ['a, S-1', 'taken out', 'S-1', undefined],
      ['a, P-1, region', '2 entries', '7, 8', undefined],
      ['a', 'in the order set here', 'in the order set elsewhere', undefined],
      ['log, l', 'rang', 'taken out', 'log[0].text must be of whole characters'],
    ]);
  });

  it('is short', () => {
    const [row] = clashRows(
      [{ change: { path: ['brief', 'story'], is: 'x'.repeat(5_000) }, theirs: { a: 1 } }],
      inEnglish,
    );
    expect([row.mine.length, row.theirs]).toEqual([162, 'a 1']);
    expect(placeWords(['site', 'ro', 'litresPerHour'])).toBe('site, ro, litres per hour');
  });
});
