import type { Day } from '../calendar/day';

/** Of what the studio has one or a few for all commissions: tubs to soak in, and the unit that makes RO water with its store. */
export interface Held {
  what: 'tub' | 'ro';
  /** Until and with this day. */
  until: Day;
  /** Tubs, or litres that are wanted on the last day. */
  amount: number;
}
