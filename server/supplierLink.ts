import type { Day } from '../core/calendar/day';
import type { Supplier } from '../core/commission/schema';
import { insteadOf, type Confirmation } from '../core/ordering/confirmation';

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
    /** It was offered in place of something else, and somebody has said yes. */
    instead?: boolean;
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

/** The order for what was offered in place of one line of an order; undefined where nothing was. */
export function requestInstead(
  order: { reference: string; request: SupplierRequest; confirmation: Confirmation | null },
  { item, pack }: { item: string; pack: string },
  today: Day,
): SupplierRequest | undefined {
  const offered = order.confirmation?.lines.find((l) => l.item === item && l.pack === pack)?.instead;
  const asked = order.request.lines.find((l) => l.item === item && l.pack === pack);
  if (!offered || !asked) return undefined;
  const { words: _words, ...line } = asked;
  // It comes with what was sent: carriage is paid for that.
  const { carriageMinor: _carriage, ...request } = order.request;
  return {
    ...request,
    today,
    reference: insteadOf(order.reference, item, pack),
    lines: [{ ...line, name: offered.name, count: offered.count, priceMinor: offered.minor, instead: true }],
  };
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
