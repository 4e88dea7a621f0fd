import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayPlus } from '../calendar/day';
import { glanceOf } from '../pipeline/glance';
import type { WeekDue } from './sorts';
import { plan } from '../pipeline/plan';
import { parsed, scape, soil } from '../testing/scape';
import { weekOf, type Dated } from './week';

const TODAY = '2027-01-04';
const build = (day: string, fromMin: number, toMin: number, names: string[], count = names.length): WeekDue => ({
  sort: 'build', day, what: 'Build', hands: { fromMin, toMin, count, names },
}); // prettier-ignore
const at = (id: string, ...dues: WeekDue[]): Dated => ({ id, title: `Job ${id}`, dues });
const clashes = (all: Dated[], people?: number) => weekOf(all, TODAY, TODAY, people === undefined ? {} : { people }).days.flatMap((d) => d.clashes); // prettier-ignore

describe('a week over all commissions', () => {
  it('has everything due on its day, once, and what is late above it', () => {
    const due = fc.record({
      sort: fc.constantFrom('order' as const, 'build' as const, 'ready' as const),
      ahead: fc.integer({ min: -10, max: 27 }),
      waits: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(fc.array(due, { maxLength: 6 }), { maxLength: 5 }), (jobs) => {
        const all = jobs.map((dues, i): Dated =>
          at(`j${i}`, ...dues.map(({ ahead, ...d }, n): WeekDue => ({ ...d, day: dayPlus(TODAY, ahead), what: `${n}` }))),
        );
        const weeks = [0, 7, 14, 21].map((n) => weekOf(all, dayPlus(TODAY, n), TODAY));
        const seen = weeks.flatMap((w) => w.days.flatMap((d) => d.items));
        const wanted = all.flatMap((j) => j.dues.map((d) => ({ ...d, id: j.id, title: j.title })));
        expect(seen.length).toBe(wanted.filter((d) => d.day >= TODAY && d.day < dayPlus(TODAY, 28)).length);
        expect(weeks[0].late.length).toBe(wanted.filter((d) => d.waits && d.day < TODAY).length);
        for (const d of weeks.flatMap((w) => w.days)) expect(d.items.every((i) => i.day === d.day)).toBe(true);
      }),
      { numRuns: 60 },
    ); // prettier-ignore
  });

  it('says one person in two places at an hour, not one after the other', () => {
    const morning = build(TODAY, 510, 720, ['Ines', 'Tom']);
    expect(clashes([at('a', morning), at('b', build(TODAY, 660, 900, ['Ines']))])).toEqual([{ kind: 'person', who: 'Ines', titles: ['Job a', 'Job b'] }]); // prettier-ignore
    expect(clashes([at('a', morning), at('b', build(TODAY, 720, 900, ['Ines']))])).toEqual([]);
    expect(clashes([at('a', morning), at('b', build(dayPlus(TODAY, 1), 660, 900, ['Ines']))])).toEqual([]);
    // Two things of one commission are one crew's day.
    expect(clashes([at('a', morning, build(TODAY, 600, 700, ['Ines']))])).toEqual([]);
  });

  it('says more hands than there are at the worst moment, whoever they are', () => {
    const two = [at('a', build(TODAY, 480, 700, [], 2)), at('b', build(TODAY, 600, 900, [], 2))];
    expect(clashes(two, 3)).toEqual([{ kind: 'hands', needs: 4, has: 3, titles: ['Job a', 'Job b'] }]);
    expect([clashes(two, 4), clashes(two)]).toEqual([[], []]);
    // More than there are in one commission is that commission's own finding.
    expect(clashes([two[0]], 1)).toEqual([]);
  });

  it('is made of what a plan has due: orders, deliveries, what is readied, the build with its hours', () => {
    const s = scape({ option: { bed: [soil({ kind: 'level', mm: 60 })] } });
    const c = parsed({ ...s, brief: { ...s.brief, crewNames: ['Ines', 'Tom'] } });
    const p = plan(c, { today: TODAY });
    const { dues } = glanceOf(c, p, TODAY);
    const own = dues.find((d) => d.sort === 'build')!;
    expect(own).toMatchObject({
      day: '2027-01-14',
      hands: { fromMin: 510, count: 2, names: ['Ines', 'Tom'] },
    });
    expect(own.hands!.toMin).toBe(510 + p.build.doneMin);
    expect(dues.find((d) => d.sort === 'order')).toMatchObject({ waits: true });
    // An order that should have gone out stays, the build day itself does not.
    expect(glanceOf(c, plan(c, { today: '2027-01-13' }), '2027-01-13').dues.map((d) => d.sort)).toEqual(expect.arrayContaining(['order', 'build'])); // prettier-ignore
    expect(glanceOf(c, plan(c, { today: '2027-01-15' }), '2027-01-15').dues).toEqual([]);
  });

  it('says what soaks at once, on the first day of it, and what RO water cannot be made in time', () => {
    const soak = (from: number, until: number): WeekDue => ({ sort: 'ready', day: dayPlus(TODAY, from), what: 'Soak', holds: { what: 'tub', until: dayPlus(TODAY, until), amount: 1 } }); // prettier-ignore
    const water: WeekDue = { sort: 'ready', day: dayPlus(TODAY, 3), what: 'RO', holds: { what: 'ro', until: dayPlus(TODAY, 5), amount: 400 } }; // prettier-ignore
    const has = { tubs: 1, ro: { perDayL: 96, storeL: 200 } };
    const { days } = weekOf([at('a', soak(-12, 3), water), at('b', soak(1, 9))], TODAY, TODAY, has);
    expect(days.map((d) => d.clashes.map((c) => c.kind))).toEqual([[], ['tubs'], [], [], [], ['ro'], []]);
    expect(days[1].clashes).toEqual([{ kind: 'tubs', needs: 2, has: 1, titles: ['Job a', 'Job b'] }]);
    // Goods of two stand in the one place from the second day on, which is said then, whatever it is that holds them.
    const built = (from: number, on: number): WeekDue => ({ sort: 'build', day: dayPlus(TODAY, on), what: 'Build', holds: { what: 'bay', from: dayPlus(TODAY, from), until: dayPlus(TODAY, on), amount: 1 } }); // prettier-ignore
    const goods = weekOf([at('a', built(-5, 3)), at('b', built(1, 20))], TODAY, TODAY, { bays: 1 });
    expect(goods.days.map((d) => d.clashes.map((c) => c.kind))).toEqual([[], ['bays'], [], [], [], [], []]);
    expect(days[5].clashes).toEqual([{ kind: 'ro', litres: 400, has: 296, titles: ['Job a'] }]);
  });
});
