import { describe, expect, it } from 'vitest';
import { dayPlus } from '../calendar/day';
import { job, type Part } from '../testing/job';
import { parsed, scape, soil } from '../testing/scape';
import { plan } from '../pipeline/plan';
import { spoken } from '../words/english';
import { nitrogenRead } from '../regime/nitrogen';

const DAY = '2027-01-14';
const wanted = [{ species: 'nematobrycon-palmeri', count: 8 }];
/** Readings by days after the build: ammonia and nitrite, mg/L. */
const log = (...rows: [after: number, ammoniaMgL: number, nitriteMgL: number][]) =>
  rows.map(([after, ammoniaMgL, nitriteMgL], i) => ({
    id: `r${i}`,
    date: dayPlus(DAY, after),
    text: '',
    reading: { ammoniaMgL, nitriteMgL },
  }));
const read = (rows: ReturnType<typeof log>, brief: Part['brief'] = { livestock: wanted }) => {
  const s = structuredClone(scape()) as any;
  s.options[0].bed = [soil({ kind: 'level', mm: 60 })];
  const doc = parsed({ ...s, brief: { ...s.brief, buildDay: DAY, ...brief }, log: rows });
  return spoken(plan(doc, { today: '2026-12-01' }));
};

describe('a reading in the log', () => {
  it('counts only when it has both, since the build, and in the order of days', () => {
    const rows = [...log([9, 0, 0], [2, 0.5, 0.1], [-3, 0, 0], [16, 0, 0.02]), { id: 'n', date: DAY, text: 'x', reading: { ph: 6.8 } }]; // prettier-ignore
    expect(nitrogenRead({ brief: { buildDay: DAY } as never, log: rows })).toEqual({
      last: { day: '2027-01-30', ammoniaMgL: 0, nitriteMgL: 0.02 },
      zeros: ['2027-01-23', '2027-01-30'],
    });
  });

  it('that is not zero puts animals off by two tests, and says so; two that are let them come', () => {
    const usual = read([]).care.stock!;
    expect(usual.says).toMatch(/only after ammonia and nitrite have read zero twice in a row/);
    const bad = read(log([20, 0.5, 0.25]));
    // Tests after that day, one a week: the day after the second of them.
    const tests = bad.care.weeks.flatMap((w) => w.days).filter((d) => d.test && d.afterDays > 20);
    expect(bad.care.stock!.fishFrom).toBe(dayPlus(tests[1].day, 1));
    expect(bad.care.stock!.fishFrom! > usual.fishFrom!).toBe(true);
    expect(bad.findings.find((f) => f.id === 'care.reading')).toMatchObject({
      severity: 'warn',
      measured: 0.5,
      unit: 'mg/L',
      says: 'Ammonia 0.5 mg/L and nitrite 0.25 mg/L on 3 Feb 2027.',
    });
    const good = read(log([20, 0.5, 0.25], [24, 0, 0], [30, 0, 0]));
    expect(good.care.stock).toMatchObject({ fishFrom: usual.fishFrom });
    expect(good.care.stock!.says).toMatch(/read zero on 7 Feb 2027 and on 13 Feb 2027/);
    expect(good.findings.filter((f) => f.id === 'care.reading')).toEqual([]);
  });

  it('asks for one zero on a mature filter, and for the day after the last test where none is left', () => {
    const brief = { livestock: wanted, filter: { state: 'mature' } };
    expect(read(log([1, 0, 0]), brief).care.stock!.says).toMatch(/read zero on 15 Jan 2027$/);
    expect(read(log([60, 1, 0]), brief).care.stock!.fishFrom).toBe(dayPlus(DAY, 75));
  });

  it('of 1 mg/L stops the job where animals live in it, and less is watched', () => {
    const lived = { livestock: [{ ...wanted[0], present: true }], rescape: { stays: [], filterKept: true } };
    const at = (mg: number) => read(log([1, mg, 0]), lived).findings.find((f) => f.id === 'care.reading');
    expect(at(1.5)).toMatchObject({ severity: 'stop', because: expect.stringMatching(/^Act at once/) });
    expect(at(0.25)).toMatchObject({ severity: 'warn', because: expect.stringMatching(/^Test again on 16 Jan 2027/) }); // prettier-ignore
    expect(at(0)).toBeUndefined();
    expect(job({ brief: lived }).care.stock).toBeUndefined();
  });
});
