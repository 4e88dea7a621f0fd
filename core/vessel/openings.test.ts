import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { polygonArea } from '../geometry/polygon';
import { vesselOf } from '../testing/vessel';
import { openings, openingSize, passes } from './openings';

const wall = vesselOf({
  innerMm: { length: 1000, width: 500, height: 500 },
  rimMm: 30,
  braces: [{ fromMm: 450, toMm: 550 }],
});

describe('openings', () => {
  it('are what rim and brace leave', () => {
    expect(openings(wall).map(openingSize)).toEqual([
      [420, 440],
      [420, 440],
    ]);
  });

  it('are the whole top of a rimless tank', () => {
    expect(polygonArea(openings(vesselOf({}))[0])).toBeCloseTo(600 * 360, 6);
  });

  it('follow a curved front within the rim', () => {
    const round = vesselOf({
      kind: 'cylinder',
      innerMm: { length: 400, width: 400, height: 400 },
      rimMm: 20,
    });
    expect(polygonArea(openings(round)[0]) / (Math.PI * 180 ** 2)).toBeCloseTo(1, 3);
  });

  it('follow the sides of a floor with an inward corner', () => {
    const angled = vesselOf({
      kind: 'polygon',
      innerMm: { length: 800, width: 500, height: 400 },
      rimMm: 20,
      corners: [
        [0, 0],
        [300, 0],
        [300, 200],
        [800, 200],
        [800, 500],
        [0, 500],
      ],
    });
    expect(polygonArea(openings(angled)[0])).toBeCloseTo(260 * 460 + 500 * 260, 6);
    expect(passes(openings(angled)[0], [250, 250, 900])).toBe(true);
    expect(passes(openings(angled)[0], [300, 300, 300])).toBe(false);
  });
});

describe('passing an opening', () => {
  const [left] = openings(wall);

  it('goes by the two smaller sizes, end first', () => {
    expect(passes(left, [900, 400, 300])).toBe(true);
    expect(passes(left, [500, 500, 500])).toBe(false);
  });

  it('may be askew: a long thin stone through a narrow way diagonally', () => {
    const slot = [
      [0, 0],
      [300, 0],
      [300, 300],
      [0, 300],
    ] as const;
    expect(passes(slot, [20, 380, 400])).toBe(true);
    expect(passes(slot, [20, 430, 440])).toBe(false);
  });

  it('holds for every box smaller than one that passes', () => {
    const size = fc.tuple(
      fc.integer({ min: 10, max: 600 }),
      fc.integer({ min: 10, max: 600 }),
      fc.integer({ min: 10, max: 600 }),
    );
    fc.assert(
      fc.property(size, fc.double({ min: 0.2, max: 1, noNaN: true }), (s, part) => {
        const smaller = s.map((v) => v * part) as unknown as [number, number, number];
        if (passes(left, s)) expect(passes(left, smaller)).toBe(true);
      }),
    );
  });
});
