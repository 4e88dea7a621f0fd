import { describe, expect, it } from 'vitest';
import { spoken } from '../words/english';
import { plan } from '../pipeline/plan';
import { parsed, scape, soil } from '../testing/scape';

function planned(part: { brief?: object; site?: object; vessel?: object }) {
  const s = scape({ option: { bed: [soil({ kind: 'level', mm: 60 })] } });
  return spoken(
    plan(
      parsed({
        ...s,
        brief: { ...s.brief, ...part.brief },
        vessel: { ...s.vessel, ...part.vessel },
        site: part.site ?? {},
      }),
    ).build,
  );
}
const rescape = { stays: ['plants', 'water'], filterKept: true };
const livestock = [{ species: 'nematobrycon-palmeri', count: 8, present: true }];

describe('a rescape', () => {
  it('takes animals and the old scape out before anything is poured, and puts them back last', () => {
    const { tasks } = planned({ brief: { rescape, livestock } });
    const of = (id: string) => tasks.find((t) => t.id === id)!;
    expect(of('holding').startMin).toBeGreaterThanOrEqual(of('protect').endMin);
    expect(of('strip').startMin).toBeGreaterThanOrEqual(of('holding').endMin);
    expect(of('soil').startMin).toBeGreaterThanOrEqual(of('strip').endMin);
    expect(of('return').startMin).toBeGreaterThanOrEqual(of('start').endMin);
    expect(of('strip').detail).toMatch(/^plants kept wet, in place or in tank water/);
    expect(of('holding').detail).toMatch(/not cleaned today/);
  });

  it('has those that leave caught first, for good: they neither wait nor come back nor are judged', () => {
    const leaver = { species: 'pterophyllum-scalare', count: 3, present: true, leaves: true };
    const { tasks, lanes } = planned({ brief: { rescape: { stays: ['plants', 'water'], filterKept: true, animals: 'tubs' }, livestock: [...livestock, leaver] } }); // prettier-ignore
    const of = (id: string) => tasks.find((t) => t.id === id)!;
    expect(of('leaving')).toMatchObject({
      title: '3 animals leave',
      needs: { protect: 'Nothing is carried over a bare floor.' },
    });
    expect(of('leaving').detail).toMatch(/^3 Pterophyllum scalare: caught .* never set free$/);
    for (const id of ['holding', 'drain', 'strip'])
      expect(of(id).startMin).toBeGreaterThanOrEqual(of('leaving').endMin);
    expect(of('holding').title).toMatch(/^8 animals/);
    expect(lanes.some((l) => l.kind === 'animals')).toBe(true);
    const alone = planned({ brief: { rescape, livestock: [leaver] } });
    expect(alone.tasks.map((t) => t.id)).toContain('leaving');
    for (const id of ['holding', 'return']) expect(alone.tasks.map((t) => t.id)).not.toContain(id);
    // A tank of 600 is no tank for them: that is why they go, and nobody says it of them any more.
    const s = scape();
    const doc = parsed({ ...s, brief: { ...s.brief, rescape, livestock: [leaver] } });
    expect(plan(doc).findings.filter((f) => f.id.startsWith('livestock'))).toEqual([]);
  });

  it('says of the filter what was said of its media', () => {
    const holding = (more: object) => planned({ brief: { rescape: { ...rescape, ...more }, livestock } }).tasks.find((t) => t.id === 'holding')!.detail; // prettier-ignore
    expect(holding({ filterCleaned: true, filterRinsed: 'tank-water' })).toMatch(
      /rinsed in tank water alone/,
    );
    expect(holding({ filterCleaned: true })).toMatch(/under the tap: test daily/);
    expect(holding({ filterKept: false })).toMatch(/an air stone in each/);
  });

  it('fills tubs with animals to four fifths: 56 L go into two of 35, 40 into one of 50', () => {
    const holding = (litres: number) => planned({ brief: { rescape: { ...rescape, holdingL: litres }, livestock } }).tasks.find((t) => t.id === 'holding')!.detail; // prettier-ignore
    expect(holding(56)).toMatch(/^56 L of tank water into 2 tubs of 35 L/);
    expect(holding(40)).toMatch(/^40 L of tank water into a tub of 50 L/);
  });

  it('has neither tub nor stripping in a new build, and no tub where nothing lives', () => {
    const ids = (brief: object) => planned({ brief }).tasks.map((t) => t.id);
    expect(ids({})).not.toContain('strip');
    expect(ids({ rescape })).toContain('strip');
    expect(ids({ rescape })).not.toContain('holding');
  });

  it('has no media to mature when the filter is kept', () => {
    const titles = (brief: object) => planned({ brief }).beforehand.map((b) => b.title);
    expect(titles({}).join()).toMatch(/maturing/);
    expect(titles({ rescape }).join()).not.toMatch(/maturing/);
  });
});

describe('what follows from vessel and site', () => {
  it('applies the film so early that it dries', () => {
    const film = (dryHours: number) =>
      planned({
        vessel: { background: { colour: 'black', sides: ['back', 'left'], dryHours } },
      }).beforehand.find((b) => b.title === 'Background film, black')!;
    expect(film(12).day).toBe('2027-01-13');
    expect(film(36).day).toBe('2027-01-12');
    expect(film(12).detail).toMatch(/back 600 × 400 mm, left 360 × 400 mm/);
  });

  it('starts the RO unit in time for the fill', () => {
    const site = {
      tap: { gh: 20, kh: 14 },
      target: { gh: 5, kh: 3 },
      ro: { litresPerHour: 1, storageL: 100 },
    };
    const { beforehand, tasks } = planned({ site });
    const ro = beforehand.find((b) => b.title.includes('RO water'))!;
    expect(ro.title).toMatch(/Start making \d+ L of RO water/);
    expect(ro.day < '2027-01-13').toBe(true);
    expect(tasks.find((t) => t.id === 'fill')!.detail).toMatch(/L cold, \d+ L hot, \d+ L RO: 24 °C/);
  });
});
