import type { Day } from '../calendar/day';

/** Of what the studio has one or a few for all commissions: tubs to soak in, places for goods, the unit that makes RO water with its store. */
export interface Held {
  what: 'tub' | 'bay' | 'ro';
  /** From this day on, where that is another than the day of what holds it. */
  from?: Day;
  /** Until and with this day. */
  until: Day;
  /** Tubs, places, or litres that are wanted on the last day. */
  amount: number;
}
