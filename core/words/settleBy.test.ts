import { describe, expect, it } from 'vitest';
import { grouped, settleBy } from './settleBy';

describe('findings in groups', () => {
  it('stand by when they have to be settled, each with its number in the whole list', () => {
    const list = (['build.long', 'piece.floats', 'care.light', 'bed.steep'] as const).map((id) => ({ id }));
    expect(grouped(list).map((g) => [g.by, g.list.map((l) => l.n)])).toEqual([
      ['order', [2, 4]],
      ['day', [1]],
      ['step', [3]],
    ]);
    expect(grouped([])).toEqual([]);
    expect(settleBy({ id: 'power.protection' })).toBe('day');
  });
});
