/** Where the warmth of a device goes: all of it into the water, from above by day, or elsewhere. */
export const WARMS = ['water', 'above', 'elsewhere'] as const;
export type Warms = (typeof WARMS)[number];

export interface Warming {
  name: string;
  watts: number;
  /** As it was said; by the device's name otherwise. */
  warms?: Warms;
}

/** Share of a light's power that reaches the water below it, and hours a day it is on (common practice). */
export const LIGHT_INTO_WATER = 0.4;
export const LIGHT_HOURS = 8;

const IN_WATER = /pump|filter|skimmer|circulat/i;
const ABOVE = /light|lamp|\bled/i;

/**
 * Where a device's warmth goes when nobody said. What moves water gives it all its power; a heater brings
 * only what is missing, and is therefore not counted.
 */
export function warmsOf({ name, warms }: Warming): Warms {
  if (warms) return warms;
  if (IN_WATER.test(name)) return 'water';
  return ABOVE.test(name) ? 'above' : 'elsewhere';
}

/**
 * What devices bring into the water on the average of a day, W: a pump's 10 W are 10, a light's 60 W are 8.
 * Valid for averages over a day. Leaves out: the hours between, when the water swings about the average.
 * Test: site.test.ts, "gets all of a pump, a seventh of a light over a day, and nothing of a kettle on the same
 * circuit".
 */
export function intoWaterW(devices: readonly Warming[]): number {
  const share = { water: 1, above: (LIGHT_INTO_WATER * LIGHT_HOURS) / 24, elsewhere: 0 };
  return devices.reduce((sum, device) => sum + device.watts * share[warmsOf(device)], 0);
}
