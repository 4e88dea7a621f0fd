import { describe, expect, it } from 'vitest';
import type { YardPiece } from '../catalogue/studio';
import { box } from '../testing/vessel';
import { extentOf } from '../hardscape/extent';
import { rotation } from '../geometry/rotation';
import { pathRegion } from '../substrate/path';
import { inEnglish } from '../words/english';
import { grainApart } from './facing';
import { starts, STYLES, type Start } from './starts';

const stone = (id: string, sizeMm: [number, number, number], material = 'slate'): YardPiece => ({ id, material, shape: { kind: 'ellipsoid', sizeMm } }); // prettier-ignore
const yard = [
  ...[[190, 130, 280], [160, 120, 210], [140, 100, 170], [120, 90, 120], [100, 80, 90], [80, 60, 70], [70, 50, 50], [60, 50, 40]].map((s, i) => stone(`S-${i}`, s as [number, number, number])), // prettier-ignore
  stone('R-1', [220, 140, 240], 'branch'),
  stone('R-2', [200, 120, 520], 'branch'),
];
const kindOf = (m: string) => (m === 'branch' ? ('wood' as const) : ('stone' as const));
const vessel = box(900, 450, 450);
const of = (seed: number) => starts(yard, kindOf, vessel, 60, seed);
const boxOf = (p: Start['pieces'][number]) => {
  const { lo, hi } = extentOf(p.shape, rotation(p.turnDeg));
  return [p.at[0] + lo[0], p.at[1] + lo[1], p.at[0] + hi[0], p.at[1] + hi[1]];
};

describe('a first arrangement', () => {
  it('is there for every style that the yard suffices for, and the same for the same seed', () => {
    expect(of(3).map((s) => s.style)).toEqual([...STYLES]);
    expect(of(3)).toEqual(of(3));
    expect(JSON.stringify(of(4))).not.toBe(JSON.stringify(of(3)));
    expect(starts(yard.slice(0, 2), kindOf, vessel, 60, 1)).toEqual([]);
    // Without wood there is no start around wood.
    expect(starts(yard.slice(0, 8), kindOf, vessel, 60, 1).map((s) => s.style)).not.toContain('wood');
    // Without wood that reaches out of the water there is no shallow one.
    expect(starts(yard.slice(0, 9), kindOf, vessel, 60, 1).map((s) => s.style)).not.toContain('shallow');
  });

  it('keeps every rule that it says', () => {
    for (let seed = 1; seed <= 25; seed++)
      for (const { pieces, style } of of(seed)) {
        expect(pieces.length % 2, style).toBe(1);
        expect(new Set(pieces.map((p) => p.id)).size).toBe(pieces.length);
        const boxes = pieces.map(boxOf);
        for (const [l, f, r, b] of boxes) {
          expect(Math.min(l, 900 - r, 450 - b)).toBeGreaterThanOrEqual(19);
          expect(f).toBeGreaterThanOrEqual(14);
        }
        boxes.forEach((p, i) =>
          boxes.slice(0, i).forEach((q) => {
            const apart = Math.max(q[0] - p[2], p[0] - q[2], q[1] - p[3], p[1] - q[3]);
            expect(apart).toBeGreaterThanOrEqual(24);
          }),
        );
        // The main piece stands on no middle line, the others share its grain within twice the allowance.
        if (style !== 'triangle') expect(Math.abs(pieces[0].at[0] / 900 - 0.5)).toBeGreaterThan(0.06);
        const off = pieces.map((p) => Math.abs(((p.turnDeg - pieces[0].turnDeg + 540) % 360) - 180));
        expect(Math.max(...off)).toBeLessThanOrEqual(29);
        const { lo, hi } = extentOf(pieces[0].shape, rotation(0));
        if (style === 'shallow') expect(60 + (hi[2] - lo[2]) * 0.86).toBeGreaterThan(vessel.waterLineMm + 30);
        else expect(60 + (hi[2] - lo[2]) * 0.86).toBeLessThanOrEqual(0.9 * 450 + 1);
      }
  });

  it('keeps its path free of every piece', () => {
    for (let seed = 1; seed <= 15; seed++)
      for (const { pieces, style, path } of of(seed)) {
        expect(path !== undefined).toBe(style === 'path' || style === 'riverbed');
        if (!path) continue;
        const ring = pathRegion(path, vessel);
        for (const [l, f, r, b] of pieces.map(boxOf))
          for (const [x, y] of ring)
            expect(x < l + 3 || x > r - 3 || y < f + 3 || y > b - 3, `${style} ${seed}`).toBe(true);
      }
  });

  it('shows the best face of the main piece, and lays the grain of the others along its own', () => {
    const known = yard.map((p, i) => ({
      ...p,
      grainDeg: (i * 37) % 180,
      ...(i === 0 ? { faceDeg: 120 } : {}),
    }));
    for (let seed = 1; seed <= 10; seed++)
      for (const { pieces, style } of starts(known, kindOf, vessel, 60, seed)) {
        const [main, ...others] = pieces;
        if (main.id === 'S-0') expect(Math.abs(main.turnDeg - 120), style).toBeLessThanOrEqual(15);
        const grain = (p: Start['pieces'][number]) => p.turnDeg + p.grainDeg!;
        for (const p of others) expect(grainApart(grain(p), grain(main)), style).toBeLessThanOrEqual(29);
      }
  });

  it('says what was measured, and has hills where the style is a valley', () => {
    const [three] = of(2);
    expect(three.rules.map((r) => inEnglish(r))).toEqual([
      '3 pieces, an odd number',
      expect.stringMatching(/^S-0 stands at \d+ % of the length: near a third$/),
      expect.stringMatching(/^\d+ % of the height at most, on a bed of 60 mm$/),
      expect.stringMatching(/^\d+ mm clear in front, at least 25 mm between pieces$/),
      expect.stringMatching(/^one grain: at most (1?\d|2[0-8])° apart$/),
      expect.stringMatching(/^the lighter side has \d+ % of the heavier$/),
    ]);
    expect(of(2).find((s) => s.style === 'valley')!.mounds).toHaveLength(2);
  });
});
