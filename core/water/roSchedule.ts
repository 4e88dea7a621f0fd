/** RO water asked for on a day, counted from the build day (0 is the first fill). */
export interface RoDemand {
  afterDays: number;
  litres: number;
}

export interface RoDay extends RoDemand {
  /** What stood in the store that morning, and what was missing when it was wanted. */
  storedL: number;
  shortL: number;
  /** Hours the unit runs for it. */
  hours: number;
}

export interface RoSchedule {
  perDayL: number;
  /** Hours the unit runs for the first fill, from an empty store. */
  hoursBeforeFill: number;
  days: RoDay[];
  /** Least store with which, full before the fill, no change would wait. */
  storeNeededL: number;
}

/** Hours a day that a unit with a float valve runs by itself. */
const RUNNING_HOURS = 24;
/** What a unit makes in a day, L. */
export const roPerDayL = (litresPerHour: number) => litresPerHour * RUNNING_HOURS;

/**
 * How a reverse-osmosis unit keeps up with a school of water change. The first fill is made ahead, over as
 * many days as it takes, and leaves the store empty. A change is mixed in a tub of its own, which takes what
 * the unit makes for it; the store holds what is made beyond that. A change that finds too little takes what
 * there is, and waits for the rest.
 * Valid for a unit that makes the same every hour. Leaves out: slower work of cold water and an old membrane.
 * Test: water.test.ts, "falls behind when a day asks for more than a day makes".
 */
export function roSchedule(
  demands: readonly RoDemand[],
  litresPerHour: number,
  storageL: number,
): RoSchedule {
  const perDayL = roPerDayL(litresPerHour);
  const fill = demands.find((d) => d.afterDays === 0)?.litres ?? 0;
  const days: RoDay[] = [];
  let stored = 0;
  let last = 0;
  let owed = 0;
  let deepest = 0;
  for (const demand of [...demands].sort((a, b) => a.afterDays - b.afterDays)) {
    if (demand.afterDays === 0 || demand.litres <= 0) continue;
    const made = (demand.afterDays - last) * perDayL;
    last = demand.afterDays;
    // Tub or store, whichever is larger: a tub holds its change.
    stored = Math.min(Math.max(storageL, demand.litres), stored + made);
    const shortL = Math.max(0, demand.litres - stored);
    days.push({ ...demand, storedL: stored, shortL, hours: demand.litres / litresPerHour });
    stored = Math.min(storageL, Math.max(0, stored - demand.litres));
    owed = Math.max(0, owed + demand.litres - made);
    deepest = Math.max(deepest, owed);
  }
  return { perDayL, hoursBeforeFill: fill / litresPerHour, days, storeNeededL: deepest };
}
