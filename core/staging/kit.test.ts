import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayPlus } from '../calendar/day';
import { kitOf, roShort, standsOn, type Holding } from './kit';

const TODAY = '2027-01-04';
const tub = (title: string, from: number, until: number): Holding => ({ title, day: dayPlus(TODAY, from), holds: { what: 'tub', until: dayPlus(TODAY, until), amount: 1 } }); // prettier-ignore
const ro = (title: string, until: number, amount: number): Holding => ({ title, day: TODAY, holds: { what: 'ro', until: dayPlus(TODAY, until), amount } }); // prettier-ignore

describe('what a studio has one of', () => {
  it('has no more in tubs than there are tubs', () => {
    const all = [tub('a', -9, 3), tub('b', 0, 10), tub('c', 4, 12)];
    const on = (n: number, has?: number) => standsOn(dayPlus(TODAY, n), all, { tubs: has });
    expect(on(2, 1)).toEqual([{ kind: 'tubs', needs: 2, has: 1, titles: ['a', 'b'] }]);
    // One goes out on the evening of the third, the next comes in on the fourth.
    expect([on(3, 2), on(4, 2), on(11, 1), on(13, 0), on(2)]).toEqual([[], [], [], [], []]);
    expect(on(5, 1)).toMatchObject([{ titles: ['b', 'c'] }]);
  });

  it('has places for the goods of so many commissions, told apart from what soaks', () => {
    const goods = (title: string, from: number, until: number): Holding => ({ title, day: dayPlus(TODAY, from), holds: { what: 'bay', until: dayPlus(TODAY, until), amount: 1 } }); // prettier-ignore
    const all = [goods('a', 0, 5), goods('b', 5, 9), tub('c', 0, 9)];
    const on = (n: number, bays: number) => standsOn(dayPlus(TODAY, n), all, { bays, tubs: 1 });
    expect(on(5, 1)).toEqual([{ kind: 'bays', needs: 2, has: 1, titles: ['a', 'b'] }]);
    expect([on(4, 1), on(6, 1), on(5, 2)]).toEqual([[], [], []]);
  });

  it('makes what is wanted in time, or says what is short on the day it is wanted', () => {
    const unit = { perDayL: 100, storeL: 150 };
    expect(roShort([ro('a', 6, 250)], TODAY, unit).size).toBe(0);
    // 100 on the day and 150 in the store: ten litres are missing.
    expect([...roShort([ro('a', 6, 260)], TODAY, unit)]).toEqual([
      [dayPlus(TODAY, 6), { kind: 'ro', litres: 260, has: 250, titles: ['a'] }],
    ]);
    // Two days after each other share the store: 250 on the first leaves the second its own hundred.
    expect([...roShort([ro('a', 6, 240), ro('b', 7, 120)], TODAY, unit).keys()]).toEqual([dayPlus(TODAY, 6)]);
    expect([...roShort([ro('a', 6, 240), ro('b', 8, 120)], TODAY, unit).keys()]).toEqual([]);
    expect(roShort([ro('a', 6, 999)], TODAY, undefined).size).toBe(0);
  });

  it('is what the studio says: a unit of 4 L an hour makes 96 L a day', () => {
    expect(kitOf({ tubs: 0, roLitresPerHour: 4 })).toEqual({ tubs: 0, ro: { perDayL: 96, storeL: 0 } });
    expect(kitOf({ roStoreL: 200, bays: 3 })).toEqual({ bays: 3 });
  });

  it('can be had on every day exactly where a run from day to day has it', () => {
    const jobs = fc.array(fc.record({ until: fc.integer({ min: 0, max: 20 }), litres: fc.integer({ min: 1, max: 400 }) }), { maxLength: 8 }); // prettier-ignore
    fc.assert(
      fc.property(jobs, fc.integer({ min: 10, max: 200 }), fc.integer({ min: 0, max: 300 }), (list, perDayL, storeL) => {
        const short = roShort(list.map((j, i) => ro(`j${i}`, j.until, j.litres)), TODAY, { perDayL, storeL });
        let [stands, isHad] = [storeL, true];
        for (let n = 0; n <= 20; n++) {
          const wanted = list.filter((j) => j.until === n).reduce((sum, j) => sum + j.litres, 0);
          if (stands + perDayL < wanted) isHad = false;
          stands = Math.min(storeL, Math.max(0, stands + perDayL - wanted));
        }
        expect(short.size === 0).toBe(isHad);
        for (const [day, clash] of short) expect(list.some((j) => dayPlus(TODAY, j.until) === day) && clash.kind === 'ro').toBe(true);
      }),
    );
  }); // prettier-ignore
});
