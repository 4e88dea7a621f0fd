import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Vessel } from '../commission/schema';
import { polygonArea } from '../geometry/polygon';
import { chamberFloors, displayOutline } from './display';
import { bowRadius, footprint } from './footprint';
import { glassKg, innerFromOuter, outerAreaMm2 } from './glass';
import { chamberWaterL, displayLitresTo, litresToHeight, waterLineL } from './litres';

import { vesselOf } from '../testing/vessel';

const [L, W, H] = [900, 510, 450];
const SHAPES: Record<string, { vessel: Vessel; areaMm2: number }> = {
  box: {
    vessel: vesselOf({ kind: 'box', innerMm: { length: L, width: W, height: H }, waterLineMm: 420 }),
    areaMm2: L * W,
  },
  // A box behind a circular segment: R²·asin(c/2R) − (c/2)·(R − s).
  bow: {
    vessel: vesselOf({
      kind: 'bow',
      bowMm: 60,
      innerMm: { length: L, width: W, height: H },
      waterLineMm: 420,
    }),
    areaMm2: L * (W - 60) + segment(1717.5, L, 60),
  },
  cylinder: {
    vessel: vesselOf({ kind: 'cylinder', innerMm: { length: 400, width: 400, height: H }, waterLineMm: 420 }),
    areaMm2: Math.PI * 200 ** 2,
  },
  'half-cylinder': {
    vessel: vesselOf({
      kind: 'half-cylinder',
      innerMm: { length: 800, width: 400, height: H },
      waterLineMm: 420,
    }),
    areaMm2: (Math.PI * 400 ** 2) / 2,
  },
  // A regular hexagon of side a has (3√3/2)·a².
  hexagon: {
    vessel: vesselOf({
      kind: 'hexagon',
      innerMm: { length: 600, width: 300 * Math.sqrt(3), height: H },
      waterLineMm: 420,
    }),
    areaMm2: ((3 * Math.sqrt(3)) / 2) * 300 ** 2,
  },
  // An L: two rectangles.
  polygon: {
    vessel: vesselOf({
      kind: 'polygon',
      corners: [
        [0, 0],
        [300, 0],
        [300, 200],
        [800, 200],
        [800, 500],
        [0, 500],
      ],
      innerMm: { length: 800, width: 500, height: H },
      waterLineMm: 420,
    }),
    areaMm2: 300 * 500 + 500 * 300,
  },
};

function segment(r: number, chord: number, depth: number): number {
  return r * r * Math.asin(chord / 2 / r) - (chord / 2) * (r - depth);
}

describe.each(Object.entries(SHAPES))('a %s', (_, { vessel, areaMm2 }) => {
  it('has the area of its closed form within 0.01 %', () => {
    expect(Math.abs(polygonArea(footprint(vessel)) / areaMm2 - 1)).toBeLessThan(1e-4);
  });

  it('holds litres that rise with the height and end at the brim', () => {
    const brim = (areaMm2 * H) / 1e6;
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: H, noNaN: true }),
        fc.double({ min: 0, max: H, noNaN: true }),
        (a, b) => {
          const [low, high] = [Math.min(a, b), Math.max(a, b)];
          expect(litresToHeight(vessel, low)).toBeLessThanOrEqual(litresToHeight(vessel, high));
        },
      ),
    );
    expect(Math.abs(litresToHeight(vessel, H) / brim - 1)).toBeLessThan(1e-4);
    expect(litresToHeight(vessel, H + 100)).toBe(litresToHeight(vessel, H));
  });

  it('stays within its inner size', () => {
    const { length, width } = vessel.innerMm;
    for (const [x, y] of footprint(vessel)) {
      expect(Math.min(x, y, length - x, width - y)).toBeGreaterThanOrEqual(-1e-6);
    }
  });
});

describe('panes', () => {
  it('bend on a radius of 1717.5 mm for a chord of 900 and a bow of 60 mm', () => {
    expect(bowRadius(900, 60)).toBeCloseTo(1717.5, 9);
  });

  it('of a cylinder are a ring: its mass by the closed form', () => {
    const { vessel } = SHAPES.cylinder;
    const ring = Math.PI * (208 ** 2 - 200 ** 2) * H + Math.PI * 208 ** 2 * 8;
    expect(outerAreaMm2(vessel) / (Math.PI * 208 ** 2)).toBeCloseTo(1, 3.9);
    expect(glassKg(vessel) / ((ring / 1e6) * 2.5)).toBeCloseTo(1, 4);
  });

  it('grow by braces, a rim, a thicker bottom and chamber walls', () => {
    const box = vesselOf({
      innerMm: { length: 1000, width: 500, height: 500 },
      glassMm: 10,
      waterLineMm: 450,
    });
    const braced = { ...box, braces: [{ fromMm: 450, toMm: 550 }] };
    expect(glassKg(braced) - glassKg(box)).toBeCloseTo((100 * 500 * 10 * 2.5) / 1e6, 9);
    // A rim of 50 mm: 1000 × 500 less 900 × 400, 10 mm thick.
    expect(glassKg({ ...box, rimMm: 50 }) - glassKg(box)).toBeCloseTo((140_000 * 10 * 2.5) / 1e6, 9);
    expect(glassKg({ ...box, baseMm: 15 }) - glassKg(box)).toBeCloseTo((1020 * 520 * 5 * 2.5) / 1e6, 9);
    const walled = { ...box, chambers: [{ id: 'f', side: 'right' as const, mm: 120, wallMm: 6 }] };
    expect(glassKg(walled) - glassKg(box)).toBeCloseTo((500 * 500 * 6 * 2.5) / 1e6, 9);
  });

  it('take twice their thickness from the outer size, the bottom once', () => {
    expect(innerFromOuter([920, 470, 460], 10)).toEqual({ length: 900, width: 450, height: 450 });
    expect(innerFromOuter([920, 470, 460], 10, 12).height).toBe(448);
  });
});

describe('chambers', () => {
  const vessel = vesselOf({
    innerMm: { length: 1000, width: 500, height: 500 },
    waterLineMm: 450,
    chambers: [
      { id: 'filter', side: 'back', mm: 95, wallMm: 5, waterLineMm: 400 },
      { id: 'return', side: 'right', mm: 90, wallMm: 10 },
    ],
  });

  it('take their floor and wall from the display, in turn', () => {
    expect(polygonArea(displayOutline(vessel))).toBeCloseTo(900 * 400, 6);
    expect(chamberFloors(vessel).map((c) => polygonArea(c.outline))).toEqual([1000 * 95, 90 * 400]);
  });

  it('hold water to their own line', () => {
    expect(chamberWaterL(vessel)).toBeCloseTo(38 + 16.2, 9);
    expect(waterLineL(vessel)).toBeCloseTo(162 + 38 + 16.2, 9);
  });

  it('are not of the display: 900 × 400 mm hold 36 L in each 100 mm', () => {
    expect([100, 450, 500, 900].map((mm) => displayLitresTo(vessel, mm))).toEqual([36, 162, 180, 180]);
  });
});
