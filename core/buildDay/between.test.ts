import { describe, expect, it } from 'vitest';
import type { Commission } from '../commission/schema';
import { carpet, fish, found, job, root, sand, stone, type Part } from '../testing/job';
import { soil } from '../testing/scape';
import { byDays } from './visits';

type Sittings = NonNullable<Commission['brief']['sittings']>;
const hard = { id: 'h', kind: 'hardscape' as const, day: '2027-01-12', start: '18:00', crew: 1 };
const plant = { id: 'p', kind: 'planting' as const, day: '2027-01-13' };
const bed = [soil({ kind: 'level', mm: 60 })];
/** A stone, a root and a carpet in soil, built on 14 January in some sittings. */
const held = (sittings: Sittings, { brief, ...part }: Part = {}) => job({ ...part, brief: { ...brief, sittings }, option: { bed, pieces: [stone(), root()], plants: [carpet], ...part.option } }); // prettier-ignore
const tasksOf = (p: ReturnType<typeof job>) => [...p.build.earlier, { ...p.build, id: 'build' }].map((s) => [s.id, s.tasks.map((t) => t.id)] as const); // prettier-ignore

describe('the work in sittings', () => {
  it('has hardscape one evening, planting the next morning, water the day after; each with its own hours and hands', () => {
    const p = held([hard, plant]);
    expect(tasksOf(p)).toEqual([
      ['h', ['protect', 'soil', 'wash', 'stones', 'wood', 'gaps', 'leave'].sort(byStart(p, 'h'))],
      ['p', ['arrive', 'prepare-gel', 'plant-grass-0', 'plant-grass-1', 'leave']],
      ['build', ['arrive', 'unpack', 'equipment', 'fill', 'refloat', 'start', 'clear-up', 'photograph']],
    ]);
    expect(p.build.earlier.map((s) => [s.day, s.startTime, s.crew.length])).toEqual([
      ['2027-01-12', '18:00', 1],
      ['2027-01-13', '08:30', 2],
    ]);
  });

  it('says a sitting in which nothing is done, with why', () => {
    const flooded = held([hard, plant], { brief: { schools: { moisture: 'flooded' } } });
    expect(tasksOf(flooded)[1]).toEqual(['p', ['arrive', 'leave']]);
    expect(found(flooded, 'sitting.empty')).toMatchObject([{ says: 'Nothing is done in the sitting on 13 Jan 2027.', because: expect.stringMatching(/through the water/) }]); // prettier-ignore
    expect(found(held([hard, plant]), 'sitting.empty')).toEqual([]);
  });

  it('leaves a dry hardscape, damp plants under film, or half the water with its fish', () => {
    const [evening, morning] = held([hard, plant]).build.earlier;
    expect(evening.left).toMatchObject({ state: 'dry', nights: 1, says: expect.stringMatching(/^Dry: bed and pieces/), never: expect.stringMatching(/^No water in it/) }); // prettier-ignore
    expect(morning.left).toMatchObject({
      state: 'damp',
      nights: 1,
      says: expect.stringMatching(/^Damp: the bed moist/),
    });
    // From two nights on it is a dry start, and the house has to see to it.
    const early = held([{ ...plant, day: '2026-12-17' }]).build.earlier[0];
    expect(early.left).toMatchObject({
      state: 'damp',
      nights: 28,
      says: expect.stringMatching(/^A dry start.*Each day/),
    });
    // Drained to 150 mm the water stays, with what lives in it.
    const running = held([hard], { brief: { rescape: { stays: ['substrate', 'water'], filterKept: true, drainToMm: 150, animals: 'stay' }, livestock: [fish] } }); // prettier-ignore
    expect(running.build.earlier[0].left).toMatchObject({ state: 'water', says: expect.stringMatching(/^\d+ L stay in it: filter and heater run/) }); // prettier-ignore
    expect(found(running, 'sitting.night')).toEqual([]);
    const table = held([{ id: 't', kind: 'table', day: '2027-01-02' }]).build.earlier[0];
    expect(table.tasks.map((t) => t.id)).toEqual(['wash', 'table', 'leave']);
    expect(table.left).toMatchObject({ state: 'table' });
    const tried = held([{ id: 't', kind: 'trial', day: '2027-01-02' }]).build.earlier[0];
    expect(tried.tasks.map((t) => t.id)).toEqual(
      ['protect', 'wash', 'trial', 'leave'].sort(byTime(tried.tasks)),
    );
    expect(tried.left).toMatchObject({ state: 'cleared' });
    const before = held([{ id: 't', kind: 'table', day: '2027-01-02' }], { brief: { rescape: { stays: ['substrate'], filterKept: true } } }); // prettier-ignore
    expect(before.build.earlier[0].left).toMatchObject({ state: 'untouched' });
  });

  it('has everything there by its own sitting: what is set in it, what soaks for it, the film before anything', () => {
    const p = held([{ ...hard, day: '2027-01-07' }, plant], {
      vessel: { background: { colour: 'grey', sides: ['back'] } },
    });
    const lines = Object.fromEntries(
      p.order.suppliers.flatMap((s) => s.lines.map((l) => [l.line, l.neededOn])),
    );
    expect(lines).toMatchObject({ soil: '2027-01-07', grass: '2027-01-13' });
    // Fourteen days in the tub before 7 January.
    const day = (kind: string) => p.build.beforehand.find((b) => b.kind === kind)!.day;
    expect([day('soak'), day('film')]).toEqual(['2026-12-24', '2027-01-06']);
    expect(lines.branch).toBe('2026-12-24');
  });

  it('glues in place and leaves it over night: scrubbed in the next sitting, held against its hours, never "two days before"', () => {
    const joint = { id: 'J-1', pieces: ['S-1', 'R-1'], method: 'silicone' as const };
    const over = (day: string, sitting?: string) => held([{ ...hard, day }], { option: { bed, pieces: [stone(), root()], joints: [{ ...joint, ...(sitting ? { sitting } : {}) }] } }); // prettier-ignore
    const inPlace = over('2027-01-12', 'h');
    expect(inPlace.build.beforehand.some((b) => b.kind === 'silicone')).toBe(false);
    expect(inPlace.build.earlier[0].tasks.map((t) => t.id)).not.toContain('wiggle');
    expect(inPlace.build.tasks.map((t) => t.id)).toContain('wiggle');
    expect(inPlace.build.earlier[0].left!.says).toMatch(/J-1 cures for 24 h: the prop stays/);
    expect(found(inPlace, 'sitting.cures')).toEqual([]);
    // From 18:00 to 08:30 is 14 h and a half; glue that was there for less than an hour and a half then has 13.
    expect(found(over('2027-01-13', 'h'), 'sitting.cures')).toMatchObject([
      { severity: 'warn', measured: 13, limit: 24 },
    ]);
    expect(found(over('2027-01-13', 'build'), 'sitting.cures')).toMatchObject([
      { severity: 'stop', limit: 24 },
    ]);
    const outside = over('2027-01-12');
    // Two days to join, fourteen to soak, and all of it before the evening of the 12th.
    expect(outside.build.beforehand.find((b) => b.kind === 'silicone')).toMatchObject({ day: '2026-12-27' });
    expect(outside.build.earlier[0].tasks.map((t) => t.id)).not.toContain('joints');
  });

  it('says what waits for a night: animals in tubs, a filter that stands, what lives on a piece, wood that dries again', () => {
    const rescape = { stays: ['plants'], filterKept: true };
    const tubs = held([hard], { brief: { rescape: { ...rescape, animals: 'tubs' }, livestock: [fish] } });
    expect(found(tubs, 'sitting.night')).toMatchObject([{ measured: 2, says: 'Animals are in tubs for 2 nights, from 12 Jan 2027 on.' }]); // prettier-ignore
    expect(tubs.build.earlier[0].left!.says).toMatch(/tubs have filter, heater and a cover/);
    const still = held([hard], { brief: { rescape: { ...rescape, animals: 'elsewhere', drainToMm: 0 }, livestock: [fish] } }); // prettier-ignore
    expect(found(still, 'sitting.night').map((f) => f.says)).toEqual(['The filter stands still for 2 nights, from 12 Jan 2027 on.']); // prettier-ignore
    const living = held([hard], {
      option: { bed, pieces: [stone({ state: 'living', origin: 'stock' })], plants: [] },
    });
    expect(found(living, 'sitting.night').map((f) => f.says)).toEqual(['S-1 is out of water for 2 nights, from 12 Jan 2027 on.']); // prettier-ignore
    expect(found(held([hard]), 'sitting.dries')).toMatchObject([{ measured: 2, says: 'R-1 stands dry for 2 nights between the tub and the water.' }]); // prettier-ignore
    expect(found(held([{ ...hard, day: '2027-01-13' }]), 'sitting.dries')).toEqual([]);
    const aired = held([plant], { option: { bed, plants: [{ ...carpet, form: 'running' }] } });
    expect(found(aired, 'sitting.air')).toMatchObject([{ measured: 1 }]);
  });

  it('says a sitting before what it needs, two at one hour, one that is over, one that outlasts its limit or its house', () => {
    const early = held([{ ...hard, tasks: ['plant-grass'] }], { brief: { buildTasks: ['soil'] } });
    expect(found(early, 'sitting.needs').map((f) => f.says)).toContain('Eleocharis pusilla on 12 Jan 2027 needs Soil, which is only done on 14 Jan 2027.'); // prettier-ignore
    const stacked = held([hard, plant], { option: { bed, pieces: [stone({ sitting: 'p' }), root({ stand: { kind: 'on', piece: 'S-1' } })] } }); // prettier-ignore
    expect(found(stacked, 'sitting.needs')).toMatchObject([{ severity: 'stop', says: 'R-1 on 12 Jan 2027 needs S-1, which is only done on 13 Jan 2027.' }]); // prettier-ignore
    const clash = held([hard, { ...plant, day: hard.day, start: '18:30' }]);
    expect(found(clash, 'sitting.clash')).toMatchObject([{ says: 'Two sittings on 12 Jan 2027: the one from 18:00 still lasts when the next begins at 18:30.' }]); // prettier-ignore
    expect(found(held([hard, { ...plant, day: hard.day, start: '21:30' }]), 'sitting.clash')).toEqual([]);
    expect(found(held([{ ...hard, day: '2026-11-28' }]), 'sitting.past')).toMatchObject([
      { severity: 'note', measured: 3 },
    ]);
    expect(found(held([{ ...hard, limitMin: 30 }]), 'sitting.limit')).toMatchObject([{ limit: 30 }]);
    expect(found(held([{ ...hard, hours: ['18:00', '19:00'] }]), 'build.house')).toMatchObject([{ at: { field: 'brief.sittings' } }]); // prettier-ignore
  });

  it('goes over what stands for as long as was set, in a sitting of its own', () => {
    const p = held([
      { ...hard, day: '2027-01-10' },
      { id: 'again', kind: 'rebuild', day: '2027-01-11', limitMin: 45 },
    ]);
    const again = p.build.earlier[1];
    expect(again.tasks.map((t) => [t.id, t.minutes])).toContainEqual(['compose', 45]);
    expect(again.tasks.find((t) => t.id === 'compose')!.detail).toMatch(/for 45 min and no longer/);
    expect(found(p, 'sitting.limit')).toEqual([]);
  });
});

