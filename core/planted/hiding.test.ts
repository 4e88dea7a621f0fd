import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hiddenShare, keptBelowMm, type Stand } from './hiding';

/** A row of plants across the tank at a distance from its front glass, on a floor so high. */
const row = (yMm: number, highMm: number, floorMm = 0): Stand => ({ spots: Array.from({ length: 25 }, (_, i) => [i * 20, yMm, floorMm]).flat(), highMm, radiusMm: 12 }); // prettier-ignore

describe('a plant behind others', () => {
  it('is hidden where the sight line to its top passes below the top before it', () => {
    // The eye 1,000 before the glass and 300 high, plants 200 high at 100: the line over their tops comes down
    // 100 on 1,100, so at 300 it is at 300 − 100 · 1,300 / 1,100 = 181.8 (similar triangles).
    const eye = [240, -1000, 300] as const;
    expect(hiddenShare(eye, row(100, 200), row(300, 175))).toBe(1);
    expect(hiddenShare(eye, row(100, 200), row(300, 190))).toBe(0);
    expect(hiddenShare(eye, row(100, 200), row(300, 60, 130))).toBe(0);
    // The same from a chair and from a ladder.
    expect(hiddenShare([240, -1000, 100], row(100, 200), row(300, 190))).toBe(1);
    expect(hiddenShare([240, -1000, 1200], row(100, 200), row(300, 60))).toBe(0);
  });

  it('is asked from where the seat is: from the side another stands before it', () => {
    const left: Stand = { spots: [100, 200, 0], highMm: 200, radiusMm: 40 };
    const right: Stand = { spots: [400, 200, 0], highMm: 100, radiusMm: 40 };
    expect(hiddenShare([250, -1000, 100], left, right)).toBe(0);
    expect(hiddenShare([-1000, 200, 100], left, right)).toBe(1);
    expect(hiddenShare([1500, 200, 100], left, right)).toBe(0);
  });

  it('is seen once those before it are kept low enough', () => {
    fc.assert(
      fc.property(fc.integer({ min: 120, max: 400 }), fc.integer({ min: 40, max: 300 }), (high, low) => {
        const eye = [240, -1500, 400] as const;
        const [front, behind] = [row(80, high), row(320, low)];
        const kept = keptBelowMm(eye, front, behind, 0.5);
        expect(hiddenShare(eye, { ...front, highMm: kept }, behind)).toBeLessThanOrEqual(0.5);
        if (kept < high - 2) expect(hiddenShare(eye, { ...front, highMm: kept + 2 }, behind)).toBeGreaterThan(0.5); // prettier-ignore
      }),
      { numRuns: 40 },
    );
  });
});
