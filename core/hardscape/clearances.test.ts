import { describe, expect, it } from 'vitest';
import type { Piece } from '../commission/schema';
import { bedField } from '../substrate/bedField';
import { box } from '../testing/vessel';
import { clearancesOf } from './clearances';
import { columnsOf } from './columns';
import { settle } from './settle';

const vessel = box(600, 400, 400);
const bare = bedField(vessel, []);
const block = (id: string, at: [number, number], turnDeg = 0) => {
  const p = { id, material: 's', shape: { kind: 'box', sizeMm: [100, 60, 80] }, at, turnDeg, stand: { kind: 'floor' } } as Piece; // prettier-ignore
  return settle(p, columnsOf(p.shape, turnDeg), bare, new Map());
};

describe('what is clear around a piece', () => {
  it('is measured to the front, to the nearest side and to what stands beside it', () => {
    const found = clearancesOf(
      block('S', [120, 100]),
      [block('T', [260, 110]), block('U', [560, 350])],
      vessel,
    );
    expect(found.map((c) => [c.to, Math.round(c.mm)])).toEqual([['front', 70], ['left', 70], ['T', 40]]); // prettier-ignore
    // The line goes from this piece to the other.
    const [, , to] = found;
    expect(to.from[0]).toBeCloseTo(170, 0);
    expect(to.at[0]).toBeCloseTo(210, 0);
  });

  it('of what lies over another is none, and across a corner it is the way between the corners', () => {
    const near = (at: [number, number]) => clearancesOf(block('S', [200, 200]), [block('T', at)], vessel).find((c) => c.to === 'T'); // prettier-ignore
    expect(near([240, 210])).toBeUndefined();
    // 30 mm to the right and 40 mm behind: 50 mm.
    expect(near([330, 300])!.mm).toBeCloseTo(50, 0);
    expect(near([200, 200])).toBeUndefined();
  });
});
