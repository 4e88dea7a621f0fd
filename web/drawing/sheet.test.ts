import { ref } from 'vue';
import { describe, expect, it } from 'vitest';
import { example } from '../../core/testing/scape';
import { useSheet, type Sheet } from './sheet';

const vessel = (length: number, width: number, height: number) =>
  ref({ ...example('level-cube').vessel, innerMm: { length, width, height } });
const sheetOn = (across: number, down: number, size: [number, number, number] = [900, 450, 450]) =>
  useSheet(vessel(...size), { width: ref(across), height: ref(down) }).value;
const views = (s: Sheet) => [s.front, s.plan, s.section, s.seat];

describe('the bench’s sheet', () => {
  it('stands the plan below the front at one scale, the section beside it', () => {
    const s = sheetOn(1000, 600);
    expect([s.plan.x, s.plan.w]).toEqual([s.front.x, s.front.w]);
    expect(s.front.w / s.k).toBeCloseTo(900, 6);
    expect([s.section.y, s.section.h]).toEqual([s.front.y, s.front.h]);
    expect(s.section.x).toBeGreaterThan(s.front.x + s.front.w);
  });

  it.each([
    [1000, 600, [900, 450, 450]],
    [390, 560, [900, 450, 450]],
    [390, 560, [300, 300, 300]],
    [390, 700, [2000, 600, 600]],
    [1400, 900, [300, 300, 300]],
  ] as const)('keeps every view inside %i × %i px', (across, down, size) => {
    const s = sheetOn(across, down, [...size]);
    for (const v of views(s)) {
      expect(v.x).toBeGreaterThanOrEqual(0);
      expect(v.x + v.w).toBeLessThanOrEqual(across);
      expect(v.y + v.h).toBeLessThanOrEqual(down);
    }
    // None lies over another.
    for (const [i, a] of views(s).entries())
      for (const b of views(s).slice(i + 1))
        expect(a.x + a.w <= b.x || b.x + b.w <= a.x || a.y + a.h <= b.y || b.y + b.h <= a.y).toBe(true);
  });
});
