import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { crossingMm, seenThroughPane, WATER_INDEX } from './refraction';

describe('a spot seen through the pane', () => {
  it('keeps Snell’s law at the pane', () => {
    const mm = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
    fc.assert(
      fc.property(mm(0, 4000), mm(50, 4000), mm(1, 1200), (across, before, behind) => {
        const r = crossingMm(across, before, behind);
        const sinAir = r / Math.hypot(r, before);
        const sinWater = (across - r) / Math.hypot(across - r, behind);
        // The crossing is found to a millionth of a millimetre, a millimetre behind the pane at the least.
        expect(sinAir).toBeCloseTo(WATER_INDEX * sinWater, 5);
      }),
    );
  });

  it('seems three quarters as deep from straight in front, and stays on the line of sight', () => {
    const [x, y, z] = seenThroughPane([0, -1000, 300], [0, 400, 300]);
    expect([x, z]).toEqual([0, 300]);
    expect(y).toBeCloseTo(400 / 1.333, 6);
    // From the side the tank looks shallower still: the ray is bent towards the upright of the pane.
    const side = seenThroughPane([-1500, -1000, 300], [0, 400, 300]);
    expect(side[1]).toBeLessThan(y);
  });

  it('is where it is when nothing bends: no water, or an eye beside or behind the pane', () => {
    const p = [120, 200, 80] as const;
    seenThroughPane([-300, -900, 400], p, 1).forEach((v, k) => expect(v).toBeCloseTo(p[k], 3));
    expect(seenThroughPane([0, 10, 0], p)).toBe(p);
  });
});
