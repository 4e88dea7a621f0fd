import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildPlan } from '../buildDay/buildPlan';
import { jobIn } from '../buildDay/jobIn';
import { jobOf, setOf } from '../buildDay/job';
import { dayPlus } from '../calendar/day';
import type { Commission } from '../commission/schema';
import { survey } from '../survey/survey';
import { anyJob, jobDocument } from '../testing/anyJob';
import { resolved } from '../testing/resolved';
import { inEnglish } from '../words/english';
import { homeOf } from './homes';
import { afterwardsOf, BUILD, buildingOf, sittingsOf } from './sittings';

type Brief = Commission['brief'];
const brief = (sittings: Brief['sittings'] = [], rest: Partial<Brief> = {}): { brief: Brief } => ({
  brief: { buildDay: '2027-01-14', co2: true, crew: 2, sittings, ...rest } as Brief,
});
const hardscape = { id: 'h', kind: 'hardscape' as const, day: '2027-01-12', start: '18:00', crew: 1 };
const planting = { id: 'p', kind: 'planting' as const, day: '2027-01-13' };
const visit = { id: 'v', kind: 'detail' as const, day: '2027-02-18' };

describe('sittings', () => {
  it('are the build day alone where nobody said more', () => {
    expect(sittingsOf(brief())).toEqual([
      {
        id: BUILD,
        kind: BUILD,
        day: '2027-01-14',
        aheadDays: 0,
        start: '08:30',
        crew: 2,
        isAway: false,
        tasks: [],
      },
    ]);
  });

  it('stand in the order in which they are held, with the hours and hands of the brief where they have none', () => {
    const of = {
      ...brief([visit, planting, hardscape]),
      site: { hours: ['08:00', '20:00'] as [string, string] },
    };
    expect(sittingsOf(of).map((s) => [s.id, s.aheadDays, s.start, s.crew, s.hours?.[1]])).toEqual([
      ['h', 2, '18:00', 1, '20:00'],
      ['p', 1, '08:30', 2, '20:00'],
      [BUILD, 0, '08:30', 2, '20:00'],
      ['v', -35, '08:30', 2, '20:00'],
    ]);
    expect(buildingOf(of).map((s) => s.id)).toEqual(['h', 'p', BUILD]);
    expect(afterwardsOf(of).map((s) => s.id)).toEqual(['v']);
  });

  it('of the build day come before the water, whatever their hour: nothing is built after it', () => {
    const late = { ...planting, day: '2027-01-14', start: '15:00' };
    expect(buildingOf(brief([late])).map((s) => s.id)).toEqual(['p', BUILD]);
    expect(afterwardsOf(brief([late]))).toEqual([]);
  });

  it('take each the work of their sort, the first that is far enough', () => {
    const home = (of: Parameters<typeof homeOf>[0], ...keys: string[]) =>
      keys.map((key) => homeOf(of, key).id);
    const tasks = ['strip', 'stones', 'plant-x', 'epiphytes', 'fill', 'photograph'];
    expect(home(brief(), ...tasks)).toEqual(tasks.map(() => BUILD));
    expect(home(brief([hardscape]), ...tasks)).toEqual(['h', 'h', BUILD, BUILD, BUILD, BUILD]);
    expect(home(brief([planting]), ...tasks)).toEqual(['p', 'p', 'p', 'p', BUILD, BUILD]);
    expect(home(brief([hardscape, planting]), ...tasks)).toEqual(['h', 'h', 'p', 'p', BUILD, BUILD]);
    // A visit takes nothing by itself, a trial no more than it tries.
    const trial = { id: 't', kind: 'trial' as const, day: '2027-01-10' };
    expect(home(brief([trial, hardscape, visit]), 'trial', 'strip', 'stones', 'fill')).toEqual([
      't',
      't',
      'h',
      BUILD,
    ]);
    // Sand that is only looked at lies when the plants do; through all the water they are set when it is in.
    expect(homeOf(brief([hardscape, planting]), 'sand', true).id).toBe('p');
    expect(homeOf(brief([planting], { schools: { moisture: 'flooded' } }), 'plant-x').id).toBe(BUILD);
  });

  it('have what somebody said to belong to them before what their kind takes', () => {
    const said = brief([{ ...hardscape, tasks: ['plant-x'] }, planting, { ...visit, tasks: ['epiphytes'] }], { buildTasks: ['wood'] }); // prettier-ignore
    expect(['plant-x', 'plant-y', 'epiphytes', 'wood', 'stones'].map((key) => homeOf(said, key).id)).toEqual(['h', 'p', 'v', BUILD, 'h']); // prettier-ignore
  });
});

