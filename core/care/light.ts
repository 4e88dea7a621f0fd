import type { Brief, Commission } from '../commission/schema';

/** Light of one week: hours a day and share of full output. */
export interface LightWeek {
  hours: number;
  outputShare: number;
}

/** Never more than this in the first months, h (common practice). */
export const MOST_LIGHT_HOURS = 8;
/** Start of the photoperiod, and beside a window, h (common practice). */
const FIRST_HOURS = 7;
const FIRST_HOURS_WINDOW = 6;
/** Output from half to full over four weeks (common practice). */
const OUTPUT = [0.5, 0.6, 0.75, 0.9, 1];

/** The photoperiod of a week (1 to 8): the starting hours for a month, then one more, 8 at most. */
export function lightOf({ brief }: Commission, week: number): LightWeek {
  const first = daylightOf(brief) === 'window' ? FIRST_HOURS_WINDOW : FIRST_HOURS;
  return {
    hours: Math.min(MOST_LIGHT_HOURS, week <= 4 ? first : first + 1),
    outputShare: OUTPUT[Math.min(week, OUTPUT.length) - 1],
  };
}

/** A window this near counts as beside the tank, mm (common practice). */
const BESIDE_MM = 2_000;

/** Light from outside: from the window that was measured, otherwise as it was answered. */
export function daylightOf({ window, daylight }: Brief): NonNullable<Brief['daylight']> {
  if (!window) return daylight ?? 'none';
  return window.sunHours > 0 || window.distanceMm <= BESIDE_MM ? 'window' : 'indirect';
}

/** When the light comes on, a clock hour, so that it is lit when people are there. */
export const LIGHTS_ON_HOUR = 12;
/** CO2 starts this long before the light and stops with it, h (common practice: one or two). */
export const CO2_AHEAD_HOURS = 1;
