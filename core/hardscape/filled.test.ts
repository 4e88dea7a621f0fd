import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Piece } from '../commission/schema';
import { bedField } from '../substrate/bedField';
import { box } from '../testing/vessel';
import { soil } from '../testing/scape';
import { columnsOf } from './columns';
import { filledBy, newFilling } from './filled';
import { settle, type Standing } from './settle';
import { feetOf, stabilityOf } from './stability';
import { Under } from './under';

const vessel = box(500, 300, 320);
const field = bedField(vessel, [soil({ kind: 'ramp', frontMm: 20, backMm: 90 })], 10);
const shape = { kind: 'ellipsoid' as const, sizeMm: [90, 80, 100] as [number, number, number] };
const columns = columnsOf(shape, 20);
const stone = (id: number, at: [number, number], buryMm = 15): Standing => {
  const piece: Piece = {
    id: `S-${id}`,
    material: 'slate',
    shape,
    at,
    turnDeg: 20,
    stand: { kind: 'bed', buryMm },
  };
  return settle(piece, columns, field, new Map());
};
const place = fc.tuple(fc.integer({ min: 40, max: 460 }), fc.integer({ min: 40, max: 260 }));

describe('a piece past which others are moved', () => {
  it('is filled, and stands, to the last figure as if it were asked from nothing', () => {
    const moves = fc.array(fc.tuple(fc.integer({ min: 0, max: 4 }), place), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(place, fc.array(place, { minLength: 5, maxLength: 5 }), moves, (own, others, moved) => {
        const piece = stone(0, own);
        const filling = newFilling(new Under(field, piece));
        const feet = feetOf(piece, field);
        let near = others.map((at, i) => stone(i + 1, at));
        for (const [i, at] of moved) {
          near = near.with(i, stone(i + 1, at));
          const anew = filledBy(piece, vessel, near, newFilling(new Under(field, piece)));
          expect(filledBy(piece, vessel, near, filling)).toEqual(anew);
          expect(stabilityOf(piece, field, near, feet)).toEqual(stabilityOf(piece, field, near));
        }
        // Where nobody is any more, nothing is filled.
        expect(filledBy(piece, vessel, [], filling).all).toBe(0);
      }),
      { numRuns: 25 },
    );
  });

  it('has the whole of it filled by its like in the same place', () => {
    const piece = stone(0, [200, 150]);
    const { all } = filledBy(piece, vessel, [stone(1, [200, 150])], newFilling(new Under(field, piece)));
    expect((all * columns.columnMm2) / columns.volumeMm3).toBeCloseTo(1, 9);
  });
});
