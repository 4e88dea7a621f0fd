import type { Day } from '../calendar/day';

/** What a supplier answers to an order: each line as it will be delivered, and when. Money in minor units. */
export interface Confirmation {
  supplierReference: string;
  deliveryDay: Day | null;
  totalMinor: number;
  /** `item` is the line of the take-off; answers from before it was sent along have none. */
  lines: { item?: string; pack: string; name: string; asked: number; given: number; remark?: string }[];
}
