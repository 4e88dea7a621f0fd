import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { piece, scape } from '../testing/scape';
import { survey } from '../survey/survey';
import { gapMm, WIDEST_GAP_MM } from './contact';

const blocks = (x: number, y = 180, zMm = 0) => {
  const shape = { kind: 'box' as const, sizeMm: [100, 80, 60] as [number, number, number] };
  const doc = scape({
    option: {
      pieces: [
        piece({ id: 'A', shape, at: [200, 180], stand: { kind: 'floor' } }),
        piece({ id: 'B', shape, at: [x, y], stand: { kind: 'at', zMm } }),
      ],
    },
  });
  const [a, b] = survey(doc).standing;
  return [gapMm(a, b), gapMm(b, a)];
};

describe('the gap between two pieces', () => {
  it('is what a spacer between two blocks would measure', () => {
    // Blocks 100 wide whose middles are 104 apart along the length.
    for (const gap of blocks(304)) expect(gap).toBeCloseTo(4, 0);
    // And 3 above it: 60 high, set at 63.
    for (const gap of blocks(200, 180, 63)) expect(gap).toBeCloseTo(3, 6);
    expect(blocks(300)[0]).toBeLessThan(0.5);
    expect(blocks(250)).toEqual([0, 0]);
    expect(blocks(420)).toEqual([WIDEST_GAP_MM, WIDEST_GAP_MM]);
  });

  it('is the same from both sides, and never less than what a column hides', () => {
    fc.assert(
      fc.property(fc.integer({ min: 290, max: 325 }), fc.integer({ min: 80, max: 280 }), (x, y) => {
        const [there, back] = blocks(x, y);
        expect(Math.abs(there - back)).toBeLessThan(1);
        const exact = Math.hypot(Math.max(0, x - 300), Math.max(0, Math.abs(y - 180) - 80));
        expect(Math.abs(there - Math.min(exact, WIDEST_GAP_MM))).toBeLessThan(1.5);
      }),
      { numRuns: 25 },
    );
  });
});
