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
