import fc from 'fast-check';
import Module from 'manifold-3d';
import { describe, expect, it } from 'vitest';
import type { Layer, Shape } from '../commission/schema';
import { solidMesh } from '../hardscape/solid';
import { example, piece, scape, soil } from '../testing/scape';
import { jointed } from './groups';
import { newMemo } from './memo';
import { survey } from './survey';

/** A rough stone: an icosahedron-like solid stretched and sheared, closed and convex. */
const ROUGH: Shape = (() => {
  const { vertices, faces } = solidMesh({ kind: 'ellipsoid', sizeMm: [150, 90, 180] });
  const points = Array.from({ length: vertices.length / 3 }, (_, i): [number, number, number] => {
    const [x, y, z] = vertices.slice(i * 3, i * 3 + 3);
    return [x + 0.3 * z, y * (1 + z / 400), z];
  });
  const triangles = Array.from(
    { length: faces.length / 3 },
    (_, f) => [...faces.slice(f * 3, f * 3 + 3)] as [number, number, number],
  );
  return { kind: 'mesh', vertices: points, faces: triangles };
})();

describe('survey', () => {
  it('reads the level cube', () => {
    const s = survey(example('level-cube'));
    expect(s).toMatchObject({ brimL: 27, waterLineL: 25.2 });
    expect(s.layers[0]).toMatchObject({ minMm: 40, maxMm: 40, steepestDeg: 0 });
    expect(s.layers[0].volumeL).toBeCloseTo(3.6, 9);
    expect(s.freeWaterL).toBeCloseTo(21.6, 9);
    expect(s.poreWaterL).toBeCloseTo(0.4 * 3.6, 9);
  });

  it('holds 216.0 L to the brim in a box of 900 × 500 × 480 mm', () => {
    expect(survey(scape({ inner: [900, 500, 480] })).brimL).toBe(216);
  });

  it('finds the cap of an ellipsoid in a level bed within 0.5 %', () => {
    // A cap of depth t on half axes a, b, c is π·a·b·c·(h²·(3 − h))/3 with h = t / c.
    for (const [buryMm, tilt] of [
      [20, 0],
      [35, 0],
      [70, 0],
      [20, 1],
    ] as const) {
      const shape: Shape = { kind: 'ellipsoid', sizeMm: [120, 80, 140] };
      const option = {
        bed: [soil({ kind: 'level', mm: 75 })],
        pieces: [piece({ shape, turnDeg: 33, tiltDeg: [0, tilt * 90], stand: { kind: 'bed', buryMm } })],
      };
      const c = tilt ? 60 : 70;
      const h = buryMm / c;
      const cap = (Math.PI * 60 * 40 * 70 * h * h * (3 - h)) / 3 / 1e6;
      const [found] = survey(scape({ option })).pieces;
      expect(Math.abs(found.inBedL / cap - 1)).toBeLessThan(0.005);
      expect(found.volumeL).toBeCloseTo((4 / 3) * Math.PI * 0.06 * 0.04 * 0.07 * 1000, 9);
    }
  });

  it('agrees with an exact boolean for a turned mesh in a sloped bed within 0.5 %', async () => {
    const wasm = await Module();
    wasm.setup();
    const { Manifold, Mesh } = wasm;
    const mesh = solidMesh(ROUGH);
    const stone = Manifold.ofMesh(
      new Mesh({ numProp: 3, vertProperties: Float32Array.from(mesh.vertices), triVerts: mesh.faces }),
    );
    for (const [turnDeg, x, y] of [
      [25, 12, -8],
      [130, 40, 20],
      [-70, -25, 65],
    ] as const) {
      const option = {
        bed: [soil({ kind: 'ramp', frontMm: 30, backMm: 110 })],
        pieces: [piece({ shape: ROUGH, turnDeg, tiltDeg: [x, y], stand: { kind: 'bed', buryMm: 45 } })],
      };
      const measured = survey(scape({ option })).pieces[0];
      const placed = stone.rotate([x, y, turnDeg]).translate([300, 180, measured.zMm]);
      // The bed as a prism: the profile of the ramp from front to back, as long as the vessel.
      const bed = Manifold.hull([
        [0, 0, 0],
        [600, 0, 0],
        [0, 360, 0],
        [600, 360, 0],
        [0, 0, 30],
        [600, 0, 30],
        [0, 360, 110],
        [600, 360, 110],
      ]);
      const exact = placed.intersect(bed).volume() / 1e6;
      expect(exact).toBeGreaterThan(0.05);
      expect(Math.abs(measured.inBedL / exact - 1)).toBeLessThan(0.005);
      expect(Math.abs(measured.volumeL / (placed.volume() / 1e6) - 1)).toBeLessThan(0.005);
    }
  });

  it('fills the vessel: layers, water, pieces and air add up over random scapes', () => {
    const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const pieces = fc.array(
      fc.record({
        size: fc.tuple(mm(20, 200), mm(20, 200), mm(20, 300)),
        at: fc.tuple(mm(-30, 430), mm(-30, 330)),
        turn: mm(0, 360),
        bury: mm(-20, 80),
        box: fc.boolean(),
      }),
      { maxLength: 6 },
    );
    const beds = fc.record({
      front: mm(0, 120),
      back: mm(0, 200),
      hill: mm(-60, 120),
      path: fc.boolean(),
      pathMm: mm(0, 90),
    });
    fc.assert(
      fc.property(pieces, beds, mm(50, 300), (stones, bed, waterLineMm) => {
        const path: Layer = {
          id: 'path',
          material: 'sand',
          top: { kind: 'level', mm: bed.pathMm },
          cuts: true,
          floorMm: 5,
          region: [
            [120, -5],
            [190, -5],
            [230, 150],
            [210, 310],
            [150, 310],
            [160, 150],
          ],
        };
        const s = survey(
          scape({
            inner: [400, 300, 300],
            waterLineMm,
            option: {
              bed: [
                soil(
                  { kind: 'ramp', frontMm: bed.front, backMm: bed.back },
                  { mounds: [{ at: [90, 200], radiusMm: 120, heightMm: bed.hill }] },
                ),
                ...(bed.path ? [path] : []),
              ],
              pieces: stones.map((p, i) =>
                piece({
                  id: `P-${i}`,
                  at: p.at,
                  turnDeg: p.turn,
                  tiltDeg: [p.turn / 3, 20],
                  shape: { kind: p.box ? 'box' : 'ellipsoid', sizeMm: p.size },
                  stand: { kind: 'bed', buryMm: p.bury },
                }),
              ),
            },
          }),
          { cellMm: 10 },
        );
        expect(s.bedL + s.freeWaterL + s.piecesL + s.airL).toBeCloseTo(s.brimL, 8);
      }),
      { numRuns: 35 },
    );
  });

  it('gives the same with a memo as without, after any move', () => {
    const memo = newMemo();
    let commission = example('held-root');
    const coordinate = fc.integer({ min: 60, max: 300 });
    fc.assert(
      fc.property(coordinate, coordinate, fc.integer({ min: 0, max: 300 }), (x, y, turnDeg) => {
        const [option] = commission.options;
        const moved = {
          ...option,
          pieces: option.pieces.map((p, i) =>
            i === 0 ? { ...p, at: [x, y] as [number, number], turnDeg } : p,
          ),
        };
        commission = { ...commission, options: [moved] };
        const { field: _f, standing: _s, ...remembered } = survey(commission, { memo });
        const { field: _g, standing: _t, ...fresh } = survey(commission);
        expect(remembered).toEqual(fresh);
      }),
      { numRuns: 15 },
    );
  });

  it('sets pieces: on the glass, hanging, and let down upon another', () => {
    const pieces = [
      piece({
        id: 'top',
        at: [300, 180],
        shape: { kind: 'box', sizeMm: [200, 60, 40] },
        stand: { kind: 'on', piece: 'foot' },
      }),
      piece({
        id: 'foot',
        shape: { kind: 'box', sizeMm: [80, 80, 100] },
        stand: { kind: 'floor', pad: 5 },
      }),
      piece({
        id: 'hung',
        shape: { kind: 'box', sizeMm: [40, 40, 40] },
        at: [100, 100],
        stand: { kind: 'at', zMm: 222 },
      }),
      piece({
        id: 'astray',
        at: [500, 180],
        shape: { kind: 'box', sizeMm: [40, 40, 40] },
        stand: { kind: 'on', piece: 'foot' },
      }),
    ];
    const s = survey(scape({ option: { pieces } }));
    const bottoms = Object.fromEntries(s.pieces.map((p) => [p.id, p.bottomMm]));
    expect(bottoms.foot).toBeCloseTo(5, 9);
    expect(bottoms.top).toBeCloseTo(105, 9);
    expect(bottoms.hung).toBeCloseTo(222, 9);
    expect(s.pieces.map((p) => p.supported)).toEqual([true, true, true, false]);
  });

  it('weighs what bears on the floor', () => {
    const s = survey(
      scape({
        inner: [300, 300, 300],
        waterLineMm: 280,
        option: {
          bed: [soil({ kind: 'level', mm: 40 })],
          pieces: [piece({ at: [150, 150], massKg: 3, stand: { kind: 'at', zMm: 90 } })],
        },
      }),
    );
    expect(s.masses.glassKg).toBeCloseTo(((316 * 316 * 308 - 27e6) / 1e6) * 2.5, 9);
    expect(s.masses.bedKg).toBeCloseTo((3.6 / 0.93) * 0.95, 6);
    expect(s.masses.piecesKg).toBe(3);
    expect(s.masses.waterKg).toBeCloseTo(s.freeWaterL + s.poreWaterL, 9);
    expect(s.floorKnPerM2).toBeCloseTo((s.floorKg * 9.80665) / 1000 / 0.316 ** 2, 9);
  });

  it('groups what joints bring together, through others too', () => {
    expect(
      jointed(
        ['a', 'b', 'c', 'd'],
        [
          ['d', 'b'],
          ['b', 'a'],
        ],
      ),
    ).toEqual([['a', 'b', 'd'], ['c']]);
  });

  it('counts plugs along the slope, less what stands there', () => {
    const region: [number, number][] = [
      [0, 0],
      [600, 0],
      [600, 360],
      [0, 360],
    ];
    const bed = [soil({ kind: 'ramp', frontMm: 0, backMm: 360 })];
    const plants = [{ id: 'P-1', plant: 'grass', region, spacingMm: 25 }];
    const bare = survey(scape({ inner: [600, 360, 600], option: { bed, plants } })).plantings[0];
    expect(bare.slopedM2).toBeCloseTo(0.6 * 0.36 * Math.SQRT2, 6);
    const block = piece({
      shape: { kind: 'box', sizeMm: [100, 100, 400] },
      stand: { kind: 'bed', buryMm: 150 },
    });
    const stood = survey(scape({ inner: [600, 360, 600], option: { bed, plants, pieces: [block] } }))
      .plantings[0];
    expect(Math.abs(stood.standingM2 / (0.01 * Math.SQRT2) - 1)).toBeLessThan(0.005);
    expect(survey(example('held-root')).plantings[0].plugs).toBe(111);
  });
});

describe('a sump', () => {
  it('is in the water that is filled, changed and weighed, and in no label', () => {
    const [without, with_] = [scape(), scape()].map((d, i) => ({ ...d, vessel: { ...d.vessel, ...(i ? { sumpL: 40 } : {}) } })); // prettier-ignore
    const [a, b] = [survey(without), survey(with_)];
    expect(b.freeWaterL - a.freeWaterL).toBeCloseTo(40, 9);
    expect(b.airL).toBeCloseTo(a.airL, 9);
    expect([b.brimL, b.waterLineL]).toEqual([a.brimL, a.waterLineL]);
    // 40 L of water at its density of about a kilogram a litre.
    expect(b.floorKg - a.floorKg).toBeGreaterThan(39.8);
    expect(b.floorKg - a.floorKg).toBeLessThan(40.1);
  });
});
