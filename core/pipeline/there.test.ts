import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Layer } from '../commission/schema';
import {
  job,
  ids,
  line,
  found,
  before,
  sand,
  stone,
  root,
  carpet,
  ALL,
  fish,
  type Job,
} from '../testing/job';
import { soil } from '../testing/scape';

/* What is there already, and in what state: given and expected, a line each. */

describe('what is there', () => {
  const everything = {
    bed: [soil({ kind: 'level', mm: 60 })],
    pieces: [stone(), root()],
    plants: [carpet],
  };

  it('a rescape in which everything stays changes nothing else', () => {
    const p = job({ brief: { rescape: { stays: ALL, filterKept: true }, livestock: [fish] }, option: everything }); // prettier-ignore
    expect(ids(p)).toEqual(['protect', 'clear-up', 'photograph'].sort((a, b) => ids(p).indexOf(a) - ids(p).indexOf(b))); // prettier-ignore
    // What the weeks after it use up, and nothing for the day itself.
    expect(p.takeOff.lines.filter((l) => l.needed.value > 0).map((l) => l.id)).toEqual(['conditioner', 'plant-food', 'test']); // prettier-ignore
    expect(line(p, 'conditioner')!.workings.map((w) => w.step)).not.toContain('on the build day');
    expect(p.build.beforehand).toEqual([]);
    expect(p.build.tasks[0].title).not.toMatch(/level/);
  });

  it('water kept to three quarters: conditioner, RO and heat for a quarter', () => {
    const site = {
      tap: { gh: 16, kh: 10 },
      target: { gh: 5, kh: 3 },
      ro: { litresPerHour: 4, storageL: 200 },
    };
    const by = (waterKept: number) =>
      job({
        site,
        brief: { rescape: { stays: ['water'], filterKept: true, waterKept } },
        option: everything,
      });
    const [all, quarter] = [by(0), by(0.75)];
    const ml = (p: Job) => line(p, 'conditioner')!.workings.find((w) => w.step === 'on the build day')!.value;
    expect(ml(quarter) / ml(all)).toBeCloseTo(0.25, 6);
    expect(quarter.visit.water.first.roL / all.visit.water.first.roL).toBeCloseTo(0.25, 6);
    expect(quarter.build.tasks.find((t) => t.id === 'fill')!.title).toMatch(/^Refill/);
    expect(quarter.build.tasks.find((t) => t.id === 'drain')!.detail).toMatch(
      /to the glass; \d+ L into .*60 L/,
    );
  });

  it('part of a layer that is there is topped up', () => {
    const p = job({ option: { bed: [soil({ kind: 'level', mm: 60 }, { presentL: 5 })] } });
    // 12.96 L settled from 13.94 L, of which 5 are there.
    expect(line(p, 'soil')!.needed.value).toBeCloseTo(12.96 / 0.93 - 5, 2);
    expect(p.build.tasks.find((t) => t.id === 'soil')!.title).toMatch(/8\.9 L$/);
  });

  it('mixed sands are bought by their shares', () => {
    const mix = [{ material: 'sand', share: 0.75 }, { material: 'fine', share: 0.25 }]; // prettier-ignore
    const p = job({
      option: { bed: [sand(50, { mix })] },
      catalogue: (c) => c.materials.push({ id: 'fine', kind: 'sand', name: 'Fine sand' }),
    });
    expect(line(p, 'sand')!.needed.value).toBeCloseTo(10.8 * 0.75, 6);
    expect(line(p, 'fine')!.needed.value).toBeCloseTo(10.8 * 0.25, 6);
  });

  it('owned wood from a running tank is neither bought, soaked, scrubbed nor afloat, and has its clock', () => {
    const p = job({ option: { bed: [sand(50)], pieces: [root({ origin: 'client', state: 'living' })] } });
    expect(line(p, 'branch')!.needed.value).toBe(0);
    expect(p.build.beforehand.filter((b) => b.kind === 'soak')).toEqual([]);
    expect(ids(p)).not.toContain('wash');
    expect(found(p, 'piece.floats')).toEqual([]);
    expect(p.build.lanes.filter((l) => l.kind === 'living')).toMatchObject([
      { pieces: ['R-1'], limitMin: 120 },
    ]);
    expect(p.build.tasks.find((t) => t.id === 'wood')!.detail).toMatch(/R-1 straight from tank water/);
    // The same wood, dry: bought, soaked and afloat.
    const dry = job({ option: { bed: [sand(50)], pieces: [root()] } });
    expect(dry.build.beforehand.filter((b) => b.kind === 'soak')).toHaveLength(1);
    expect(found(dry, 'piece.floats')).toHaveLength(1);
  });

  it('what is fixed in the vessel carries joints and is neither bought, soaked, set nor floating', () => {
    const fixed = root({ fixed: true });
    const p = job({
      option: { bed: [sand(50)], pieces: [fixed, stone({ at: [165, 180], stand: { kind: 'on', piece: 'R-1' } })], joints: [{ id: 'J', pieces: ['R-1', 'S-1'], method: 'gel-glue' }] }, // prettier-ignore
    });
    expect(line(p, 'branch')!.needed.value).toBe(0);
    expect(ids(p)).not.toContain('wood');
    expect(ids(p)).toContain('joints');
    expect(found(p, 'piece.floats')).toEqual([]);
  });

  it('animals that are there are never told that they may come, and are tested for on the first two days', () => {
    const p = job({ brief: { rescape: { stays: ['water', 'plants'], filterKept: true }, livestock: [fish] }, option: everything }); // prettier-ignore
    const days = p.care.weeks.flatMap((w) => w.days);
    expect(days.flatMap((d) => d.events.map(String)).filter((e) => /may come/.test(e))).toEqual([]);
    expect(p.care.stock).toBeUndefined();
    expect(days.filter((d) => d.test && d.afterDays < 3).map((d) => d.afterDays)).toEqual([1, 2]);
    const doses = days.filter((d) => d.events.some((e) => /bacteria/.test(`${e}`)));
    expect(doses.map((d) => d.afterDays)).toEqual([1, 2, 3, 4, 5, 6]);
    // Seven days of 10 mL for each 100 L of the free water.
    expect(line(p, 'bacteria')!.needed.value).toBeCloseTo(0.7 * p.survey.freeWaterL, 6);
  });

  it('a mature filter lets animals come at once, a seeded one sooner, a new one after weeks', () => {
    const from = (state: string) =>
      job({ brief: { filter: { state }, livestock: [{ ...fish, present: false }] }, option: everything }).care.stock!.fishFrom!; // prettier-ignore
    expect(from('mature')).toBe('2027-01-15');
    expect(from('seeded') > from('mature')).toBe(true);
    expect(from('new') > from('seeded')).toBe(true);
    expect(from('new') >= '2027-02-04').toBe(true);
  });

  it('nothing that stays is ever in an order, washed, soaked, poured or planted', () => {
    const origin = fc.constantFrom('bought', 'stock', 'client', 'here') as fc.Arbitrary<
      NonNullable<Layer['origin']>
    >;
    fc.assert(
      fc.property(origin, origin, origin, origin, (layer, s, w, plants) => {
        const p = job({
          option: {
            bed: [soil({ kind: 'level', mm: 60 }, { origin: layer })],
            pieces: [stone({ origin: s, material: 'slate' }), root({ origin: w })],
            plants: [{ ...carpet, origin: plants }],
          },
        });
        const lines = p.order.suppliers.flatMap((x) => x.lines.map((l) => l.line));
        const pairs = [[layer, 'soil'], [s, 'slate'], [w, 'branch'], [plants, 'grass']] as const; // prettier-ignore
        for (const [from, id] of pairs) expect(lines.includes(id)).toBe(from === 'bought');
        expect(ids(p).includes('soil')).toBe(layer !== 'here');
        expect(ids(p).includes('stones')).toBe(s !== 'here');
        expect(ids(p).includes('wood')).toBe(w !== 'here');
        expect(p.build.beforehand.some((b) => b.kind === 'soak')).toBe(w !== 'here');
        expect(ids(p).some((t) => t.startsWith('plant-'))).toBe(plants !== 'here');
      }),
      { numRuns: 12 },
    );
  });
});

