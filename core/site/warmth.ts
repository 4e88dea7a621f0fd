/** Where the warmth of a device goes: all of it into the water, from above by day, or elsewhere. */
export const WARMS = ['water', 'above', 'elsewhere'] as const;
export type Warms = (typeof WARMS)[number];

export interface Warming {
  watts: number;
  warms: Warms;
}

/** Share of a light's power that reaches the water below it (common practice). */
export const LIGHT_INTO_WATER = 0.4;

/**
 * What devices bring into the water on the average of a day, W: a pump's 10 W are 10, a light's 60 W are 8 when it is on
 * for 8 h.
 * Valid for averages over a day. Leaves out: the hours between, when the water swings about the average.
 * Test: site.test.ts, "gets all of a pump, a seventh of a light over a day, and nothing of a kettle on the same
 * circuit".
 */
export function intoWaterW(devices: readonly Warming[], lightHours: number): number {
  const share = { water: 1, above: (LIGHT_INTO_WATER * lightHours) / 24, elsewhere: 0 };
  return devices.reduce((sum, { watts, warms }) => sum + watts * share[warms], 0);
}
