import type { Brief, DosingSchool, WaterSchool } from './schema';

/*
 * What a brief means where it says nothing (common practice). Stated once: the build day, the care plan and the
 * fields that show them ask here.
 */

/** Clock time at which the crew starts. */
export function startTimeOf({ startTime = '08:30' }: Pick<Brief, 'startTime'>): string {
  return startTime;
}

/** The school by which water is changed: daily at first, then ever less often. */
export function waterSchoolOf({ schools }: Pick<Brief, 'schools'>): WaterSchool {
  return schools?.water ?? 'taper';
}

/** The school by which plants are fed: little, once the soil has given. */
export function dosingSchoolOf({ schools }: Pick<Brief, 'schools'>): DosingSchool {
  return schools?.dosing ?? 'lean';
}

/** What the CO2 set costs beside the material, minor units: nothing where there is none. */
export function co2CostOf({ co2, co2CostMinor = 0 }: Pick<Brief, 'co2' | 'co2CostMinor'>): number {
  return co2 ? co2CostMinor : 0;
}

/** Thickness of a chamber's wall when it is not given, mm (common practice). */
export const USUAL_WALL_MM = 5;
