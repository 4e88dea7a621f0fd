import { describe, expect, it } from 'vitest';
import { carpet, found, job, root, stone } from '../testing/job';
import { soil } from '../testing/scape';
import { glassKg } from '../vessel/glass';

/* A scape that is built at the studio, some days before it is carried in and filled. */

const bed = [soil({ kind: 'level', mm: 60 })];
const built = (kinds: ('hardscape' | 'planting')[], part: { option?: object; site?: object } = {}) => job({ ...part, brief: { crew: 2, sittings: kinds.map((kind, i) => ({ id: kind, kind, day: `2027-01-1${i + 1}`, place: 'studio' })) }, option: { bed, pieces: [stone(), root()], plants: [carpet], ...part.option } }); // prettier-ignore
const carry = (p: ReturnType<typeof job>) => p.build.tasks.find((t) => t.id === 'carry');

describe('a scape that is carried in', () => {
  it('is what was set and poured at the studio, damp where plants are in it', () => {
    const dry = built(['hardscape']);
    const [glass, soilKg, pieces] = carry(dry)!.workings.map((w) => w.value);
    // 600 × 360 × 60 mm of soil less what stands in it, poured a little higher, at its bulk density.
    const poured = dry.takeOff.lines.find((l) => l.id === 'soil')!.needed.value;
    const set = dry.survey.pieces.reduce((kg, p) => kg + p.massKg, 0);
    expect(pieces).toBeCloseTo(set, 6);
    expect(soilKg / poured).toBeGreaterThan(0.6);
    expect(soilKg / poured).toBeLessThan(1.2);
    const planted = built(['hardscape', 'planting']);
    const pores = carry(planted)!.workings.at(-1)!.value;
    expect(pores).toBeGreaterThan(0.9 * planted.survey.poreWaterL);
    expect(carry(planted)!.detail).toMatch(/All water is out down to the bed/);
    expect(glass).toBeCloseTo(glassKg({ kind: 'box', innerMm: { length: 600, width: 360, height: 400 }, glassMm: 8, waterLineMm: 370 } as never), 6); // prettier-ignore
  });

  it('weighs what is strewn in it as well', () => {
    const rubble = { id: 'L', material: 'granite', massKg: 3 };
    const [, , bare] = carry(built(['hardscape']))!.workings.map((w) => w.value);
    const [, , more] = carry(built(['hardscape'], { option: { strewn: [rubble] } }))!.workings.map(
      (w) => w.value,
    );
    expect(more - bare).toBeCloseTo(3, 9);
  });

  it('comes before anything goes on in it, on site, and weighs on the way in', () => {
    const p = built(['hardscape', 'planting'], { site: { route: [{ id: 'w', name: 'hall lift', kind: 'lift', widthMm: 900, depthMm: 1_000, heightMm: 2_000, loadKg: 180 }], hours: ['08:00', '18:00'] } }); // prettier-ignore
    expect(p.build.tasks.slice(0, 2).map((t) => t.id)).toEqual(['arrive', 'carry']);
    expect(p.build.earlier.some((s) => s.tasks.some((t) => t.id === 'carry'))).toBe(false);
    // Two people go with it: the lift bears them and the empty tank, and not the scape too.
    expect(found(p, 'route.mass').map((f) => f.says)).toEqual([expect.stringMatching(/^The tank/)]);
    // The studio has no hours of a house.
    expect(found(p, 'build.house')).toEqual([]);
    expect(carry(job({ option: { bed } }))).toBeUndefined();
  });
});
