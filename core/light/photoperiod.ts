import { clockOf } from '../calendar/clock';
import type { Brief, Commission } from '../commission/schema';
import { everythingStays } from '../commission/usual';

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
/** What is done where nobody says otherwise: clock, hours and share of light in the first week, hours by which gas goes ahead. */
export function usualLight({ brief }: Pick<Commission, 'brief'>) {
  const first = daylightOf(brief) === 'window' ? FIRST_HOURS_WINDOW : FIRST_HOURS;
  // What grows there already would starve on half the light that it had.
  const isGrown = everythingStays(brief);
  const isFull = isGrown || brief.care?.undimmed === true;
  return {
    on: LIGHTS_ON,
    hours: isGrown ? first + 1 : isFull ? first - UNDIMMED_LESS[0] : first,
    output: isFull ? 1 : FIRST_OUTPUT,
    co2AheadHours: CO2_AHEAD_HOURS,
  };
}

/** Part of the way from the first output to the full one, by week: there after four (common practice). */
const RISE = [0, 0.2, 0.5, 0.8, 1];
/** Half of full output to begin with (common practice). */
const FIRST_OUTPUT = 0.5;

/** Hours less, by week, where light that cannot be dimmed would be too much from the start (common practice: fewer hours). */
const UNDIMMED_LESS = [2, 2, 1, 1] as const;

/** From this week on light is as it will be. */
export const SETTLED_WEEK = 8;

/** The photoperiod of a week (1 to 8): the starting hours for a month, then one more, 8 at most. */
export function lightOf({ brief }: Pick<Commission, 'brief'>, week: number): LightWeek {
  const { hours: begun, output: usualOutput } = usualLight({ brief });
  const isShort = brief.care?.undimmed === true && !everythingStays(brief);
  const first = isShort ? begun + UNDIMMED_LESS[0] - (UNDIMMED_LESS[week - 1] ?? 0) : begun;
  const usual = Math.min(MOST_LIGHT_HOURS, week <= 4 || everythingStays(brief) ? first : first + 1);
  const output = brief.care?.undimmed ? 1 : (brief.care?.firstOutput ?? usualOutput);
  return {
    hours: brief.care?.lightHours ?? usual,
    outputShare: output + (1 - output) * RISE[Math.min(week, RISE.length) - 1],
  };
}

/** A window this near counts as beside the tank, mm (common practice). */
const BESIDE_MM = 2_000;

/** Light from outside: from the window that was measured, otherwise as it was answered. */
export function daylightOf({ window, daylight }: Brief): NonNullable<Brief['daylight']> {
  if (!window) return daylight ?? 'none';
  return window.sunHours > 0 || window.distanceMm <= BESIDE_MM ? 'window' : 'indirect';
}

/** When the light comes on unless it is said, so that it is lit when people are there. */
const LIGHTS_ON = '12:00';
/** CO2 starts this long before the light and stops with it, h (common practice: one or two). */
const CO2_AHEAD_HOURS = 1;

/** Clock times of light and gas in the first week. */
export function clocksOf(commission: Commission): { on: string; off: string; co2On?: string } {
  const { care, co2 } = commission.brief;
  const on = care?.lightsOn ?? LIGHTS_ON;
  const at = (hours: number) => clockOf(on, (((hours * 60) % DAY_MIN) + DAY_MIN) % DAY_MIN);
  return {
    on,
    off: at(lightOf(commission, 1).hours),
    ...(co2 ? { co2On: at(-(care?.co2AheadHours ?? CO2_AHEAD_HOURS)) } : {}),
  };
}

const DAY_MIN = 24 * 60;
