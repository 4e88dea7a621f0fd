import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Layer, Piece } from '../commission/schema';
import { bedField } from '../substrate/bedField';
import { box } from '../testing/vessel';
import { columnsOf } from './columns';
import { dropped } from './drop';
import { settle, type Standing } from './settle';
import { sharedMm3, slidApart } from './slideApart';
import { middleOf, stabilityOf } from './stability';

const vessel = box(800, 500, 500);
const bare = bedField(vessel, []);
const soil: Layer = { id: 'soil', material: 'soil', top: { kind: 'level', mm: 60 } };
const bed = bedField(vessel, [soil]);
const piece = (part: Partial<Piece> = {}): Piece => ({ id: 'S', material: 'slate', shape: { kind: 'box', sizeMm: [80, 60, 200] }, at: [400, 250], turnDeg: 0, stand: { kind: 'floor' }, ...part }); // prettier-ignore
const stand = (p: Piece, field = bare, on: readonly Standing[] = []) =>
  settle(p, columnsOf(p.shape, p.turnDeg, p.tiltDeg), field, new Map(on.map((s) => [s.piece.id, s])));

describe('a piece that stands', () => {
  it('tips a block at the angle at which its middle stands over its edge', () => {
    const s = stabilityOf(stand(piece()), bare, []);
    // Half of 60 mm against half of 200 mm: atan(30 / 100) = 16.7°. Soundings stand a column within the edge.
    expect(s.tipsAtDeg).toBeGreaterThan(15.5);
    expect(s.tipsAtDeg).toBeLessThan(16.8);
    expect(['front', 'back']).toContain(s.towards);
    expect(s.middle).toEqual([400, 250]);
    expect(s.heightMm).toBeCloseTo(100, 0);
  });

  it('goes over by itself when its middle is outside of what carries it, to that side', () => {
    // A tall plate on its lower edge, leaning 40° to the right: only that edge touches the glass.
    const leaning = piece({ shape: { kind: 'box', sizeMm: [30, 120, 240] }, tiltDeg: [0, 40] });
    const s = stabilityOf(stand(leaning), bare, []);
    expect(s).toMatchObject({ tipsAtDeg: 0, towards: 'right' });
    expect(s.insideMm).toBeLessThan(-40);
    // Buried by 60 mm the bed carries more of it; leaning against a block at its foot does not change that.
    const buried = stabilityOf(stand({ ...leaning, stand: { kind: 'bed', buryMm: 60 } }, bed), bed, []);
    expect(buried.insideMm).toBeGreaterThan(s.insideMm + 20);
  });

  it('is carried by another piece only where it lies on it', () => {
    const low = stand(piece({ id: 'L', shape: { kind: 'box', sizeMm: [200, 100, 80] } }));
    const on = (x: number) => {
      const p = piece({ id: 'U', shape: { kind: 'box', sizeMm: [160, 80, 40] }, at: [x, 250], stand: { kind: 'on', piece: 'L' } }); // prettier-ignore
      return stabilityOf(stand(p, bare, [low]), bare, [low]);
    };
    expect(on(400).insideMm).toBeGreaterThan(35);
    // Its middle is 20 mm beyond the edge of the one below, which ends at 500 mm.
    expect(on(520)).toMatchObject({ towards: 'right', tipsAtDeg: 0 });
    expect(on(520).insideMm).toBeCloseTo(-20, -1);
  });

  it('has nothing under it in the air', () => {
    const s = stabilityOf(stand(piece({ stand: { kind: 'at', zMm: 200 } })), bare, []);
    expect(s.base).toEqual([]);
    expect(s.insideMm).toBe(-Infinity);
  });

  it('has the middle of its mass where its shape has it', () => {
    const near = (s: Piece['shape'], turnDeg: number, tilt: [number, number]) => middleOf(columnsOf(s, turnDeg, tilt)).forEach((v) => expect(Math.abs(v)).toBeLessThan(0.6)); // prettier-ignore
    near({ kind: 'ellipsoid', sizeMm: [120, 80, 200] }, 30, [20, -35]);
    near({ kind: 'box', sizeMm: [120, 80, 200] }, 30, [20, -35]);
  });
});

