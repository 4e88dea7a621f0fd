import { describe, expect, it } from 'vitest';
import type { Layer, Material, Piece } from '../commission/schema';
import { bedField } from '../substrate/bedField';
import { box } from '../testing/vessel';
import { columnsOf } from './columns';
import { BETWEEN, letSettle, obstaclesOf, settledBed } from './letSettle';
import { settle } from './settle';

const vessel = box(600, 300, 360);
const soil: Layer = { id: 'soil', material: 'soil', top: { kind: 'level', mm: 90 } };
const path: Layer = { id: 'sand', material: 'sand', cuts: true, top: { kind: 'level', mm: 10 }, region: [[0, 0], [250, 0], [250, 300], [0, 300]] }; // prettier-ignore
const materials = [{ reposeDeg: 32 }, { reposeDeg: 33 }] as Material[];
const bed = [soil, path];
const field = bedField(vessel, bed, 10);
/** A wall of blocks along the edge of the path, so high, at so many mm from the left. */
const wall = (high: number, long = 300, x = 265) => {
  const piece = { id: 'S', material: 'slate', shape: { kind: 'box', sizeMm: [30, long, high] }, at: [x, long / 2], turnDeg: 0, stand: { kind: 'floor' } } as Piece; // prettier-ignore
  return [settle(piece, columnsOf(piece.shape, 0), field, new Map())];
};
const litres = (list: Float64Array) => (list.reduce((s, z) => s + z, 0) * field.dxMm * field.dyMm) / 1e6;

describe('a bed that is let settle', () => {
  it('runs onto the path where nothing holds it, and is held by a wall', () => {
    const free = letSettle(field, bed, materials, []);
    expect(free).toMatchObject({ layer: 'soil', settled: true });
    // A step of 80 mm over 300 mm of width: the foot runs out to h / (2 tan θ) on either side, triangles of h/2,
    // at the slope that is let stand.
    const run = 80 / 2 / (BETWEEN * Math.tan((32 * Math.PI) / 180));
    const footL = (((80 / 2) * run) / 2) * 300 * 1e-6;
    expect(free.onPathsL / footL).toBeGreaterThan(0.9);
    expect(free.onPathsL / footL).toBeLessThan(1.1);
    expect(litres(free.surfaceMm)).toBeCloseTo(litres(field.surfaceMm), 6);
    expect(letSettle(field, bed, materials, wall(100)).onPathsL).toBe(0);
    // A wall with a hole leaks a part of it.
    const leaks = letSettle(field, bed, materials, wall(100, 240)).onPathsL;
    expect(leaks).toBeGreaterThan(0.02);
    expect(leaks).toBeLessThan(free.onPathsL / 2);
  });

  it('keeps its litres when it is kept, what ran onto the path as a layer on top', () => {
    const free = letSettle(field, bed, materials, []);
    const kept = settledBed(bed, field, free, vessel);
    expect(kept.map((l) => l.id)).toEqual(['soil', 'sand', 'run']);
    const after = bedField(vessel, kept, 10);
    expect(Math.abs(litres(after.surfaceMm) - litres(field.surfaceMm))).toBeLessThan(0.05);
    expect(litres(after.thicknessMm[2])).toBeGreaterThan(free.onPathsL * 0.9);
    // Without a path it is the soil alone, of another shape.
    const heap = bedField(
      vessel,
      [{ ...soil, mounds: [{ at: [300, 150], radiusMm: 90, heightMm: 120 }] }],
      10,
    );
    const slid = letSettle(heap, [soil], materials, []);
    expect(slid.movedL).toBeGreaterThan(0.05);
    expect(settledBed([soil], heap, slid, vessel)).toMatchObject([{ id: 'soil', top: { kind: 'grid' } }]);
  });

  it('does not count what hangs above the bed as standing in the way', () => {
    const [stands] = wall(100);
    const hangs = { ...stands, zMm: stands.zMm + 200 };
    expect(obstaclesOf(field, [hangs]).every((mm) => mm === 0)).toBe(true);
    expect(obstaclesOf(field, [stands]).filter((mm) => mm === 100).length).toBeGreaterThan(60);
  });
});
