import { describe, expect, it } from 'vitest';
import { example } from '../testing/scape';
import { withoutPiece } from './pieces';
import { strewnChanged, strewnFresh, withoutStrewn } from './strewn';

const option = () => structuredClone(example('held-root').options[0]);

describe('what is strewn', () => {
  it('begins as a handful of stone by weight and size, or a cup of grain', () => {
    const o = strewnFresh(strewnFresh(option(), { id: 'grey', kind: 'stone' }), { id: 'sand', kind: 'sand' });
    expect(o.strewn!.map(({ id: _id, ...s }) => s)).toEqual([
      { material: 'grey', massKg: 1, sizeMm: [10, 40] },
      { material: 'sand', litres: 0.25 },
    ]);
    expect(new Set(o.strewn!.map((s) => s.id)).size).toBe(2);
    const [{ id }] = o.strewn!;
    const more = strewnChanged(o, id, { massKg: 2, sizeMm: undefined });
    expect(more.strewn![0]).toEqual({ id, material: 'grey', massKg: 2 });
    expect('strewn' in withoutStrewn(withoutStrewn(more, id), more.strewn![1].id)).toBe(false);
  });

  it('lies at the foot of what still stands', () => {
    const o = option();
    const [first, second] = o.pieces.map((p) => p.id);
    const both = strewnFresh(o, { id: 'grey', kind: 'stone' });
    const at = strewnChanged(both, both.strewn![0].id, { around: [first, second] });
    const one = withoutPiece(at, first);
    expect(one.strewn![0].around).toEqual([second]);
    expect('around' in withoutPiece(one, second).strewn![0]).toBe(false);
  });
});
