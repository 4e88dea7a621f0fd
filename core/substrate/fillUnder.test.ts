import { describe, expect, it } from 'vitest';
import type { Layer } from '../commission/schema';
import { box } from '../testing/vessel';
import { bedField } from './bedField';
import { fillUnder } from './fillUnder';

const vessel = box(600, 400, 400);
const soil: Layer = { id: 'soil', material: 'soil', top: { kind: 'ramp', frontMm: 50, backMm: 150 } };

describe('filler under a bed', () => {
  it('takes what a ramp has beyond 50 mm of soil, less the strip at the glass', () => {
    const { litres, top } = fillUnder(bedField(vessel, [soil]), [soil], vessel);
    // From where 15 mm are left under the soil, 60 mm from the front, to 10 mm from the back: 15 to 97.5 mm thick.
    const expected = (580 * (390 - 60) * (15 + 97.5)) / 2 / 1e6;
    expect(litres).toBeCloseTo(expected, 0);
    const bed: Layer[] = [{ id: 'filler', material: 'scoria', top }, soil];
    const laid = bedField(vessel, bed);
    const laidL = (laid.thicknessMm[0].reduce((s, z) => s + z, 0) * laid.dxMm * laid.dyMm) / 1e6;
    expect(Math.abs(laidL - litres)).toBeLessThan(0.25);
    // Nowhere less soil over it than asked for, but for what a step of the grid rounds at its edge.
    const least = laid.thicknessMm[1].filter((_, c) => laid.thicknessMm[0][c] > 20);
    expect(Math.min(...least)).toBeGreaterThan(47);
  });

  it('is nowhere under a path, and nothing where the bed is thin', () => {
    const level: Layer = { ...soil, top: { kind: 'level', mm: 60 } };
    expect(fillUnder(bedField(vessel, [level]), [level], vessel).litres).toBe(0);
    const path: Layer = { id: 'sand', material: 'sand', cuts: true, top: { kind: 'level', mm: 20 }, region: [[0, 0], [600, 0], [600, 400], [0, 400]] }; // prettier-ignore
    expect(fillUnder(bedField(vessel, [soil, path]), [soil, path], vessel).litres).toBe(0);
  });
});
