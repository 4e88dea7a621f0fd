import type { Day } from '../../core/calendar/day';
import type { Commission } from '../../core/commission/schema';
import { deskCube } from './deskCube';
import { openWindow } from './openWindow';
import { slateValley } from './slateValley';

/** The demo's commissions, dated from today on. */
export function demoCommissions(today: Day): Commission[] {
  return [slateValley(today), openWindow(today), deskCube(today)];
}
