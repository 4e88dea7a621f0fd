import { describe, expect, it } from 'vitest';
import { spoken } from '../words/english';
import { WATER_SCHOOLS, type WaterSchool } from '../commission/schema';
import { survey } from '../survey/survey';
import { example } from '../testing/scape';
import { carePlan } from './carePlan';
import { dosesOf } from '../regime/dosing';
import { plantedPlan } from '../planted/planted';
import { remainingShare, SCHOOLS } from '../regime/waterSchools';
import { resolved } from '../testing/resolved';

const cared = (water: WaterSchool, change: (c: ReturnType<typeof example>) => void = () => {}) => {
  const commission = structuredClone(example('held-root'));
  commission.brief.schools = { ...commission.brief.schools, water };
  change(commission);
  const s = survey(commission);
  return {
    care: spoken(carePlan(resolved(commission, s), s, plantedPlan(resolved(commission, s), s).parts)),
    s,
  };
};
const days = (school: WaterSchool) => SCHOOLS[school].changes().map((c) => c.afterDays);
const inWeek = (school: WaterSchool, week: number) =>
  days(school).filter((d) => Math.ceil(d / 7) === week).length;

describe('schools of water change (common practice)', () => {
  it('taper: daily, every second, every third, twice a week for two weeks, then weekly', () => {
    expect(days('taper').slice(0, 13)).toEqual([1, 2, 3, 4, 5, 6, 7, 9, 11, 13, 16, 19, 24]);
    expect([1, 2, 3, 4, 5, 6, 7, 8].map((w) => inWeek('taper', w))).toEqual([7, 3, 2, 2, 2, 1, 1, 1]);
  });

  it('the other four', () => {
    expect(inWeek('large-ro', 1)).toBe(7);
    expect(SCHOOLS['large-ro'].changes()[0].share).toBe(0.35);
    expect(days('weekly')).toEqual([7, 14, 21, 28, 42, 56]);
    expect([1, 2, 8].map((w) => inWeek('light', w))).toEqual([2, 2, 2]);
    expect(SCHOOLS['fish-in'].changes()[0]).toEqual({ afterDays: 1, share: 0.75 });
    expect(inWeek('fish-in', 1)).toBe(7);
  });

  it('leaves 3.1 % after five changes of 50 %, 8.2 % after seven of 30 %', () => {
    expect(remainingShare([0.5, 0.5, 0.5, 0.5, 0.5]) * 100).toBeCloseTo(3.1, 1);
    expect(remainingShare(Array<number>(7).fill(0.3)) * 100).toBeCloseTo(8.2, 1);
  });
});

