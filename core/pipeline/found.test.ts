import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Layer } from '../commission/schema';
import { plan } from '../pipeline/plan';
import { job, line, found, sand, root, carpet } from '../testing/job';
import { parsed, scape, soil } from '../testing/scape';

/* What is found, and what is not: given and expected, a line each. */

describe('what is found', () => {
  it('two plants on one region, unless each has its share', () => {
    const two = (share?: number) =>
      job({
        option: { bed: [soil({ kind: 'level', mm: 60 })], plants: [{ ...carpet, ...(share ? { share } : {}) }, { ...carpet, id: 'P-2', plant: 'moss', ...(share ? { share } : {}) }] }, // prettier-ignore
        catalogue: (c) => c.plants.push({ id: 'moss', name: 'Marsilea hirsuta', roots: 'bed' }),
      });
    expect(found(two(), 'plant.shared')).toMatchObject([{ measured: 200, limit: 100 }]);
    expect(found(two(0.5), 'plant.shared')).toEqual([]);
    // 600 × 360 at 40 mm are 135 plugs, half of them 68.
    expect(two(0.5).survey.plantings.map((p) => p.plugs)).toEqual([68, 68]);
  });

  it('a target that is too warm for plants', () => {
    const at = (tempC: number) => job({ site: { target: { tempC } }, option: { bed: [soil({ kind: 'level', mm: 60 })], plants: [carpet] } }); // prettier-ignore
    expect(found(at(28), 'water.plants')).toMatchObject([{ measured: 28, limit: 27 }]);
    expect(found(at(26), 'water.plants')).toEqual([]);
  });

  it('no hardness that all animals bear', () => {
    // Danio margaritatus has GH 5 to 15.
    const p = job({ site: { tap: { gh: 8, kh: 5 } }, brief: { livestock: [{ species: 'danio-margaritatus', count: 10 }] } }); // prettier-ignore
    expect(found(p, 'water.hard')).toEqual([]);
    const hard = job({ site: { tap: { gh: 19, kh: 5 } }, brief: { livestock: [{ species: 'danio-margaritatus', count: 10 }] } }); // prettier-ignore
    expect(found(hard, 'water.hard')).toMatchObject([{ measured: 19, limit: 15 }]);
  });

  it('shrimps that wait count as no fish, in tub and tank alike', () => {
    const shrimps = { species: 'neocaridina-davidi', count: 50, present: true };
    const p = job({
      brief: { rescape: { stays: [], filterKept: true, holdingL: 10 }, livestock: [shrimps] },
    });
    expect([...found(p, 'rescape.holding'), ...found(p, 'livestock.crowd')]).toEqual([]);
  });

  it('RO water for the fill that no store holds, with the hours', () => {
    const site = (storageL: number) => ({ tap: { gh: 20, kh: 14 }, target: { gh: 5, kh: 3 }, ro: { litresPerHour: 5, storageL } }); // prettier-ignore
    const [f] = found(job({ site: site(20), option: { bed: [sand(50)] } }), 'water.store');
    expect(f).toMatchObject({ measured: 20, unit: 'L' });
    expect(f.because).toMatch(
      /Tubs for \d+(\.\d)? L more, and \d+ h beyond a full store; \d+ h at 5 L an hour/,
    );
    expect(found(job({ site: site(200), option: { bed: [sand(50)] } }), 'water.store')).toEqual([]);
  });

  it('no load of a cube of 37 kg upstairs', () => {
    const s = scape({ inner: [300, 300, 350] });
    const cube = parsed({ ...s, site: { storey: 2, use: 'home' } });
    expect(plan(cube).findings.filter((f) => f.id === 'site.floor')).toEqual([]);
  });

  it('a slope only when its figures differ as they are shown', () => {
    const rise = (deg: number) => Math.tan((deg * Math.PI) / 180) * 360;
    const at = (deg: number) => found(job({ option: { bed: [soil({ kind: 'ramp', frontMm: 20, backMm: 20 + rise(deg) })] } }), 'bed.steep'); // prettier-ignore
    expect(at(32.04)).toEqual([]);
    expect(at(32.3)[0].says).toMatch(/32\.3°.*holds 32°/);
    expect(at(35)[0].says).toMatch(/35°.*holds 32°/);
  });

  it('a cap that leaves a spot bare, and filler drawn to the glass', () => {
    const bump = soil(
      { kind: 'level', mm: 40 },
      { mounds: [{ at: [300, 180], radiusMm: 60, heightMm: 30 }] },
    );
    const bare = job({ option: { bed: [bump, sand(60)] } });
    expect(found(bare, 'bed.bare')).toMatchObject([{ unit: 'm²' }]);
    const by = (region?: Layer['region']) =>
      job({ option: { bed: [{ id: 'f', material: 'scoria', top: { kind: 'level', mm: 30 }, ...(region ? { region } : {}) }, soil({ kind: 'level', mm: 90 })] } }); // prettier-ignore
    expect(found(by(), 'bed.filler')).toMatchObject([{ measured: 0, limit: 10 }]);
    expect(found(by([[15, 15], [585, 15], [585, 345], [15, 345]]), 'bed.filler')).toEqual([]); // prettier-ignore
  });

  it('two hills of filler take their bags each', () => {
    const hills = [{ at: [140, 180], radiusMm: 100, heightMm: 100 }, { at: [460, 180], radiusMm: 100, heightMm: 100 }] as Layer['mounds']; // prettier-ignore
    const p = job({ option: { bed: [{ id: 'f', material: 'scoria', top: { kind: 'level', mm: 0 }, mounds: hills }, soil({ kind: 'level', mm: 160 })] } }); // prettier-ignore
    const { volumeL } = p.survey.layers[0];
    const each = Math.ceil(volumeL / 2 / 2.5);
    expect(line(p, 'mesh-bag')!.needed.value).toBe(2 * each);
    expect(2 * each).toBeGreaterThanOrEqual(Math.ceil(volumeL / 2.5));
    expect(p.build.tasks.find((t) => t.id === 'filler')!.title).toMatch(new RegExp(`${2 * each} mesh bags`));
  });

  it('a dense carpet of tiny leaves on 300 × 200 mm takes two to four cups', () => {
    const cups = (plugsAPack: [number, number, number]) =>
      line(
        job({
          option: { bed: [soil({ kind: 'level', mm: 60 })], plants: [{ ...carpet, spacingMm: 25, region: [[0, 0], [300, 0], [300, 200], [0, 200]] }] }, // prettier-ignore
          catalogue: (c) => (c.plants[0].plugsAPack = plugsAPack),
        }),
        'grass',
      )!.packs.reduce((sum, x) => sum + x.count, 0);
    expect(cups([25, 35, 50])).toBe(3);
    expect(cups([25, 50, 50])).toBe(2);
    expect(cups([25, 25, 50])).toBe(4);
  });

  it('a day past midnight, past the house’s hours, and plants too long out of water', () => {
    const big = { bed: [soil({ kind: 'level', mm: 60 })], plants: [{ id: 'P', plant: 'grass', count: 900 }] };
    const p = job({ option: big, brief: { crew: 1, startTime: '14:00' } });
    expect(found(p, 'build.midnight')).toHaveLength(1);
    expect(found(p, 'build.midnight')[0].because).toMatch(/can be done the day before/);
    expect(found(p, 'build.out')).toMatchObject([{ limit: 240, unit: 'min' }]);
    const house = job({ option: { bed: [sand(40)] }, site: { hours: ['09:00', '11:00'] } });
    expect(found(house, 'build.house')[0].says).toMatch(/from 08:30 to .*from 09:00 to 11:00/);
  });

  it('no clock without its finding: what is over its limit is said, and nothing else', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 900 }), fc.integer({ min: 1, max: 3 }), (count, crew) => {
        const p = job({ brief: { crew }, option: { bed: [soil({ kind: 'level', mm: 60 })], pieces: [root({ origin: 'client', state: 'living' })], plants: [{ id: 'P', plant: 'grass', count }] } }); // prettier-ignore
        const over = p.build.lanes.filter((l) => l.limitMin !== undefined && Math.round(l.toMin - l.fromMin) > l.limitMin); // prettier-ignore
        expect(found(p, 'build.out')).toHaveLength(over.length);
      }),
      { numRuns: 8 },
    );
  });
});
