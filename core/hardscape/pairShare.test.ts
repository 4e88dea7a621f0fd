import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Piece } from '../commission/schema';
import { bedField } from '../substrate/bedField';
import { soil } from '../testing/scape';
import { box } from '../testing/vessel';
import { columnsOf } from './columns';
import { pairShareMm3 } from './pairShare';
import { settle, type Standing } from './settle';
import { sharedMm3 } from './slideApart';

const vessel = box(900, 600, 320);
const field = bedField(vessel, [soil({ kind: 'level', mm: 20 })], 10);
const cube = { kind: 'box' as const, sizeMm: [100, 100, 100] as [number, number, number] };
const at = (x: number, zMm: number, turnDeg = 0): Standing => {
  const piece: Piece = { id: `S-${x}`, material: 'slate', shape: cube, at: [x, 300], turnDeg, stand: { kind: 'at', zMm } };
  return settle(piece, columnsOf(cube, turnDeg), field, new Map());
}; // prettier-ignore

describe('what two pieces share', () => {
  it('is half a litre of two cubes of a litre, one moved by half its length', () => {
    expect(pairShareMm3(at(300, 0), at(350, 0), 320) / 1e6).toBeCloseTo(0.5, 1);
  });

  it('ends at the floor and at the rim', () => {
    expect(pairShareMm3(at(300, -50), at(300, -50), 320) / 1e6).toBeCloseTo(0.5, 1);
    expect(pairShareMm3(at(300, 280), at(300, 280), 320) / 1e6).toBeCloseTo(0.4, 1);
    expect(pairShareMm3(at(300, 0), at(420, 0), 320)).toBe(0);
  });

  it('is what all columns give, within a twentieth of the piece', () => {
    const place = fc.integer({ min: 250, max: 350 });
    const turn = fc.integer({ min: 0, max: 89 });
    fc.assert(
      fc.property(place, turn, turn, (x, own, its) => {
        const [a, b] = [at(300, 10, own), at(x, 40, its)];
        const exact = sharedMm3(a, [b], field, vessel);
        expect(Math.abs(pairShareMm3(a, b, 320) - exact)).toBeLessThan(0.05 * a.columns.volumeMm3);
      }),
      { numRuns: 25 },
    );
  });
});
