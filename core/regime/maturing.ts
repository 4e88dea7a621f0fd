import { filterStateOf } from '../commission/usual';
import type { Commission } from '../commission/schema';
import { gearOf, type Gear } from '../gear/gear';

/** Days before the build on which new filter media begin to mature in a tank that runs (common practice: four weeks). */
export const MATURE_DAYS = 28;

/** Media on the list that come new and in time to mature: those that are there have run, those that come later cannot. */
export function mediaToMature(commission: Pick<Commission, 'brief' | 'catalogue' | 'site'>): readonly Gear[] {
  if (filterStateOf(commission.brief) !== 'new') return [];
  return gearOf(commission).filter((g) => g.kind === 'media' && g.origin !== 'here' && !g.late);
}

/** True where new media are matured ahead: those on the list, or those that nobody has listed yet on a list not begun. */
export function maturesAhead(commission: Pick<Commission, 'brief' | 'catalogue' | 'site'>): boolean {
  if (filterStateOf(commission.brief) !== 'new') return false;
  return gearOf(commission).length === 0 || mediaToMature(commission).length > 0;
}
