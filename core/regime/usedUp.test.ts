import { describe, expect, it } from 'vitest';
import { survey } from '../survey/survey';
import { parsed, scape } from '../testing/scape';
import { ALL, carpet, fish, found, job, line } from '../testing/job';
import { amountOf, lastsWeeks, usedUp, type UsedUp } from './usedUp';
import { resolved } from '../testing/resolved';

const used = (days: Record<number, number>): UsedUp => {
  const row = new Float64Array(57);
  for (const [day, amount] of Object.entries(days)) row[Number(day)] = amount;
  return { kind: 'conditioner', unit: 'mL', days: row, isClients: false };
};
const weekly = Object.fromEntries(Array.from({ length: 8 }, (_, i) => [(i + 1) * 7, 20]));

describe('what is used up', () => {
  it('lasts on as in the last four weeks: 500 mL of which 40 go at once and 20 each week last 23 weeks', () => {
    expect(lastsWeeks(used({ 0: 40, ...weekly }), 500)).toBe(23);
    expect(lastsWeeks(used({ 0: 40, ...weekly }), 100)).toBe(4);
    // Bacteria are dosed in the first week alone: what is left of them lasts for nothing.
    expect(lastsWeeks(used({ 0: 40, 1: 20 }), 500)).toBeUndefined();
  });

  it('is conditioner for fill and changes, food by its doses, a reading a day of test', () => {
    const commission = parsed({ ...scape({ option: { plants: [carpet] } }) });
    const s = survey(commission);
    const by = new Map(usedUp(resolved(commission, s), s).map((u) => [u.kind, u]));
    // 25 mL for 100 L, as usual: the fill, then 19 changes of half of the free water.
    const fillL = s.freeWaterL + s.poreWaterL;
    expect(by.get('conditioner')!.days[0]).toBeCloseTo(0.25 * fillL, 9);
    expect(amountOf(by.get('conditioner')!)).toBeCloseTo(0.25 * (fillL + 19 * 0.5 * s.freeWaterL), 9);
    // One small dose after each change from week 3 on, 10 mL for 100 L: of the 19 the nine from day 16 on.
    expect(amountOf(by.get('plant-food')!)).toBeCloseTo(9 * 0.1 * s.freeWaterL, 9);
    // One a week, and one just before shrimps and fish may come.
    expect(amountOf(by.get('test')!)).toBe(10);
    expect([...by.keys()]).toEqual(['conditioner', 'plant-food', 'test']);
  });

  it('has minerals where the recipe adds some, for RO water every time', () => {
    const site = { tap: { gh: 2, kh: 1 }, target: { gh: 6, kh: 3 }, ro: { litresPerHour: 6, storageL: 100 } };
    const p = job({ site });
    const gypsum = p.care.supplies.find((u) => u.kind === 'gypsum')!;
    // 100 L by one degree take 3.07 g (DIN 38409-6 degrees; molar masses by IUPAC): four degrees in fill and 19 changes.
    const litres = p.survey.freeWaterL + p.survey.poreWaterL + 19 * 0.5 * p.survey.freeWaterL;
    expect(gypsum.value).toBeCloseTo((3.07 * 4 * litres) / 100, 0);
    expect(line(p, 'gypsum')!.needed.value).toBe(gypsum.value);
    expect(line(p, 'bicarbonate')!.needed.value).toBeGreaterThan(0);
  });

  it('is not bought where the client has it, nor tests where a kit is listed', () => {
    const care = { clientHas: ['conditioner', 'plant-food'] };
    const site = { devices: [{ id: 'kit', kind: 'test-kit', name: 'Kit', watts: 0 }] };
    const p = job({ brief: { care }, option: { plants: [carpet] }, site });
    expect(p.takeOff.lines.map((l) => l.id)).not.toContain('conditioner');
    expect(p.takeOff.lines.map((l) => l.id)).not.toContain('plant-food');
    expect(p.takeOff.lines.map((l) => l.id)).not.toContain('test');
    expect(p.care.supplies.map((u) => [u.kind, u.isClients])).toEqual([['conditioner', true], ['plant-food', true], ['test', false]]); // prettier-ignore
  });

  it('has bacteria on as many days as the rule: after each change of two weeks with fish in from the first day', () => {
    const p = job({ brief: { schools: { water: 'fish-in' }, livestock: [{ ...fish, present: false }] } });
    const days = p.care.weeks
      .flatMap((w) => w.days)
      .filter((d) => d.events.some((e) => e.startsWith('bacteria')));
    expect(days.map((d) => d.afterDays)).toEqual(Array.from({ length: 14 }, (_, i) => i + 1));
    expect(line(p, 'bacteria')!.needed.value).toBeCloseTo(14 * 0.1 * p.survey.freeWaterL, 9);
  });
});

describe('weekly changes', () => {
  const rule = (brief: object) => job({ brief: { schools: brief }, option: { plants: [carpet] } }).care.water;

  it('go on for eight weeks where that is chosen, with any dosing, or where a daily dose rests on them', () => {
    expect(rule({ water: 'every-week', dosing: 'lean' }).rule).toBe('50 % every week');
    expect(rule({ water: 'weekly', dosing: 'excess' }).rule).toBe('50 % every week');
    expect(rule({ water: 'weekly', dosing: 'lean' }).rule).toMatch(/then fortnightly/);
  });
});

describe('who lives in it already', () => {
  const brief = (rest: object) => ({
    rescape: { stays: ALL, filterKept: true },
    livestock: [{ ...fish, count: 2 }],
    ...rest,
  });

  it('is not told to be bought or stocked later, whatever is found of it', () => {
    const p = job({ brief: brief({}), option: { plants: [carpet] } });
    const [group] = found(p, 'livestock.group');
    expect(group.because).toMatch(/find them company, or a home/);
    const coming = job({ brief: { livestock: [{ ...fish, count: 2, present: false }] } });
    expect(found(coming, 'livestock.group')[0].because).toMatch(/Take more of them/);
  });

  it('keeps the light that it had where all of its tank stays; a young tank begins with half', () => {
    const output = (b: object) => job({ brief: b }).care.weeks.map((w) => [w.hours, w.outputShare]);
    expect(new Set(output(brief({})).map(String))).toEqual(new Set(['8,1']));
    expect(output({})[0]).toEqual([7, 0.5]);
  });

  it('is read for each day of the first week where fish are in from the first day, and nothing is waited for', () => {
    const p = job({ brief: { schools: { water: 'fish-in' }, livestock: [{ ...fish, present: false }] } });
    const tests = p.care.weeks.flatMap((w) => w.days).filter((d) => d.test).map((d) => d.afterDays); // prettier-ignore
    expect(tests.slice(0, 7)).toEqual([1, 2, 3, 4, 5, 6, 7]);
    expect(p.care.stock!.says).not.toMatch(/twice in a row/);
  });
});