describe('what comes after the water', () => {
  const weeksLater = { id: 'w', kind: 'detail' as const, day: '2027-02-18', start: '17:00', crew: 1 };

  it('is poured, set and planted on the day of its visit, ordered for it, and begins with a look', () => {
    const path = sand(70, { region: [[250, 0], [350, 0], [350, 360], [250, 360]], sitting: 'w' }); // prettier-ignore
    const p = held([weeksLater], { option: { bed: [...bed, path], pieces: [stone({ sitting: 'w' })], plants: [{ ...carpet, sitting: 'w' }] } }); // prettier-ignore
    expect(p.build.visits).toHaveLength(1);
    const [visit] = p.build.visits;
    expect(visit).toMatchObject({
      afterDays: 35,
      sitting: { id: 'w', start: '17:00', crew: 1, kind: 'detail' },
    });
    expect(visit.tasks.map((t) => t.id)).toEqual([
      'look',
      'drain',
      'later-sand',
      'stones-S-1',
      'plant-P-1',
      'fill',
    ]);
    expect(p.build.tasks.map((t) => t.id).filter((id) => /^(sand|stones|plant|layer)/.test(id))).toEqual([]);
    const needed = Object.fromEntries(
      p.order.suppliers.flatMap((s) => s.lines.map((l) => [l.line, l.neededOn])),
    );
    expect(needed).toMatchObject({ sand: '2027-02-18', grass: '2027-02-18', soil: '2027-01-14' });
  });

  it('has a visit for each of two sittings on one day, held against hours and limits like any other', () => {
    const two = [weeksLater, { ...weeksLater, id: 'x', start: '17:05', limitMin: 20, hours: ['08:00', '17:30'] as [string, string] }]; // prettier-ignore
    const p = held(two, { option: { bed, pieces: [stone({ sitting: 'x' })] } });
    expect(p.build.visits.map((v) => [v.sitting!.id, v.tasks.map((t) => t.id)])).toEqual([
      ['w', ['look']],
      ['x', ['look', 'drain', 'stones-S-1', 'fill']],
    ]);
    expect(found(p, 'sitting.clash')).toMatchObject([{ severity: 'stop' }]);
    expect(found(p, 'sitting.limit')).toMatchObject([{ limit: 20 }]);
    expect(found(p, 'build.house')).toMatchObject([{ at: { field: 'brief.sittings' } }]);
    // A scape that is set on the evening of the build day still stands before the water.
    const evening = held([{ ...plant, day: '2027-01-14', start: '20:00' }]);
    expect(evening.build.earlier[0].tasks.some((t) => t.id === 'plant-grass-0')).toBe(true);
    expect(found(evening, 'sitting.clash')).toHaveLength(1);
  });

  it('takes out again what only held something, and moves so many plugs a day', () => {
    const p = job({ option: { bed, pieces: [stone({ outDays: 14 })], plants: [{ id: 'P-9', plant: 'grass', count: 40, aDay: 15, spacingMm: 40, region: carpet.region }] } }); // prettier-ignore
    expect(p.build.visits.map((v) => [v.afterDays, v.tasks.map((t) => t.id)])).toEqual([
      [1, ['drain', 'plant-P-9', 'fill']],
      [2, ['drain', 'plant-P-9', 'fill']],
      [3, ['drain', 'plant-P-9', 'fill']],
      [14, ['drain', 'out-S-1', 'fill']],
    ]);
    expect(byDays(40, 15)).toEqual([15, 15, 10]);
    expect(byDays(7)).toEqual([7]);
  });
});

/** One day is what it was: nothing of a sitting is in it. */
describe('a build without sittings', () => {
  it('is one day, with nobody arriving twice and nothing left over night', () => {
    const p = held([]);
    expect(p.build.earlier).toEqual([]);
    expect(p.build.tasks.some((t) => ['arrive', 'leave'].includes(t.id))).toBe(false);
    expect(p.findings.filter((f) => f.id.startsWith('sitting.'))).toEqual([]);
  });
});

function byTime(tasks: readonly { id: string; startMin: number }[]) {
  const at = (id: string) => tasks.find((t) => t.id === id)!.startMin;
  return (a: string, b: string) => at(a) - at(b);
}
function byStart(p: ReturnType<typeof job>, id: string) {
  return byTime(p.build.earlier.find((s) => s.id === id)!.tasks);
}
