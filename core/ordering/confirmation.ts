import type { Day } from '../calendar/day';

/** What a supplier answers to an order: each line as it will be delivered, and when. Money in minor units. */
export interface Confirmation {
  supplierReference: string;
  deliveryDay: Day | null;
  totalMinor: number;
  lines: { pack: string; name: string; asked: number; given: number; remark?: string }[];
}