/** Any job, its work in any sittings: some days before the build, some after. */
const anySittings = fc.array(
  fc.record({ kind: fc.constantFrom('table', 'trial', 'hardscape', 'rebuild', 'planting', 'detail'), ahead: fc.oneof(fc.integer({ min: -30, max: 30 }), fc.integer({ min: -1, max: 1 })), crew: fc.integer({ min: 1, max: 3 }) }), // prettier-ignore
  { minLength: 1, maxLength: 4 },
);
/** The usual chain, and days at random: of the first there are always enough. */
const chain = fc.record({ hard: fc.integer({ min: 3, max: 30 }), plants: fc.integer({ min: 1, max: 2 }) }).map(({ hard, plants }) => [{ kind: 'hardscape' as const, ahead: hard, crew: 1 }, { kind: 'planting' as const, ahead: plants, crew: 2 }, { kind: 'detail' as const, ahead: -7, crew: 1 }]); // prettier-ignore
const jobs = fc.sample(fc.tuple(anyJob, fc.oneof(anySittings, chain)), { numRuns: Number(process.env.UTSUWA_SITTINGS ?? 60), seed: Number(process.env.UTSUWA_SEED ?? Date.now() % 1e9) }).map(([drawn, list]) => {
  const doc = jobDocument(drawn);
  const sittings = list.map(({ kind, ahead, crew }, i) => ({ id: `s${i}`, kind, crew, start: i % 2 ? '14:00' : '06:00', day: dayPlus(doc.brief.buildDay, -ahead) })); // prettier-ignore
  const inSittings = { ...doc, brief: { ...doc.brief, sittings } } as Commission;
  return { doc, inSittings, measured: survey(inSittings, { cellMm: 25 }) };
}); // prettier-ignore

describe('any work in any sittings', () => {
  it('has work on every kind of day', () => {
    const plans = jobs.map(({ inSittings, measured }) => buildPlan(resolved(inSittings, measured), measured));
    const some = (test: (ids: string[]) => boolean) => expect(plans.filter((p) => p.earlier.some((s) => test(s.tasks.map((t) => t.id)))).length).toBeGreaterThan(0); // prettier-ignore
    for (const id of ['soil', 'stones', 'leave', 'arrive']) some((ids) => ids.includes(id));
    some((ids) => ids.some((id) => id.startsWith('plant-')));
    expect(plans.filter((p) => p.visits.some((v) => v.sitting)).length).toBeGreaterThan(0);
  });

  it('share the work among them: nothing is done twice, nothing is left out', () => {
    for (const { inSittings, measured } of jobs) {
      const r = resolved(inSittings, measured);
      const whole = jobOf(r, measured);
      const parts = buildingOf(r).map((s) => jobIn(whole, s));
      const ids = (of: (j: typeof whole) => readonly unknown[]) => parts.flatMap(of);
      for (const of of [
        (j: typeof whole) => j.pours.map((p) => p.layer),
        (j: typeof whole) => setOf(j).map((p) => p.id),
        (j: typeof whole) => j.joints.map((x) => x.id),
        (j: typeof whole) => j.plantings.map((p) => p.id),
        (j: typeof whole) => j.pockets.map((p) => p.id),
        (j: typeof whole) => j.strewn.map((s) => s.strewn.id),
        (j: typeof whole) => j.washed.map((p) => p.id),
      ])
        expect(ids(of).sort()).toEqual([...of(whole)].sort());
    }
  });

  it('never put a task before what it needs, and pour, set and plant as much as in one day', () => {
    const sum = (plan: ReturnType<typeof buildPlan>, of: RegExp, unit: string) =>
      [...plan.earlier, plan].flatMap((s) => s.tasks).filter((t) => of.test(t.id)).flatMap((t) => t.workings).filter((w) => w.unit === unit).reduce((n, w) => n + w.value, 0); // prettier-ignore
    for (const { doc, inSittings, measured } of jobs) {
      // A trial that comes after what it is a trial of is said; nothing else is out of order by itself.
      const [one, many] = [buildPlan(resolved(doc, measured), measured), buildPlan(resolved(inSittings, measured), measured)]; // prettier-ignore
      expect(many.findings.filter((f) => f.id === 'sitting.needs').map((f) => inEnglish(f.says)).filter((says) => !/needs Trial/.test(says))).toEqual([]); // prettier-ignore
      expect(sum(many, /^(soil|gaps|sand|layer-.*|filler)$/, 'L')).toBeCloseTo(sum(one, /^(soil|gaps|sand|layer-.*|filler)$/, 'L'), 6); // prettier-ignore
      expect(sum(many, /^(plant-.*|epiphytes|floaters)/, 'plug')).toBe(sum(one, /^(plant-.*|epiphytes|floaters)/, 'plug')); // prettier-ignore
      expect(sum(many, /^rubble$/, 'kg') + sum(many, /^sprinkle$/, 'L')).toBeCloseTo(sum(one, /^rubble$/, 'kg') + sum(one, /^sprinkle$/, 'L'), 6); // prettier-ignore
      expect(sum(many, /^(stones|floor-stones|ware|wood)$/, 'kg')).toBeCloseTo(sum(one, /^(stones|floor-stones|ware|wood)$/, 'kg'), 6); // prettier-ignore
      const done = (plan: typeof one, id: string) => [...plan.earlier, plan].flatMap((s) => s.tasks).filter((t) => t.id === id).length; // prettier-ignore
      for (const id of ['protect', 'drain', 'strip', 'fill', 'start', 'equipment', 'clear-up'])
        expect(done(many, id), id).toBe(done(one, id));
      for (const s of [...many.earlier, many]) expect(s.tasks.every((t) => t.startMin >= 0 && t.endMin <= s.doneMin)).toBe(true); // prettier-ignore
    }
  });
});
