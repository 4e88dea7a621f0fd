import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { polygonArea, polygonBounds } from '../geometry/polygon';
import { partingBrightness, traced, type Grey } from './traced';

/** A picture in which what a function says is dark lies on a bright ground, with some noise. */
function picture(w: number, h: number, isIn: (x: number, y: number) => boolean): Grey {
  const bright = new Uint8Array(w * h);
  for (let i = 0; i < bright.length; i++) {
    const noise = (i * 7919) % 23;
    bright[i] = (isIn(i % w, Math.floor(i / w)) ? 60 : 210) + noise;
  }
  return { widthPx: w, heightPx: h, bright };
}
const disc = (cx: number, cy: number, r: number) => (x: number, y: number) =>
  (x + 0.5 - cx) ** 2 + (y + 0.5 - cy) ** 2 <= r * r;

describe('an outline traced in a picture', () => {
  it('parts two brightnesses between them', () => {
    const t = partingBrightness(picture(80, 60, disc(40, 30, 20)));
    expect(t).toBeGreaterThan(82);
    expect(t).toBeLessThan(210);
  });

  it('follows a disc and a block within a pixel', () => {
    const round = traced(picture(300, 200, disc(150, 100, 70)), 140)!;
    expect(polygonArea(round) / (Math.PI * 70 * 70)).toBeCloseTo(1, 2);
    const block = traced(
      picture(300, 200, (x, y) => x >= 40 && x < 240 && y >= 30 && y < 150),
      140,
    )!;
    expect(polygonBounds(block)).toEqual([40, 30, 240, 150]);
    expect(polygonArea(block)).toBe(200 * 120);
  });

  it('takes the largest of several, fills holes, and finds what is brighter where that is asked', () => {
    const two = picture(300, 200, (x, y) => disc(80, 100, 60)(x, y) !== disc(80, 100, 20)(x, y) || disc(250, 40, 15)(x, y)); // prettier-ignore
    expect(polygonArea(traced(two, 140)!) / (Math.PI * 60 * 60)).toBeCloseTo(1, 1.5);
    const white = { ...two, bright: two.bright.map((b) => 255 - b) };
    expect(traced(white, 120, false)).toEqual(traced(two, 255 - 121));
  });

  it('finds nothing in an empty picture, and has few corners whatever the shape', () => {
    expect(
      traced(
        picture(100, 100, () => false),
        140,
      ),
    ).toBeUndefined();
    expect(traced(picture(100, 100, disc(50, 50, 1)), 140)).toBeUndefined();
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 40 }), (teeth) => {
        const star = traced(picture(400, 400, (x, y) => Math.hypot(x - 200, y - 200) < 130 + 40 * Math.cos(teeth * Math.atan2(y - 200, x - 200))), 140)!; // prettier-ignore
        expect(star.length).toBeLessThanOrEqual(160);
        // The mean of (130 + 40·cos)² is 130² + 40²/2.
        expect(polygonArea(star) / (Math.PI * (130 ** 2 + 800))).toBeCloseTo(1, 1);
      }),
      { numRuns: 6 },
    );
  });
});
