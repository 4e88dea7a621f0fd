import { describe, expect, it } from 'vitest';
import type { Piece, Pocket } from '../commission/schema';
import { bedField } from '../substrate/bedField';
import { box } from '../testing/vessel';
import { columnsOf } from './columns';
import { measurePocket } from './pocket';
import { settle } from './settle';

const bare = bedField(box(600, 400, 400), []);
const slab = (
  id: string,
  at: [number, number],
  turnDeg = 0,
  sizeMm: [number, number, number] = [200, 120, 80],
) => {
  const p = { id, material: 's', shape: { kind: 'box', sizeMm }, at, turnDeg, stand: { kind: 'floor' } } as Piece; // prettier-ignore
  return settle(p, columnsOf(p.shape, turnDeg), bare, new Map());
};
const pocket = (rest: Partial<Pocket> = {}): Pocket => ({ id: 'p', on: 'S', material: 'soil', offsetMm: [0, 0], radiusMm: 50, heightMm: 30, ...rest }); // prettier-ignore

describe('a heap on top of a piece', () => {
  it('on a level top holds a cone', () => {
    const found = measurePocket(pocket(), [slab('S', [300, 200])])!;
    // π · 50² · 30 / 3 mm³.
    expect(found.litres).toBeCloseTo((Math.PI * 2_500 * 10) / 1e6, 4);
    expect(found.overEdge).toBe(0);
    expect(found.at).toEqual([300, 200, 80]);
    expect(found.slopeDeg).toBeCloseTo(30.96, 2);
  });

  it('goes along with the piece, and turns with it', () => {
    const { at } = measurePocket(pocket({ offsetMm: [40, 0] }), [slab('S', [300, 200], 90)])!;
    expect(at[0]).toBeCloseTo(300, 6);
    expect(at[1]).toBeCloseTo(240, 6);
  });

  it('over the edge of its piece has nothing under it, unless another carries it there', () => {
    const edge = pocket({ offsetMm: [100, 0] });
    const alone = measurePocket(edge, [slab('S', [300, 200])])!;
    expect(alone.overEdge).toBeCloseTo(0.5, 1);
    expect(alone.litres).toBeCloseTo((Math.PI * 2_500 * 10) / 2e6, 2);
    expect(measurePocket(edge, [slab('S', [300, 200]), slab('T', [500, 200])])!.overEdge).toBeCloseTo(0, 1);
    // Too low to carry it.
    const low = slab('T', [500, 200], 0, [200, 120, 20]);
    expect(measurePocket(edge, [slab('S', [300, 200]), low])!.overEdge).toBeCloseTo(0.5, 1);
    expect(measurePocket(edge, [])).toBeUndefined();
  });
});
