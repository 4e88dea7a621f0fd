import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Commission } from '../commission/schema';
import { parsed, scape, soil } from '../testing/scape';
import { survey } from '../survey/survey';
import { firstFill } from './firstFill';
import { resolved } from '../testing/resolved';

const STAYS = ['stone', 'wood', 'substrate', 'plants', 'water'];
function filled(rescape: object | undefined) {
  const s = scape({ option: { bed: [soil({ kind: 'level', mm: 50 })] } });
  const doc = parsed({ ...s, brief: { ...s.brief, ...(rescape ? { rescape: { stays: [], filterKept: true, ...rescape } } : {}) } }); // prettier-ignore
  return firstFill(resolved(doc), survey(doc));
}
/** 600 × 360, line at 370, 50 of bed with two fifths pores. */
const TOTAL = (600 * 360 * 320 + 600 * 360 * 50 * 0.4) / 1e6;

describe('the water of the build day', () => {
  it('is all new in a new tank', () => {
    expect(filled(undefined)).toMatchObject({ remainsL: 0, keptL: 0, drainedL: 0, tubs: 0 });
    expect(filled(undefined).newL).toBeCloseTo(TOTAL, 6);
  });

  it('is a quarter new where three quarters are kept, by hand', () => {
    const f = filled({ stays: ['water'], waterKept: 0.75, drainToMm: 200 });
    // 150 mm of water over the bed, and its pores.
    expect(f.remainsL).toBeCloseTo((600 * 360 * 150 + 600 * 360 * 50 * 0.4) / 1e6, 2);
    expect(f.newL).toBeCloseTo(TOTAL / 4, 6);
    expect(f.keptL).toBeCloseTo(0.75 * TOTAL - f.remainsL, 6);
    expect(f.tubs).toBe(1);
  });

  it('is none where everything stays', () => {
    const f = filled({ stays: STAYS });
    expect(f.newL).toBeCloseTo(0, 9);
    expect(f.drainedL).toBeCloseTo(0, 9);
  });

  it('kept, staying and new water are what the tank takes, whatever is asked', () => {
    const some = fc.subarray(STAYS);
    const where = fc.option(fc.integer({ min: 0, max: 400 }), { nil: undefined });
    const share = fc.option(fc.double({ min: 0, max: 1, noNaN: true }), { nil: undefined });
    const animals = fc.constantFrom('stay', 'tubs', 'elsewhere', undefined);
    fc.assert(
      fc.property(some, where, share, animals, (stays, drainToMm, waterKept, animals) => {
        const f = filled(JSON.parse(JSON.stringify({ stays, drainToMm, waterKept, animals })));
        expect(f.remainsL + f.keptL + f.newL).toBeCloseTo(f.totalL, 6);
        expect(f.drainedL + f.remainsL).toBeCloseTo(f.totalL, 6);
        for (const litres of [f.remainsL, f.keptL, f.newL, f.drainedL]) expect(litres).toBeGreaterThan(-1e-9);
        expect(f.tubs * f.tubL).toBeGreaterThanOrEqual(f.keptL - 1e-6);
      }),
      { numRuns: 25 },
    );
  });
});

describe('water from another tank', () => {
  it('goes into a new one first, and as much less is new; a tank that runs keeps its own', () => {
    const fill = (brief: object) => { const d = { ...scape(), brief: { ...scape().brief, ...brief } } as Commission; const m = survey(d); return firstFill(resolved(d, m), m); }; // prettier-ignore
    const [none, some, all] = [fill({}), fill({ otherWaterL: 30 }), fill({ otherWaterL: 9_999 })];
    expect([some.keptL, some.tubs, some.newL]).toEqual([30, 1, none.totalL - 30]);
    expect([all.keptL, all.newL]).toEqual([none.totalL, 0]);
    const rescape = { stays: ['substrate'], filterKept: true };
    expect(fill({ rescape, otherWaterL: 30 })).toEqual(fill({ rescape }));
  });
});
