import type { Day } from '../core/calendar/day';
import type { Supplier } from '../core/commission/schema';

/** What is sent to a supplier. The reference makes it safe to send twice. */
export interface SupplierRequest {
  reference: string;
  supplier: Supplier;
  studio: string;
  today: Day;
  wantedBy: Day | null;
  currency: string;
  lines: { pack: string; name: string; count: number; priceMinor: number; leadDays: number }[];
}

/** What comes back: each line as it will be delivered, and when. */
export interface Confirmation {
  supplierReference: string;
  deliveryDay: Day | null;
  totalMinor: number;
  lines: { pack: string; name: string; asked: number; given: number; remark?: string }[];
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
