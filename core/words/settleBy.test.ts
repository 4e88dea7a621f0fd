import { describe, expect, it } from 'vitest';
import { grouped, numbered, settleBy } from './settleBy';

describe('findings in groups', () => {
  it('stand by when they have to be settled, numbered as they are counted', () => {
    const list = (['build.long', 'piece.floats', 'care.light', 'bed.steep'] as const).map((id) => ({ id }));
    expect(grouped(list).map((g) => [g.by, g.list.map((l) => l.n)])).toEqual([
      ['order', [1, 2]],
      ['day', [3]],
      ['step', [4]],
    ]);
    expect(numbered(list).map(({ n, finding }) => [n, finding.id])).toEqual([[1, 'piece.floats'], [2, 'bed.steep'], [3, 'build.long'], [4, 'care.light']]); // prettier-ignore
    expect(grouped([])).toEqual([]);
    expect(settleBy({ id: 'power.protection' })).toBe('day');
  });
});
