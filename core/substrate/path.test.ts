import { describe, expect, it } from 'vitest';
import type { Layer } from '../commission/schema';
import { firstCrossing, polygonArea, polygonContains, type Point } from '../geometry/polygon';
import { box } from '../testing/vessel';
import { pathRegion, smooth, withPath } from './path';

const vessel = box(900, 450, 450);
const straight: [number, number][] = [[450, 100], [450, 300]]; // prettier-ignore
const winding: [number, number][] = [[420, 0], [520, 140], [400, 280], [470, 450]]; // prettier-ignore

describe('a path', () => {
  it('covers the mean of its widths times its length, and half a round at its ends', () => {
    const area = polygonArea(pathRegion({ line: straight, widthMm: [80, 80] }, vessel));
    // Rounds of sixteen corners: π is 3.061.
    const round = 8 * Math.sin(Math.PI / 8);
    expect(Math.abs(area / (80 * 200 + round * 40 ** 2) - 1)).toBeLessThan(0.005);
    const narrowing = polygonArea(pathRegion({ line: straight, widthMm: [100, 40] }, vessel));
    expect(Math.abs(narrowing / (70 * 200 + (round / 2) * (50 ** 2 + 20 ** 2)) - 1)).toBeLessThan(0.01);
  });

  it('goes through its points, ends at the glass and never crosses itself', () => {
    const region = pathRegion({ line: winding, widthMm: [120, 40] }, vessel);
    for (const [x, y] of winding)
      expect(polygonContains(region, x, Math.min(449, Math.max(1, y)))).toBe(true);
    expect(region.every(([x, y]) => x >= 0 && y >= 0 && x <= 900 && y <= 450)).toBe(true);
    expect(firstCrossing(region)).toBeUndefined();
    // A hairpin runs into itself and is still one floor.
    const hairpin: [number, number][] = [[300, 100], [500, 200], [300, 220], [300, 110]]; // prettier-ignore
    expect(firstCrossing(pathRegion({ line: hairpin, widthMm: [90, 90] }, vessel))).toBeUndefined();
    // Two points that are one are a round.
    const one = pathRegion(
      {
        line: [
          [300, 200],
          [300, 200],
        ],
        widthMm: [90, 40],
      },
      vessel,
    );
    expect(polygonArea(one)).toBeGreaterThan(Math.PI * 40 ** 2);
    expect(pathRegion({ line: [[2000, 0], [2100, 0]], widthMm: [50, 50] }, vessel)).toEqual([]); // prettier-ignore
  });

  it('is smooth between its points, and straight between two', () => {
    expect(smooth(straight)).toEqual(straight);
    const curve = smooth(winding);
    for (const p of winding) expect(curve.some((q: Point) => Math.hypot(q[0] - p[0], q[1] - p[1]) < 1e-9)).toBe(true); // prettier-ignore
    expect(curve).toHaveLength(25);
  });

  it('takes the gravel of its edges along', () => {
    const own: Layer = { id: 'sand', material: 'sand', cuts: true, top: { kind: 'level', mm: 20 } };
    const edge: Layer = { id: 'edge', material: 'gravel', cuts: true, top: { kind: 'level', mm: 24 }, path: { line: straight, widthMm: [1, 1], edgeOf: 'sand', bandMm: 15 } }; // prettier-ignore
    const soil: Layer = { id: 'soil', material: 'soil', top: { kind: 'level', mm: 60 } };
    const bed = withPath([soil, edge, own], 'sand', { line: winding, widthMm: [100, 40] }, vessel);
    expect(bed[0]).toBe(soil);
    expect(bed[2].path).toEqual({ line: winding, widthMm: [100, 40] });
    expect(bed[1].path).toMatchObject({ line: winding, edgeOf: 'sand', bandMm: 15 });
    const [wide, narrow] = [polygonArea(bed[1].region!), polygonArea(bed[2].region!)];
    // Fifteen millimetres on either side along the curve.
    const long = smooth(winding).reduce((s, p, i, c) => (i ? s + Math.hypot(p[0] - c[i - 1][0], p[1] - c[i - 1][1]) : 0), 0); // prettier-ignore
    expect(wide - narrow).toBeGreaterThan(30 * long * 0.9);
    expect(wide - narrow).toBeLessThan(30 * long * 1.1);
  });
});
