import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { meshFault, meshVolume } from '../geometry/mesh';
import type { Point } from '../geometry/polygon';
import { solidOfOutlines } from './twoOutlines';

const ring = (w: number, h: number, n = 90): Point[] =>
  Array.from({ length: n }, (_, i): Point => {
    const a = (i / n) * 2 * Math.PI;
    return [500 + (w / 2) * Math.cos(a), 80 + (h / 2) * Math.sin(a)];
  });
const block = (w: number, h: number): Point[] => [[10, 10], [10 + w, 10], [10 + w, 10 + h], [10, 10 + h]]; // prettier-ignore
const sizes = (v: Float64Array) =>
  [0, 1, 2].map((k) => {
    const along = v.filter((_, i) => i % 3 === k);
    return Math.max(...along) - Math.min(...along);
  });

describe('a solid of two outlines', () => {
  it('is an ellipsoid where both are ellipses and nothing was weighed', () => {
    const { mesh, doubts } = solidOfOutlines({ front: ring(200, 160), side: ring(120, 160) });
    expect(doubts).toEqual([]);
    expect(meshFault(mesh.vertices.length / 3, mesh.faces)).toBeUndefined();
    // 4/3·π·a·b·c; a cut with 32 corners has 0.6 % less than an ellipse.
    expect(meshVolume(mesh) / ((4 / 3) * Math.PI * 100 * 60 * 80)).toBeGreaterThan(0.985);
    expect(meshVolume(mesh) / ((4 / 3) * Math.PI * 100 * 60 * 80)).toBeLessThan(1.005);
  });

  it('fits both outlines and has the litres asked for', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 300, noNaN: true }),
        fc.double({ min: 60, max: 300, noNaN: true }),
        fc.double({ min: 60, max: 300, noNaN: true }),
        fc.double({ min: 0.55, max: 0.9, noNaN: true }),
        (w, d, h, share) => {
          const wantedL = (w * d * h * share) / 1e6;
          const { mesh, doubts } = solidOfOutlines({ front: block(w, h), side: block(d, h) }, wantedL);
          expect(doubts).toEqual([]);
          const found = sizes(mesh.vertices);
          [w, d, h].forEach((mm, k) => expect(found[k]).toBeCloseTo(mm, 3));
          expect(meshVolume(mesh) / 1e6 / wantedL).toBeCloseTo(1, 3);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('asks about a mass that the photographs cannot hold, about heights that differ, and about a fork', () => {
    const [front, side] = [ring(200, 160), ring(120, 160)];
    expect(solidOfOutlines({ front, side }, 4).doubts.map((d) => d.say)).toEqual(['yard.outline-heavy']);
    expect(solidOfOutlines({ front, side }, 0.5).doubts.map((d) => d.say)).toEqual(['yard.outline-light']);
    expect(solidOfOutlines({ front, side: ring(120, 200) }).doubts.map((d) => d.say)).toEqual([
      'yard.heights',
    ]);
    const fork: Point[] = [[0, 0], [100, 0], [100, 100], [80, 100], [50, 20], [20, 100], [0, 100]]; // prettier-ignore
    expect(solidOfOutlines({ front: fork, side: block(60, 100) }).doubts.map((d) => d.say)).toEqual([
      'yard.forked',
    ]);
  });
});
