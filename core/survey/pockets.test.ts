import { describe, expect, it } from 'vitest';
import type { Pocket } from '../commission/schema';
import { parseCommission } from '../commission/parse';
import { plan } from '../pipeline/plan';
import { piece, scape, soil } from '../testing/scape';
import { inEnglish } from '../words/english';

const stone = piece({ id: 'S-1', shape: { kind: 'box', sizeMm: [200, 140, 100] }, stand: { kind: 'floor' }, at: [300, 180] }); // prettier-ignore
const withPocket = (rest?: Partial<Pocket>) =>
  scape({
    option: {
      bed: [soil({ kind: 'level', mm: 40 })],
      pieces: [stone],
      ...(rest ? { pockets: [{ id: 'p', on: 'S-1', material: 'soil', offsetMm: [0, 0], radiusMm: 60, heightMm: 30, ...rest }] } : {}), // prettier-ignore
    },
  });
const planned = (rest?: Partial<Pocket>) => plan(withPocket(rest), { today: '2026-11-25' });

/** A cone, settled: π · 60² · 30 / 3 mm³. */
const CONE_L = (Math.PI * 3_600 * 10) / 1e6;

describe('soil on top of a stone', () => {
  it('is in the take-off as poured, in the water’s place, and in the mass on the floor', () => {
    const [bare, heaped] = [planned(), planned({})];
    const soilOf = (p: typeof bare) => p.takeOff.lines.find((l) => l.id === 'soil')!.needed.value;
    // It settles by 7 %: so much more is poured.
    expect(soilOf(heaped) - soilOf(bare)).toBeCloseTo(CONE_L / 0.93, 3);
    expect(bare.survey.freeWaterL - heaped.survey.freeWaterL).toBeCloseTo(CONE_L, 4);
    expect(heaped.survey.bedL - bare.survey.bedL).toBeCloseTo(CONE_L, 4);
    const { survey } = heaped;
    expect(survey.bedL + survey.piecesL + survey.freeWaterL + survey.airL).toBeCloseTo(survey.brimL, 6);
    // 0.95 kg a litre of soil as poured, less a kilogram a litre of water.
    expect(heaped.survey.floorKg - bare.survey.floorKg).toBeCloseTo((CONE_L / 0.93) * 0.95 - CONE_L, 3);
  });

  it('is heaped on the build day, once the stone stands', () => {
    expect(planned().build.tasks.some((t) => t.id === 'pockets')).toBe(false);
    const { tasks } = planned({}).build;
    const at = (id: string) => tasks.find((t) => t.id === id)!;
    expect(inEnglish(at('pockets').title)).toBe('Soil on top of one piece');
    expect(inEnglish(at('pockets').detail!)).toMatch(/^0\.12 L on S-1; damp, pressed on/);
    // Before the water comes.
    expect(at('fill').startMin).toBeGreaterThanOrEqual(at('pockets').startMin + at('pockets').minutes);
    expect(at('pockets').startMin).toBeGreaterThanOrEqual(at('floor-stones').startMin + at('floor-stones').minutes); // prettier-ignore
  });

  it('over the edge or steeper than it holds is said', () => {
    const found = (rest: Partial<Pocket>) =>
      planned(rest).findings.flatMap((f) => (f.id.startsWith('pocket.') ? [inEnglish(f.says)] : []));
    expect(found({})).toEqual([]);
    expect(found({ offsetMm: [100, 0] })).toEqual([expect.stringMatching(/^(49|50|51) % of what is heaped on S-1 lies over its edge/)]); // prettier-ignore
    // atan(60 / 60).
    expect(found({ heightMm: 60 })).toEqual(['The heap on S-1 is 45° steep; Soil holds 32°.']);
  });

  it('on a piece that is not there is refused with its place', () => {
    const doc = structuredClone(withPocket({})) as any;
    doc.options[0].pockets[0].on = 'S-9';
    const parsed = parseCommission(doc);
    expect(parsed.ok ? [] : parsed.faults.map((f) => f.path)).toEqual(['options[0].pockets[0].on']);
  });
});
