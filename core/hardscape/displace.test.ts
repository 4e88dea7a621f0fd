import { describe, expect, it } from 'vitest';
import type { Layer, Piece, Shape } from '../commission/schema';
import { scape, soil } from '../testing/scape';
import { bedField } from '../substrate/bedField';
import { columnsOf } from './columns';
import { displace } from './displace';
import { mayOverlap } from './neighbours';
import { lowestMm, settle, settlingOrder, highestMm, type Standing } from './settle';

const { vessel } = scape({ inner: [400, 300, 300], waterLineMm: 200 });
const field = (bed: Layer[]) => bedField(vessel, bed);
const flat = field([soil({ kind: 'level', mm: 50 })]);

const block = (sizeMm: [number, number, number]): Shape => ({ kind: 'box', sizeMm });
function stand(
  id: string,
  shape: Shape,
  at: [number, number],
  rest: Piece['stand'],
  on: Standing[] = [],
  bed = flat,
): Standing {
  const piece: Piece = { id, material: 'granite', shape, at, turnDeg: 0, stand: rest };
  return settle(piece, columnsOf(shape, 0), bed, new Map(on.map((s) => [s.piece.id, s])));
}
const litres = (mm3: number) => mm3 / 1e6;

describe('what a piece takes up', () => {
  it('splits a block between bed, water and air', () => {
    // 100 × 100 × 250 mm from the glass up: 50 in soil, 150 in water, 50 in air.
    const d = displace(stand('a', block([100, 100, 250]), [200, 150], { kind: 'floor' }), flat, vessel, []);
    expect(litres(d.inBed)).toBeCloseTo(0.5, 9);
    expect(litres(d.underWater)).toBeCloseTo(2, 9);
    expect(litres(d.ownInLayer[0])).toBeCloseTo(0.5, 9);
    expect(litres(d.ownInFreeWater)).toBeCloseTo(1.5, 9);
    expect(litres(d.ownInAir)).toBeCloseTo(0.5, 9);
    expect([d.outside, d.overlap]).toEqual([0, 0]);
  });

  it('splits what is buried between the layers it passes through', () => {
    const layers = [
      soil({ kind: 'level', mm: 20 }, { id: 'f', material: 'scoria' }),
      soil({ kind: 'level', mm: 60 }),
    ];
    const bed = field(layers);
    const d = displace(
      stand('a', block([100, 100, 100]), [200, 150], { kind: 'floor' }, [], bed),
      bed,
      vessel,
      [],
    );
    expect(Array.from(d.ownInLayer, litres).map((v) => Math.round(v * 1e6) / 1e6)).toEqual([0.2, 0.4]);
  });

  it('counts what is through the glass or above the rim as outside', () => {
    const half = displace(stand('a', block([100, 100, 100]), [0, 150], { kind: 'floor' }), flat, vessel, []);
    expect(litres(half.outside)).toBeCloseTo(0.5, 9);
    const above = displace(
      stand('a', block([100, 100, 100]), [200, 150], { kind: 'at', zMm: 260 }),
      flat,
      vessel,
      [],
    );
    expect(litres(above.outside)).toBeCloseTo(0.6, 9);
    const sunk = displace(
      stand('a', block([100, 100, 100]), [200, 150], { kind: 'bed', buryMm: 80 }),
      flat,
      vessel,
      [],
    );
    expect(litres(sunk.outside)).toBeCloseTo(0.3, 9);
  });

  it('leaves space that an earlier piece fills to that piece', () => {
    const first = stand('a', block([100, 100, 100]), [200, 150], { kind: 'floor' });
    const second = stand('b', block([100, 100, 100]), [250, 150], { kind: 'floor' });
    const d = displace(second, flat, vessel, [first]);
    expect(Math.abs(litres(d.overlap) / 0.5 - 1)).toBeLessThan(0.03);
    const own = d.ownInLayer[0] + d.ownInFreeWater + d.ownInAir;
    expect(litres(own + d.overlap)).toBeCloseTo(1, 9);
    expect(litres(d.inBed)).toBeCloseTo(0.5, 9);
  });

  it('cuts a hole out of the middle of a taller piece', () => {
    const tall = stand('tall', block([60, 60, 240]), [200, 150], { kind: 'floor' });
    const slab = stand('slab', block([200, 200, 40]), [200, 150], { kind: 'at', zMm: 100 });
    const d = displace(tall, flat, vessel, [slab]);
    expect(litres(d.overlap)).toBeCloseTo(0.06 * 0.06 * 0.04 * 1000, 3);
    expect(litres(d.ownInFreeWater)).toBeCloseTo(0.06 * 0.06 * (0.15 - 0.04) * 1000, 3);
  });

  it('finds the foot on the bed’s surface', () => {
    const through = displace(
      stand('a', block([100, 80, 100]), [200, 150], { kind: 'floor' }),
      flat,
      vessel,
      [],
    );
    expect((through.footXY.length / 2) * through.footMm2).toBeCloseTo(8000, 6);
    const hung = displace(
      stand('a', block([100, 80, 100]), [200, 150], { kind: 'at', zMm: 120 }),
      flat,
      vessel,
      [],
    );
    expect(hung.footXY).toHaveLength(0);
  });
});

describe('how pieces stand', () => {
  it('bury their lowest point below the surface under their middle', () => {
    const ramp = field([soil({ kind: 'ramp', frontMm: 20, backMm: 110 })]);
    const s = stand(
      'a',
      { kind: 'ellipsoid', sizeMm: [80, 80, 120] },
      [200, 100],
      { kind: 'bed', buryMm: 15 },
      [],
      ramp,
    );
    expect(lowestMm(s)).toBeCloseTo(20 + 90 / 3 - 15, 9);
    expect(highestMm(s)).toBeCloseTo(lowestMm(s) + 120, 9);
  });

  it('come to rest on the highest spot below them', () => {
    const ball: Shape = { kind: 'ellipsoid', sizeMm: [100, 100, 100] };
    const below = stand('below', ball, [200, 150], { kind: 'floor' });
    const beam = stand('beam', block([180, 30, 20]), [230, 150], { kind: 'on', piece: 'below' }, [below]);
    expect(lowestMm(beam)).toBeCloseTo(100, 0);
    expect(beam.supported).toBe(true);
  });

  it('are set in an order in which each comes after its support', () => {
    const piece = (id: string, on?: string) =>
      ({ id, stand: on ? { kind: 'on', piece: on } : { kind: 'floor' } }) as Piece;
    const order = settlingOrder([piece('c', 'b'), piece('a'), piece('b', 'a'), piece('d', 'c')]).map(
      (p) => p.id,
    );
    expect(order).toEqual(['a', 'b', 'c', 'd']);
  });

  it('may overlap only where their boxes meet in all three directions', () => {
    const a = stand('a', block([100, 100, 100]), [100, 100], { kind: 'floor' });
    expect(mayOverlap(a, stand('b', block([100, 100, 100]), [190, 100], { kind: 'floor' }))).toBe(true);
    expect(mayOverlap(a, stand('b', block([100, 100, 100]), [210, 100], { kind: 'floor' }))).toBe(false);
    expect(mayOverlap(a, stand('b', block([100, 100, 100]), [100, 100], { kind: 'at', zMm: 120 }))).toBe(
      false,
    );
  });
});
