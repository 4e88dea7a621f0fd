import { describe, expect, it } from 'vitest';
import type { Layer } from '../../core/commission/schema';
import { bedField } from '../../core/substrate/bedField';
import { footprint } from '../../core/vessel/footprint';
import { cutRun, turnTowards } from '../../core/view/cut';
import { scape, soil } from '../../core/testing/scape';
import { bedContours, cutLayers, drawnSurfaceAt, frontLayers, ridge, thicknessAt, topRuns } from './bedPaths';
import { marks } from './sheet';

const { vessel } = scape({ inner: [300, 200, 200] });
const path: Layer = {
  id: 'path',
  material: 'sand',
  cuts: true,
  floorMm: 5,
  top: { kind: 'level', mm: 20 },
  region: [
    [100, -5],
    [160, -5],
    [160, 205],
    [100, 205],
  ],
};
const field = bedField(vessel, [soil({ kind: 'ramp', frontMm: 40, backMm: 80 }), path]);
const X = (mm: number) => mm;
const Z = (mm: number) => 200 - mm;
const points = (d: string) =>
  [...d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])]);

describe('the bed as paths', () => {
  it('has a skyline from glass to glass, closed along the bottom', () => {
    const skyline = points(ridge(field, 0, X, Z));
    expect(skyline[0]).toEqual([0, 200]);
    expect(skyline.at(-1)).toEqual([300, 200]);
    const at = (x: number) =>
      skyline.slice(1, -1).reduce((a, b) => (Math.abs(b[0] - x) < Math.abs(a[0] - x) ? b : a));
    expect(at(50)[1]).toBe(160);
    expect(at(130)[1]).toBe(180);
  });

  it('shows where a layer is uppermost', () => {
    const run = points(topRuns(field, 0, 1, X, Z)).map(([x]) => x);
    expect(Math.min(...run)).toBe(100);
    expect(Math.max(...run)).toBeGreaterThanOrEqual(155);
    expect(Math.max(...run)).toBeLessThanOrEqual(160);
    expect(topRuns(field, 0, 1, X, Z).match(/M/g)).toHaveLength(1);
  });

  const cut = (x: number, y: number, turnDeg: number) =>
    cutLayers(field, cutRun(footprint(vessel), { at: [x, y], turnDeg })!, X, Z);

  it('cuts every layer from the front to the back, and shows them at the front pane', () => {
    const [soilCut, sandCut] = cut(130, 100, 0);
    expect(Math.min(...points(soilCut).map(([, z]) => z))).toBe(195);
    expect(new Set(points(sandCut).map(([, z]) => z))).toEqual(new Set([180, 195]));
    const [front] = frontLayers(field, X, Z);
    expect(Math.min(...points(front).map(([, z]) => z))).toBe(160);
    expect(cut(10, 100, 0)[1]).toBe('');
  });

  it('cuts them at any angle: a ramp seen across has one height, along the diagonal both', () => {
    const [across, sandAcross] = cut(50, 100, -90);
    const tops = points(across).filter(([x, z]) => z < 200 && (x < 95 || x > 165));
    expect(tops.length).toBeGreaterThan(10);
    for (const [, z] of tops) expect(z).toBeCloseTo(140, 0);
    const onSand = points(sandAcross).flatMap(([x, z]) => (z === 180 ? [x] : []));
    expect([Math.min(...onSand), Math.max(...onSand)]).toEqual([expect.closeTo(100, -1), expect.closeTo(160, -1)]); // prettier-ignore
    const diagonal = points(cut(150, 100, turnTowards([300, 200]))[0]);
    expect([diagonal[0][1], Math.min(...diagonal.map(([, z]) => z))]).toEqual([160, 120]);
    expect(Math.max(...diagonal.map(([x]) => x))).toBeCloseTo(Math.hypot(300, 200), 1);
  });

  it('has contours at round heights between its lowest and its highest', () => {
    const levels = bedContours(field, X, X).map((c) => c.mm);
    expect(levels.length).toBeGreaterThan(3);
    expect(levels.every((mm) => mm % 5 === 0 && mm > 20 && mm < 80)).toBe(true);
    expect([...levels].sort((a, b) => a - b)).toEqual(levels);
  });

  it('knows height and thickness at a spot', () => {
    expect(drawnSurfaceAt(field, 50, 100)).toBeCloseTo(60, 9);
    expect(drawnSurfaceAt(field, -20, 400)).toBeCloseTo(80, 9);
    expect(thicknessAt(field, 130, 100)).toEqual([5, 15]);
    expect(thicknessAt(field, 50, 0)).toEqual([40, 0]);
  });

  it('marks axes at round distances', () => {
    expect(marks(300, 0.5)).toEqual([0, 50, 100, 150, 200, 250, 300]);
    expect(marks(900, 0.5, 40)).toEqual([0, 100, 200, 300, 400, 500, 600, 700, 800, 900]);
    // However small they are drawn, they never stand closer than asked for.
    for (const pxPerMm of [0.05, 0.11, 0.3, 0.7, 2])
      for (const length of [200, 450, 1200, 3000]) {
        const [first, second] = marks(length, pxPerMm);
        if (second !== length) expect((second - first) * pxPerMm).toBeGreaterThanOrEqual(24);
      }
  });
});