describe('care plan', () => {
  it('changes the surveyed free water, on dates after the build day, for every school', () => {
    for (const school of WATER_SCHOOLS) {
      const { care, s } = cared(school);
      const changes = care.weeks.flatMap((w) => w.days).filter((d) => d.change);
      expect(changes.map((d) => d.afterDays)).toEqual(days(school));
      expect(changes[0].change!.litres).toBeCloseTo(changes[0].change!.share * s.freeWaterL, 9);
    }
    expect(cared('taper').care.weeks[0].days[0]).toMatchObject({ day: '2027-01-15', afterDays: 1 });
  });

  it('never lights more than 8 h, starts at 7, at 6 beside a window, and reaches full output in week 5', () => {
    const light = cared('taper').care.weeks;
    expect(light.map((w) => w.hours)).toEqual([7, 7, 7, 7, 8, 8, 8, 8]);
    expect(light.map((w) => w.outputShare)).toEqual([0.5, 0.6, 0.75, 0.9, 1, 1, 1, 1]);
    const window = cared('taper', (c) => (c.brief.daylight = 'window')).care;
    expect(window.weeks.map((w) => w.hours)).toEqual([6, 6, 6, 6, 7, 7, 7, 7]);
    expect(window.light).toEqual({ on: '12:00', off: '18:00', co2On: '11:00' });
  });

  it('tests once a week, on a day without a change where there is one, and just before animals come', () => {
    const { care } = cared('taper');
    const tested = care.weeks.map((week) => week.days.filter((d) => d.test).map((d) => d.afterDays));
    // Shrimps may come on day 14: a reading of day 8 is too old by then, day 13 has a change; fish on day 21.
    expect(tested[1]).toEqual([8, 12]);
    expect(tested[2].at(-1)).toBeGreaterThanOrEqual(18);
    expect(tested.map((days) => days.length)).toEqual([1, 2, 2, 1, 1, 1, 1, 1]);
    for (const week of care.weeks.slice(1)) expect(week.days.find((d) => d.test)!.change).toBeUndefined();
  });

  it('lets shrimps in after two weeks, fish after three or more and two tests', () => {
    const { care } = cared('taper');
    expect(care.stock!.shrimpsFrom).toBe('2027-01-28');
    expect(care.stock!.fishFrom! >= '2027-02-04').toBe(true);
    const tests = care.weeks
      .flatMap((w) => w.days)
      .filter((d) => d.test && d.afterDays > 7 && d.day < care.stock!.fishFrom!);
    expect(tests.length).toBeGreaterThanOrEqual(2);
    expect(cared('fish-in').care.stock!.fishFrom).toBe('2027-01-14');
  });

  it('doses by school', () => {
    const changes = SCHOOLS.taper.changes();
    const total = (school: Parameters<typeof dosesOf>[0], from: number, to: number) =>
      dosesOf(school, changes, 56)
        .filter((d) => d.afterDays >= from && d.afterDays <= to)
        .reduce((sum, d) => sum + d.doses, 0);
    expect([total('ramp', 1, 7), total('ramp', 8, 14), total('ramp', 29, 35), total('ramp', 50, 56)]).toEqual(
      [7, 14, 35, 35],
    );
    expect(total('excess', 1, 56)).toBe(56);
    expect([total('lean', 1, 14), total('lean', 15, 21)]).toEqual([0, 2]);
    expect([total('none', 1, 28), total('none', 29, 35)]).toEqual([0, 2]);
  });

  it('feeds nothing where nothing is planted', () => {
    const { care } = cared('taper', (c) => (c.options[0].plants = []));
    expect(care.weeks.flatMap((w) => w.days).some((d) => d.doses > 0)).toBe(false);
    expect(care.dosing.rule).toBe('none: nothing is planted');
    expect(
      care.weeks.flatMap((w) => w.upkeep).filter((u) => u.what === 'plant food' && u.minutes > 0),
    ).toEqual([]);
  });

  it('trims by habit, replants gaps while there are any, and says when it has closed', () => {
    const of = (spacingMm: number) => {
      const { care } = cared('taper', (c) => {
        c.catalogue.plants[0].habit = 'carpet';
        c.options[0].plants[0].spacingMm = spacingMm;
      });
      const days = care.weeks.flatMap((w) => w.days).flatMap((d) => d.events.map((e) => [d.afterDays, String(e)] as const)); // prettier-ignore
      const on = (words: RegExp) =>
        [...days, ...care.later.map((l) => [l.afterDays, String(l.what)] as const)]
          .filter(([, e]) => words.test(e))
          .map(([d]) => d);
      return [on(/first trim/), on(/replant gaps/), on(/closed by about now/)];
    };
    const [trims, gaps, closed] = of(40);
    expect([trims, gaps]).toEqual([[35], [30]]);
    expect(closed[0]).toBeGreaterThan(30);
    // Set densely it has closed before anybody looks for gaps.
    const dense = of(15);
    expect(dense[1]).toEqual([]);
    expect(dense[2][0]).toBeLessThan(30);
  });

  it('finds more minutes asked than promised', () => {
    expect(cared('taper').care.findings).toEqual([]);
    expect(cared('taper').care.weeks[0].overMin).toBe(0);
    const { findings, weeks } = cared('taper', (c) => (c.brief.minutesAWeek = 30)).care;
    const [found] = findings;
    expect(Math.max(...weeks.map((w) => w.overMin))).toBe(found.measured! - 30);
    expect(found).toMatchObject({ id: 'care.minutes', limit: 30, unit: 'min' });
    expect(found.measured).toBeGreaterThan(30);
  });
});
