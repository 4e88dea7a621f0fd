import type { Day } from '../calendar/day';
import type { Resolved } from '../resolved/resolved';
import type { TakeOff } from '../takeoff/takeOff';
import { bought } from './bought';
import { order, type Order } from './order';

/**
 * What is bought of whom while nothing has been ordered or taken yet: the client pays for a parcel after it was sent as before.
 * `today` is the day by which suppliers were chosen: that of the yes, once it was said.
 * Valid for a take-off before suppliers were chosen. Leaves out: what was paid in the end, which is the studio's gain or loss.
 * Test: quote.test.ts, "is the same whatever has been ordered or taken meanwhile".
 */
export function asPlanned(
  commission: Resolved,
  measured: TakeOff,
  today?: Day,
): { takeOff: TakeOff; order: Order } {
  const before: Resolved = { ...commission, taken: [] };
  const takeOff = bought(before, measured, today);
  return { takeOff, order: order(before, takeOff, today) };
}
