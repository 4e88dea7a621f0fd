import { describe, expect, it } from 'vitest';
import type { Piece } from '../commission/schema';
import { bedField } from '../substrate/bedField';
import { box } from '../testing/vessel';
import { columnsOf } from './columns';
import { loadsOf } from './loads';
import { settle, type Standing } from './settle';

const bare = bedField(box(800, 500, 500), []);
const block = (id: string, sizeMm: [number, number, number], x: number, stand: Piece['stand'] = { kind: 'floor' }): Piece => ({ id, material: 'slate', shape: { kind: 'box', sizeMm }, at: [x, 250], turnDeg: 0, stand }); // prettier-ignore
const set = (p: Piece, on: readonly Standing[] = [], field = bare) =>
  settle(p, columnsOf(p.shape, p.turnDeg, p.tiltDeg), field, new Map(on.map((s) => [s.piece.id, s])));

describe('what carries a piece', () => {
  it('is the glass alone under a block that stands on it', () => {
    const [only, ...more] = loadsOf(set(block('S', [100, 80, 60], 400)), 3, bare, []);
    expect(more).toEqual([]);
    expect(only.on).toBe('glass');
    expect(only.kg).toBeCloseTo(3, 9);
    expect(only.cm2 / 80).toBeCloseTo(1, 1);
  });

  it('shares a beam on two blocks by the lever', () => {
    // Supports of one size with their middles at 300 and 500; a beam whose middle is at 440: 30 % and 70 %.
    const feet = [set(block('A', [40, 80, 60], 300)), set(block('B', [40, 80, 60], 500))];
    const beam = set(block('C', [360, 80, 40], 440, { kind: 'on', piece: 'A' }), feet);
    const loads = loadsOf(beam, 10, bare, feet);
    const kg = Object.fromEntries(loads.map((l) => [l.on, l.kg]));
    expect(kg.A + kg.B).toBeCloseTo(10, 9);
    // By moments about A: B bears 10 · (440 − 300) / 200.
    expect(kg.B).toBeCloseTo(7, 0.7);
    expect(loads[0].on).toBe('B');
  });

  it('is the bed where it is buried, and nothing in the air', () => {
    const bed = bedField(box(800, 500, 500), [
      { id: 'soil', material: 'soil', top: { kind: 'level', mm: 60 } },
    ]);
    const inBed = set(block('S', [100, 80, 60], 400, { kind: 'bed', buryMm: 20 }), [], bed);
    expect(loadsOf(inBed, 2, bed, []).map((l) => [l.on, Math.round(l.kg * 1e6) / 1e6])).toEqual([['bed', 2]]);
    expect(loadsOf(set(block('S', [100, 80, 60], 400, { kind: 'at', zMm: 200 })), 2, bare, [])).toEqual([]);
  });
});
