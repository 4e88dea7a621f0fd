import type { Day } from '../core/calendar/day';
import type { Supplier } from '../core/commission/schema';
import type { Confirmation } from '../core/ordering/confirmation';

/** What is sent to a supplier. The reference makes it safe to send twice. */
export interface SupplierRequest {
  reference: string;
  supplier: Supplier;
  studio: string;
  today: Day;
  /** The day on which it should arrive: not later, and perishables not much earlier. */
  wantedBy: Day | null;
  currency: string;
  /** What it asks beside the goods, by its own terms; nothing where it has said none. */
  carriageMinor?: number;
  /** A pack is known by the thing it holds and its own id: two plants may both come in a `cup`. */
  lines: {
    item: string;
    pack: string;
    name: string;
    /** As it is sold: `4 × 9 L bag`. */
    words?: string;
    count: number;
    priceMinor: number;
    leadDays: number;
    isLiving?: boolean;
  }[];
}

/** The supplier answered and will not deliver. */
export class SupplierRefusal extends Error {}
/** No answer, or a broken one: nobody knows whether it arrived. */
export class SupplierUnreachable extends Error {}

/**
 * The way to a supplier, whatever stands behind it.
 *
 * @throws SupplierRefusal, SupplierUnreachable
 */
export interface SupplierLink {
  place(request: SupplierRequest, signal: AbortSignal): Promise<Confirmation>;
}

/** The confirmation of an order that a person sent and a supplier confirmed in words: all of it, at the prices of the order. */
export function confirmedByWord(
  { lines, carriageMinor = 0 }: SupplierRequest,
  { supplierReference, deliveryDay }: Pick<Confirmation, 'supplierReference' | 'deliveryDay'>,
): Confirmation {
  return {
    supplierReference,
    deliveryDay,
    totalMinor: lines.reduce((sum, l) => sum + l.priceMinor, carriageMinor),
    lines: lines.map(({ item, pack, name, count }) => ({ item, pack, name, asked: count, given: count })),
  };
}
