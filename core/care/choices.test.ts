import { describe, expect, it } from 'vitest';
import { dayPlus, weekdayOf, type Weekday } from '../calendar/day';
import type { Option } from '../commission/schema';
import { carpet, found, job, line, sand, type Job, type Part } from '../testing/job';
import { soil } from '../testing/scape';
import { changesOf, SCHOOLS } from '../regime/waterSchools';

/** A sketch on soil, unless it brings a bed of its own. */
const planned = (part: Part) =>
  job({ ...part, option: { bed: [soil({ kind: 'level', mm: 60 })], ...part.option } });
const sandBed = sand(60);
const events = (p: Job) => p.care.weeks.flatMap((w) => w.days).flatMap((d) => d.events.map((e) => [d.afterDays, e] as const)); // prettier-ignore

describe('how it is kept', () => {
  it('has the clock that was asked for: light, its hours, and gas before it', () => {
    const usual = planned({ brief: { co2: true } }).care.light;
    expect(usual).toEqual({ on: '12:00', off: '19:00', co2On: '11:00' });
    const care = { lightsOn: '14:30', lightHours: 6, co2AheadHours: 2 };
    const own = planned({ brief: { co2: true, care } }).care;
    expect(own.light).toEqual({ on: '14:30', off: '20:30', co2On: '12:30' });
    expect(own.weeks.map((w) => w.hours)).toEqual(Array(8).fill(6));
    // Gas an hour before a light that comes on at half past midnight starts the evening before.
    expect(planned({ brief: { co2: true, care: { lightsOn: '00:30' } } }).care.light.co2On).toBe('23:30');
  });

  it('begins with the output that was asked for, and says when the light is too long', () => {
    const shares = (firstOutput?: number) => planned({ brief: { care: firstOutput ? { firstOutput } : {} } }).care.weeks.map((w) => Math.round(w.outputShare * 100)); // prettier-ignore
    expect(shares()).toEqual([50, 60, 75, 90, 100, 100, 100, 100]);
    expect(shares(0.3)).toEqual([30, 44, 65, 86, 100, 100, 100, 100]);
    const long = (lightHours: number) => planned({ brief: { care: { lightHours } } }).findings.filter((f) => f.id === 'care.light'); // prettier-ignore
    expect(long(10)).toMatchObject([{ measured: 10, limit: 8 }]);
    expect(long(8)).toEqual([]);
  });

  it('has gas from the day that was asked for, and says so', () => {
    const p = planned({ brief: { co2: true, care: { co2FromDay: 5 } } });
    expect(p.care.light.co2From).toBe('2027-01-19');
    expect(events(p).find(([, e]) => /gas on/.test(`${e}`))).toEqual([5, 'gas on, slowly: half the bubbles for three days, then as the drop checker says']); // prettier-ignore
    expect(p.build.tasks.find((t) => t.id === 'start')!.detail).not.toMatch(/CO2/);
    expect(planned({ brief: { co2: false, care: { co2FromDay: 5 } } }).care.light).toEqual({ on: '12:00', off: '19:00' }); // prettier-ignore
  });

  it('changes water on the weekday that suits, where a week has one change', () => {
    const ask = { buildDay: '2027-01-14', dailyDose: false };
    const on = (changeDay: Weekday) => changesOf('taper', { ...ask, changeDay });
    for (const day of ['mon', 'wed', 'sun'] as const) {
      const late = on(day).filter((c) => c.afterDays > 35);
      expect(late.map((c) => weekdayOf(dayPlus(ask.buildDay, c.afterDays)))).toEqual(late.map(() => day));
      // The daily ones stay as the school has them, and none is lost.
      expect(on(day).slice(0, 7)).toEqual(SCHOOLS.taper.changes().slice(0, 7));
      expect(on(day)).toHaveLength(SCHOOLS.taper.changes().length);
    }
  });

  it('stays weekly while a daily dose rests on it, and goes fortnightly otherwise', () => {
    const days = (dosing: string) => planned({ brief: { schools: { water: 'weekly', dosing } }, option: { plants: [carpet] } }).care.weeks.flatMap((w) => w.days).filter((d) => d.change).map((d) => d.afterDays); // prettier-ignore
    expect(days('excess')).toEqual([7, 14, 21, 28, 35, 42, 49, 56]);
    expect(days('lean')).toEqual([7, 14, 21, 28, 42, 56]);
  });

  it('feeds from the start where the bed gives nothing, and later on rich soil', () => {
    const first = (option: Partial<Option>) => planned({ brief: { schools: { water: 'weekly', dosing: 'lean' } }, option }).care.weeks.flatMap((w) => w.days).find((d) => d.doses > 0)!.afterDays; // prettier-ignore
    expect(first({ bed: [sandBed], plants: [carpet] })).toBe(7);
    expect(first({ plants: [carpet] })).toBe(21);
    // Soil that has run before has given what it had.
    expect(first({ bed: [soil({ kind: 'level', mm: 60 }, { used: true })], plants: [carpet] })).toBe(7);
    expect(planned({ brief: { schools: { dosing: 'none' } }, option: { bed: [sandBed], plants: [carpet] } }).care.dosing.rule).toMatch(/gives nothing itself/); // prettier-ignore
  });

  it('says a dose in millilitres, as the product has it or as usual, and none where nothing is planted', () => {
    const p = planned({ catalogue: (c) => c.materials.push({ id: 'food', kind: 'plant-food', name: 'Plant food', dosePer100L: 4 }), option: { plants: [carpet] } }); // prettier-ignore
    expect(p.care.dosing.mlADose).toBeCloseTo(0.04 * p.survey.freeWaterL, 9);
    const usual = planned({ option: { plants: [carpet] } });
    expect(usual.care.dosing.mlADose).toBeCloseTo(0.1 * usual.survey.freeWaterL, 9);
    expect(planned({}).care.dosing.mlADose).toBeUndefined();
  });

  it('lets animals in drop by drop, each kind on its own day', () => {
    const livestock = [
      { species: 'trigonostigma-espei', count: 8 },
      { species: 'neocaridina-davidi', count: 10, laterDays: 56 },
    ];
    const p = planned({ brief: { livestock, filter: { state: 'mature' } } });
    expect(events(p).filter(([, e]) => /may come/.test(e))).toEqual([
      [1, 'fish may come, if tests allow; drip them in over 45 min'],
      [56, 'shrimps and snails may come, if tests allow; drip them in over 90 min'],
    ]);
  });

  it('says when leaves that grew above water will melt', () => {
    const melt = (form?: 'emersed' | 'tissue') => events(planned({ option: { plants: [{ ...carpet, ...(form ? { form } : {}) }] } })).filter(([, e]) => /melt/.test(`${e}`)); // prettier-ignore
    expect(melt('emersed')).toEqual([[10, 'leaves of Eleocharis pusilla that grew above water melt: cut them off, new ones follow']]); // prettier-ignore
    expect([...melt('tissue'), ...melt()]).toEqual([]);
  });

  it('goes on after week 8 as long as something is due', () => {
    const p = planned({ option: { bed: [sandBed], plants: [carpet] }, catalogue: (c) => (c.plants[0].firstTrimDays = 70) }); // prettier-ignore
    const later = p.care.later.map((l) => [l.afterDays, l.what]);
    expect(later).toContainEqual([70, 'first trim where it has grown in: Eleocharis pusilla']);
    expect(later).toContainEqual([90, 'three-month review: photograph from the same place, test, cut back, replant']); // prettier-ignore
    expect(later.filter(([, w]) => /root tabs/.test(`${w}`)).map(([d]) => d)).toEqual([75, 150, 225, 300]);
    expect(planned({}).care.later.map((l) => l.afterDays)).toEqual([90]);
  });
});

