import type { Held } from '../beforehand/held';
import type { House } from '../catalogue/house';
import { roPerDayL } from '../water/roSchedule';
import { dayPlus, type Day } from '../calendar/day';

/** What the studio has of it. */
export interface Kit {
  tubs?: number;
  /** Places for the goods of a commission. */
  bays?: number;
  /** What the unit makes, L a day, and what its store holds, L. */
  ro?: { perDayL: number; storeL: number };
}

/** What there is one of for all commissions, as the studio says it. */
export function kitOf({ tubs, bays, roLitresPerHour, roStoreL = 0 }: Pick<House, 'tubs' | 'bays' | 'roLitresPerHour' | 'roStoreL'>): Kit {
  const ro = roLitresPerHour ? { perDayL: roPerDayL(roLitresPerHour), storeL: roStoreL } : undefined;
  return { ...(tubs === undefined ? {} : { tubs }), ...(bays === undefined ? {} : { bays }), ...(ro ? { ro } : {}) };
} // prettier-ignore

/** Work that holds something, from a day on. */
export interface Holding {
  title: string;
  day: Day;
  holds: Held;
}

/** More is held than there is: so many tubs or places; or RO water that cannot be made and kept by its day. */
export type KitClash =
  | { kind: 'tubs' | 'bays'; needs: number; has: number; titles: string[] }
  | { kind: 'ro'; litres: number; has: number; titles: string[] };

/**
 * Tubs and places on a day: more lots soak than there are tubs, more commissions have goods here than there are places.
 * Valid for lots that take whole tubs and commissions that take a place each. Leaves out: how large a place is.
 * Test: kit.test.ts, "has no more in tubs than there are tubs".
 */
export function standsOn(day: Day, all: readonly Holding[], kit: Pick<Kit, 'tubs' | 'bays'>): KitClash[] {
  return [...tooMany('tubs', 'tub', kit.tubs), ...tooMany('bays', 'bay', kit.bays)];

  function tooMany(kind: 'tubs' | 'bays', what: Held['what'], has: number | undefined): KitClash[] {
    if (has === undefined) return [];
    const own = all.filter((h) => h.holds.what === what && h.day <= day && day <= h.holds.until);
    const needs = own.reduce((n, h) => n + h.holds.amount, 0);
    return needs > has ? [{ kind, needs, has, titles: titlesOf(own) }] : [];
  }
}

/**
 * RO water by day: worked out backwards from the last day on which some is wanted, what has to stand in the store on the
 * evening before is what is wanted on the day and cannot be made on it. Where that is more than the store holds it cannot be
 * had, however early one begins.
 * Valid for a unit that runs day and night and a store that is full today. Leaves out: what care takes in the weeks after.
 * Test: kit.test.ts, "can be had on every day exactly where a run from day to day has it".
 *
 * @returns what is short, by the day on which it is wanted
 */
export function roShort(all: readonly Holding[], today: Day, ro: Kit['ro']): Map<Day, KitClash> {
  const found = new Map<Day, KitClash>();
  const wanted = all.filter((h) => h.holds.what === 'ro' && h.holds.until >= today);
  const last = wanted
    .map((h) => h.holds.until)
    .sort()
    .at(-1);
  if (!ro || last === undefined) return found;
  let stands = 0;
  for (let day = last; day >= today; day = dayPlus(day, -1)) {
    const own = wanted.filter((h) => h.holds.until === day);
    const litres = own.reduce((n, h) => n + h.holds.amount, stands);
    stands = Math.max(0, litres - ro.perDayL);
    if (stands <= ro.storeL) continue;
    found.set(day, { kind: 'ro', litres, has: ro.perDayL + ro.storeL, titles: titlesOf(own) });
    // What cannot be had is said once: the days before have enough to do with what can.
    stands = ro.storeL;
  }
  return found;
}

const titlesOf = (own: readonly Holding[]) => [...new Set(own.map((h) => h.title))];