describe('a piece that is let down', () => {
  const low = stand(piece({ id: 'L', shape: { kind: 'box', sizeMm: [200, 100, 80] }, at: [400, 250] }), bed);
  const fall = (at: [number, number], field = bed, others = [low], part: Partial<Piece> = {}) => {
    const p = piece({ id: 'U', shape: { kind: 'ellipsoid', sizeMm: [100, 90, 80] }, at, ...part });
    return dropped(p, columnsOf(p.shape, p.turnDeg, p.tiltDeg), field, others, vessel);
  };

  it('lies on what stands below it, otherwise in the bed, or on a pad on bare glass', () => {
    expect(fall([400, 250])).toEqual({ kind: 'on', piece: 'L' });
    expect(fall([700, 250])).toEqual({ kind: 'bed', buryMm: 20 });
    expect(fall([700, 250], bare)).toEqual({ kind: 'floor', pad: 5 });
    // A slab that is buried under the surface is not in the way.
    const deep = stand(piece({ id: 'L', shape: { kind: 'box', sizeMm: [200, 100, 20] } }), bed);
    expect(fall([400, 250], bed, [deep])).toEqual({ kind: 'bed', buryMm: 20 });
  });

  it('is slid in under a branch that hangs over its place, and does not end above the rim', () => {
    const over = (zMm: number) => stand(piece({ id: 'L', shape: { kind: 'box', sizeMm: [200, 100, 30] }, at: [400, 250], stand: { kind: 'at', zMm } }), bed); // prettier-ignore
    // 80 mm of stone, 20 of them in the bed: under 200 mm there is room, under 70 there is none.
    expect(fall([400, 250], bed, [over(200)])).toEqual({ kind: 'bed', buryMm: 20 });
    expect(fall([400, 250], bed, [over(70)])).toEqual({ kind: 'on', piece: 'L' });
    // On top of what nearly reaches the rim it would stand out of the tank.
    const tall = stand(piece({ id: 'L', shape: { kind: 'box', sizeMm: [200, 100, vessel.innerMm.height - 20] } }), bed); // prettier-ignore
    expect(fall([400, 250], bed, [tall])).toEqual({ kind: 'bed', buryMm: 20 });
  });

  it('never runs into what it lands on', () => {
    const spot = fc.record({ x: fc.integer({ min: 280, max: 520 }), y: fc.integer({ min: 180, max: 320 }), turn: fc.integer({ min: 0, max: 359 }), tilt: fc.integer({ min: -60, max: 60 }) }); // prettier-ignore
    fc.assert(
      fc.property(spot, ({ x, y, turn, tilt }) => {
        const p = piece({ id: 'U', shape: { kind: 'ellipsoid', sizeMm: [120, 70, 90] }, at: [x, y], turnDeg: turn, tiltDeg: [tilt, 0] }); // prettier-ignore
        const columns = columnsOf(p.shape, p.turnDeg, p.tiltDeg);
        const down = settle(
          { ...p, stand: dropped(p, columns, bed, [low], vessel) },
          columns,
          bed,
          new Map([['L', low]]),
        );
        if (down.piece.stand.kind === 'on')
          expect(sharedMm3(down, [low], bed, vessel)).toBeLessThan(0.02 * columns.volumeMm3);
      }),
      { numRuns: 60 },
    );
  });
});

describe('pieces that run into each other', () => {
  it('are slid apart the shortest way, and no further', () => {
    const still = stand(piece({ id: 'L', shape: { kind: 'box', sizeMm: [200, 100, 80] } }));
    const runs = stand(piece({ id: 'U', shape: { kind: 'box', sizeMm: [100, 100, 80] }, at: [530, 250] }));
    const to = slidApart(runs, [still], bare, vessel)!;
    // They share 20 mm along x: 550 is where they touch.
    expect(to[0]).toBeGreaterThan(548);
    expect(to[0]).toBeLessThan(554);
    expect(to[1]).toBeCloseTo(250, 0);
    const after = stand({ ...runs.piece, at: to });
    expect(sharedMm3(after, [still], bare, vessel)).toBeLessThan(0.002 * runs.columns.volumeMm3);
    expect(slidApart(after, [still], bare, vessel)).toBeUndefined();
  });
});
