import { filterStateOf } from '../commission/usual';
import type { Resolved } from '../resolved/resolved';
import type { Gear } from '../gear/gear';

/** Days before the build on which new filter media begin to mature in a tank that runs (common practice: four weeks). */
export const MATURE_DAYS = 28;

/** Media on the list that come new and in time to mature: those that are there or come out of another scape have run, those that come later cannot. */
export function mediaToMature(commission: Pick<Resolved, 'brief' | 'gear'>): readonly Gear[] {
  if (filterStateOf(commission.brief) !== 'new') return [];
  return commission.gear.filter(
    (g) => g.kind === 'media' && g.origin !== 'here' && !g.device.from && !g.late,
  );
}

/** True where new media are matured ahead: those on the list, or those that nobody has listed yet on a list not begun. */
export function maturesAhead(commission: Pick<Resolved, 'brief' | 'gear'>): boolean {
  if (filterStateOf(commission.brief) !== 'new') return false;
  return commission.gear.length === 0 || mediaToMature(commission).length > 0;
}
