import { describe, expect, it } from 'vitest';
import { canopyOf, CLOSED_FADES_PER_M, throughLeaves } from './canopy';

/** A hedge of one row after another that covers its ground: 200 mm wide, 240 mm high, from y = 100 to 300. */
const spots = Array.from({ length: 10 * 30 }, (_, i) => [(i % 30) * 20 + 10, 110 + Math.floor(i / 30) * 20, 40]); // prettier-ignore
const hedge = { spots: spots.flat(), radiusMm: 16, heightMm: 240, cover: 1 };

describe('leaves', () => {
  const canopy = canopyOf([600, 400], [hedge]);

  it('fades by its way through the leaves', () => {
    // Straight up through 240 mm: exp(−7.7 · 0.24) = 0.158.
    expect(throughLeaves(canopy, [300, 200, 40], [300, 200, 900])).toBeCloseTo(Math.exp(-CLOSED_FADES_PER_M * 0.24), 2); // prettier-ignore
    // From half of their height half of the way, and at 45° √2 times as much.
    expect(throughLeaves(canopy, [300, 200, 160], [300, 200, 900])).toBeCloseTo(Math.exp(-CLOSED_FADES_PER_M * 0.12), 2); // prettier-ignore
    expect(throughLeaves(canopy, [100, 200, 160], [900, 200, 960])).toBeCloseTo(Math.exp(-CLOSED_FADES_PER_M * 0.12 * Math.SQRT2), 2); // prettier-ignore
  });

  it('do not shade themselves, nor what stands beside them under a lamp above', () => {
    expect(throughLeaves(canopy, [300, 200, 40], [300, 200, 900], 1)).toBe(1);
    expect(throughLeaves(canopy, [300, 40, 40], [300, 40, 900])).toBe(1);
    const met = new Float64Array(2);
    expect(throughLeaves(canopy, [300, 60, 40], [300, 700, 440], 0, met)).toBeLessThan(0.5);
    expect(met[1]).toBeGreaterThan(0.7);
  });

  it('that are thin let more through', () => {
    const thin = canopyOf([600, 400], [{ ...hedge, cover: 0.5 }]);
    expect(throughLeaves(thin, [300, 200, 40], [300, 200, 900])).toBeCloseTo(Math.exp(-CLOSED_FADES_PER_M * 0.12), 2); // prettier-ignore
  });
});