describe('stages', () => {
  it('sand that comes in week 3 is ordered for it, laid at half fill, and has a visit of its own', () => {
    const path = { ...sandBed, top: { kind: 'level' as const, mm: 30 }, cuts: true, laterDays: 21, region: [[0, 0], [600, 0], [600, 100], [0, 100]] as [number, number][] }; // prettier-ignore
    const p = planned({ option: { bed: [soil({ kind: 'level', mm: 50 }), path] } });
    expect(p.build.tasks.map((t) => t.id)).not.toContain('rinse');
    const [line] = p.order.suppliers.flatMap((s) => s.lines).filter((l) => l.line === 'sand');
    // Build on 14 January, three weeks on is 4 February; the yard comes on Tuesdays and Fridays.
    expect(line).toMatchObject({ neededOn: '2027-02-04', arriveBy: '2027-02-02' });
    const [visit] = p.build.visits;
    expect(visit).toMatchObject({ day: '2027-02-04', drainToMm: 185 });
    // 600 × 360 of water from 185 to 370 mm.
    expect(visit.drainL).toBeCloseTo(600 * 360 * 185e-6, 2);
    expect(visit.tasks.map((t) => t.title)).toEqual(['Drain 40 L', 'Sand, 1.8 L', 'Refill, slowly, 40 L']);
    expect(visit.minutes).toBeGreaterThan(20);
  });

  it('plants that come later are not in the day, nor trimmed by it, and are ordered for their own', () => {
    const p = planned({ option: { plants: [{ ...carpet, laterDays: 30 }] } });
    expect(p.build.tasks.some((t) => t.id.startsWith('plant-'))).toBe(false);
    const [line] = p.order.suppliers.flatMap((s) => s.lines).filter((l) => l.line === 'grass');
    expect(line.neededOn).toBe('2027-02-13');
    expect(p.build.visits.map((v) => v.afterDays)).toEqual([30]);
    expect(events(p).map(([d, e]) => `${d} ${e}`)).toContain('30 visit: Eleocharis pusilla goes in');
  });

  it('a trial is set before anything is poured, and what is not bought is set aside and asked for', () => {
    const stone = (id: string, origin: 'stock' | 'client', x: number) => ({ id, material: 'granite', shape: { kind: 'ellipsoid' as const, sizeMm: [100, 80, 90] as [number, number, number] }, at: [x, 180] as [number, number], turnDeg: 0, stand: { kind: 'bed' as const, buryMm: 20 }, origin }); // prettier-ignore
    const p = planned({ brief: { schools: { trial: true } }, option: { pieces: [stone('A', 'stock', 200), stone('B', 'client', 400)] } }); // prettier-ignore
    const at = (id: string) => p.build.tasks.find((t) => t.id === id)!;
    expect(at('soil').startMin).toBeGreaterThanOrEqual(at('trial').endMin);
    expect(
      p.build.beforehand
        .filter((b) => b.kind === 'reserve' || b.kind === 'client')
        .map((b) => [b.day, b.title]),
    ).toEqual([
      // prettier-ignore
      ['2027-01-07', 'Set aside: A'],
      ['2027-01-07', 'Ask the client for: B'],
    ]);
  });
});

