import type { Day } from '../calendar/day';

/** What a supplier answers to an order: each line as it will be delivered, and when. Money in minor units. */
export interface Confirmation {
  supplierReference: string;
  deliveryDay: Day | null;
  totalMinor: number;
  /** `item` is the line of the take-off; answers from before it was sent along have none. */
  lines: {
    item?: string;
    pack: string;
    name: string;
    asked: number;
    given: number;
    remark?: string;
    /** What would be sent in place of what is not there: nothing of it comes before somebody has said yes. */
    instead?: Offered;
  }[];
}

/** Something else that a supplier offers: as it is called there, packs, and what all of them cost. */
export interface Offered {
  name: string;
  count: number;
  minor: number;
}

/** The reference under which what was offered for a line of an order is asked for: pressed twice it is the same order. */
export const insteadOf = (reference: string, item: string, pack: string) =>
  `${reference}-instead-${item}-${pack}`;

/** An order that a supplier has confirmed, whole or in part. It stands: what is ordered later comes besides. */
export interface Placed {
  /** Ours, by which it is sent; the supplier's own stands in the confirmation. */
  reference: string;
  supplier: string;
  confirmation: Confirmation;
}

/** Those of the orders sent that were confirmed. */
export function placedAmong(
  orders: readonly (Pick<Placed, 'reference' | 'supplier'> & { confirmation: Confirmation | null })[],
): Placed[] {
  return orders.flatMap(({ reference, supplier, confirmation }) =>
    confirmation ? [{ reference, supplier, confirmation }] : [],
  );
}