describe('living wood that dries for hours', () => {
  it('is lost with its share of the biofilter, which grows with the wood', () => {
    const dried = (size: number) => {
      const shape = { kind: 'ellipsoid' as const, sizeMm: [size, size, size] as [number, number, number] };
      const living = root({ origin: 'client', state: 'living', shape });
      const p = job({ brief: { crew: 1 }, option: { bed: [sand(50)], pieces: [living], plants: [{ ...carpet, spacingMm: 22 }] } }); // prettier-ignore
      const [f] = found(p, 'build.out').filter((x) => /R-1/.test(`${x.says}`));
      expect(f).toMatchObject({ limit: 120, unit: 'min' });
      return Number(/about (\d+) % of the biofilter/.exec(`${f.because}`)![1]);
    };
    expect(dried(60)).toBeGreaterThan(0);
    expect(dried(160)).toBeGreaterThan(2 * dried(60));
    expect(dried(160)).toBeLessThan(60);
  });
});

describe('a piece that stays and is moved', () => {
  it('is moved, not bought, washed or set anew; put back within a hand’s breadth it has not been', () => {
    const by = (wasAt: [number, number]) =>
      job({
        brief: { rescape: { stays: ALL, filterKept: true } },
        option: { bed: [sand(50)], pieces: [stone({ wasAt })] },
      });
    const moved = by([120, 180]);
    expect(ids(moved)).toContain('move');
    expect(ids(moved)).not.toContain('stones');
    expect(line(moved, 'granite')!.needed.value).toBe(0);
    expect(ids(by([302, 181]))).not.toContain('move');
    // What is new stands after it.
    const both = job({
      brief: { rescape: { stays: ALL, filterKept: true } },
      option: {
        bed: [sand(50)],
        pieces: [stone({ wasAt: [120, 180] }), stone({ id: 'N', at: [480, 180], origin: 'bought' })],
      },
    });
    before(both, 'move', 'stones');
  });
});
