import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { columnsOf } from '../hardscape/columns';
import { settle } from '../hardscape/settle';
import { bedField } from '../substrate/bedField';
import { piece, soil } from '../testing/scape';
import { box } from '../testing/vessel';
import {
  inRoom,
  jointsToHide,
  normalsAt,
  toPiece,
  touched,
  touchedAt,
  touchedFromAbove,
  touchedFromFront,
} from './picked';

const field = bedField(box(600, 360, 400), [soil({ kind: 'level', mm: 50 })]);
const stand = (part: Parameters<typeof piece>[0]) => {
  const p = piece(part);
  return settle(p, columnsOf(p.shape, p.turnDeg, p.tiltDeg), field, new Map());
};
const block = (id: string, x: number, sizeMm: [number, number, number], more = {}) => stand({ id, shape: { kind: 'box', sizeMm }, at: [x, 180], stand: { kind: 'floor' }, ...more }); // prettier-ignore

describe('spots that were chosen on a piece', () => {
  it('go along with it however it is turned', () => {
    fc.assert(
      fc.property(fc.integer({ min: -180, max: 180 }), fc.integer({ min: -60, max: 60 }), fc.integer({ min: -60, max: 60 }), (turnDeg, tx, ty) => {
        const own = block('S-1', 300, [120, 80, 60], { turnDeg, tiltDeg: [tx, ty] });
        const room = inRoom(own, [[20, -10, 30]]);
        expect(toPiece(own, [room[0], room[1], room[2]])).toEqual([20, -10, 30]);
      }), // prettier-ignore
      { numRuns: 40 },
    );
  });

  it('are where a finger meets it from above and from the front', () => {
    const own = block('S-1', 300, [120, 80, 60]);
    expect(touchedFromAbove(own, 310, 190)![2]).toBeCloseTo(60, 0);
    expect(touchedFromAbove(own, 400, 190)).toBeUndefined();
    const front = touchedFromFront(own, 310, 40)!;
    expect(Math.abs(front[1] - 140)).toBeLessThan(4);
    expect(touchedFromFront(own, 310, 80)).toBeUndefined();
  });

  it('are on the piece that stands nearest to the eye', () => {
    const back = stand({ id: 'S-2', shape: { kind: 'box', sizeMm: [200, 40, 160] }, at: [300, 300], stand: { kind: 'floor' } }); // prettier-ignore
    const standing = [back, block('S-1', 300, [120, 80, 60])];
    expect(touched(standing, 'front', 300, 40)?.piece).toBe('S-1');
    expect(touched(standing, 'front', 300, 120)?.piece).toBe('S-2');
    // A block's own place is its middle: its top is half of 160 mm above that.
    expect(touched(standing, 'above', 300, 300)).toEqual({ piece: 'S-2', at: [0, 0, 80] });
    expect(touched(standing, 'above', 100, 60)).toBeUndefined();
    // A look that ends a little beside what is drawn has met it all the same.
    expect(touchedAt(standing, [300, 134, 30])?.piece).toBe('S-1');
    expect(touchedAt(standing, [300, 100, 30])).toBeUndefined();
  });

  it('know which way the stone looks there', () => {
    const own = block('S-1', 300, [120, 80, 60]);
    const normals = normalsAt(own, Float64Array.from([300, 180, 60, 300, 140, 30, 240, 180, 30]));
    expect([...normals].map((x) => Math.round(x) || 0)).toEqual([0, 0, 1, 0, -1, 0, -1, 0, 0]);
  });
});

describe('joints to hide', () => {
  it('are offered where two pieces meet', () => {
    const [low, high] = [block('S-1', 260, [120, 80, 60]), block('S-2', 380, [120, 80, 140])];
    const [found] = jointsToHide([{ id: 'J-1', pieces: ['S-2', 'S-1'], method: 'fibre-glue' }], [low, high]);
    expect(found).toMatchObject({ joint: 'J-1', on: 'S-1' });
    // On top of the lower one, at its side to the other: 60 mm right of its own middle.
    expect(Math.abs(found.at[0] - 60)).toBeLessThan(5);
    expect(inRoom(low, [found.at])[2]).toBeCloseTo(60, 0);
    expect(jointsToHide([{ id: 'J-1', pieces: ['S-2', 'S-1'], method: 'wedge' }], [low, high])).toEqual([]);
  });
});