describe('what is declined or not decided', () => {
  it('root tabs are bought where the bed gives nothing, in soil too, or not at all', () => {
    const tabs = (rootTabs?: 'none' | 'also', bed = [soil({ kind: 'level', mm: 60 })]) =>
      line(job({ brief: { care: rootTabs ? { rootTabs } : {} }, option: { bed, plants: [carpet] } }), 'root-tab')?.needed.value; // prettier-ignore
    // 600 × 360 mm of carpet at one tab each 65 mm: 51.1, so 52 (less along the glass that nobody plants).
    expect(tabs()).toBeUndefined();
    expect(tabs('also')).toBe(52);
    expect(tabs(undefined, [sand(60)])).toBe(52);
    expect(tabs('none', [sand(60)])).toBeUndefined();
  });

  it('root tabs are pushed in when the plants are set, and before the water', () => {
    const p = job({ option: { bed: [sand(60)], plants: [carpet] } });
    const at = (id: RegExp) => p.build.tasks.filter((t) => id.test(t.id));
    const [tabs] = at(/^tabs$/);
    expect(tabs.title).toBe('52 root tabs pushed in');
    expect(tabs.detail).toMatch(/65 mm.*52 among/);
    // 52 × 0.3 min.
    expect(tabs.minutes).toBe(16);
    for (const plant of at(/^plant-/)) expect(tabs.startMin).toBeGreaterThanOrEqual(plant.endMin);
    expect(at(/^fill$/)[0].startMin).toBeGreaterThanOrEqual(tabs.endMin);
    const dry = job({ brief: { sittings: [{ id: 'dry', kind: 'planting', day: '2027-01-10' }] }, option: { bed: [sand(60)], plants: [carpet] } }); // prettier-ignore
    expect(dry.build.earlier[0].tasks.map((t) => t.id)).toContain('tabs');
    expect(line(dry, 'root-tab')!.aheadDays).toBe(4);
  });

  it('an animal that nobody has decided on is in no load and on no date, and is said', () => {
    const wish = (undecided?: boolean) => job({ brief: { livestock: [{ species: 'nematobrycon-palmeri', count: 8, ...(undecided ? { undecided } : {}) }] } }); // prettier-ignore
    const fishDay = (p: ReturnType<typeof job>) => p.care.weeks.some((w) => w.days.some((d) => d.events.some((e) => /fish may come/.test(String(e))))); // prettier-ignore
    expect([fishDay(wish()), fishDay(wish(true))]).toEqual([true, false]);
    expect(found(wish(true), 'livestock.open')).toMatchObject([{ severity: 'note', measured: 8, says: 'Not decided yet: Nematobrycon palmeri.' }]); // prettier-ignore
    expect(found(wish(), 'livestock.open')).toEqual([]);
  });
});
