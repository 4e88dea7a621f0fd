import { withoutPrice } from '../takeoff/cost';
import { dayPlus, daysFrom, type Day } from '../calendar/day';
import { isLiving, knownSupplier, nameOfSupplier, packOf, supplierOf } from '../commission/lookup';
import type { Pack } from '../commission/schema';
import type { Resolved } from '../resolved/resolved';
import { packWordsOf, type TakeOffLine } from '../takeoff/line';
import type { TakeOff } from '../takeoff/takeOff';
import { priceFor, type PackCount } from '../takeoff/packs';
import { majorOf } from '../units/money';
import type { Finding } from '../words/finding';
import { say, type Said, type Text } from '../words/text';
import { carriageOf, termsOf } from './carriage';
import { comingLines, paidInShops, toOrder, type ComingLine } from './coming';
import type { Placed } from './confirmation';
import { confirmedFindings } from './confirmedFindings';
import { parcelFindings } from './parcelFindings';
import { lastDelivery, leadOf, neededOnDay, orderDay } from './delivery';

/** Packs of one line that are to be ordered from one supplier, with the days that follow. */
export interface OrderLine {
  line: string;
  name: Said;
  pack: string;
  packWords: Text;
  count: number;
  priceMinor: number;
  /** Last day on which it can be ordered, the delivery that then brings it, and the day it is needed for. */
  orderBy?: Day;
  arriveBy?: Day;
  neededOn: Day;
  /** The day on which it is set, poured, planted or put in: that for which it is needed, unless it is worked on before. */
  usedOn: Day;
  /** It is needed so many days before the build, since it soaks, cures in a joint, matures or is used in a sitting. */
  ahead?: TakeOffLine['ahead'];
  aheadDays?: number;
  leadDays: number;
  keepsDays?: number;
}

export interface SupplierOrder {
  supplier: string;
  name: string;
  /** What is still to be ordered there, and its price; carriage of it, and what it lacks of the least that is sent. */
  lines: OrderLine[];
  totalMinor: number;
  carriageMinor: number;
  lacksMinor: number;
  /** Orders that come later in the day count as of the next. */
  cutOff?: string;
  /** One goes there: what it has is fetched, not ordered. */
  isShop?: true;
  /** The earliest of its lines' days: one order, sent once. */
  orderBy?: Day;
  /** What it has confirmed. */
  coming: ComingLine[];
}

export interface Order {
  buildDay: Day;
  suppliers: SupplierOrder[];
  /** What all of it costs: as it was confirmed, and as the catalogue has it for the rest. */
  totalMinor: number;
  /** Lines for which the catalogue has no pack. */
  unpriced: { id: string; name: Said }[];
  findings: Finding[];
}

/**
 * The take-off by supplier, with order-by days back from the build day: delivery days, lead times, soaking
 * before the build, and not earlier than it keeps. With `today`, what can no longer be had in time is found. What is
 * `placed` and confirmed stands: only what is missing besides is still to be ordered.
 */
export function order(
  commission: Resolved,
  takeOff: TakeOff,
  today?: Day,
  placed: readonly Placed[] = [],
): Order {
  const coming = comingLines(commission, takeOff.lines, placed);
  const lines = takeOff.lines.flatMap((line) =>
    orderLines(commission, line, toOrder(commission, line, coming)),
  );
  const ids = [...new Set([...lines, ...coming].map(({ supplier }) => supplier))];
  const suppliers = ids.map((id): SupplierOrder => {
    const own = lines.filter((l) => l.supplier === id).map((l) => l.orderLine);
    const totalMinor = own.reduce((sum, l) => sum + l.priceMinor, 0);
    const known = knownSupplier(commission, id);
    const terms = termsOf(known ?? {});
    return {
      supplier: id,
      name: nameOfSupplier(commission, id),
      lines: own,
      totalMinor,
      carriageMinor: carriageOf(terms, totalMinor),
      lacksMinor: own.length > 0 ? Math.max(0, terms.minimumMinor - totalMinor) : 0,
      ...(known?.cutOff ? { cutOff: known.cutOff } : {}),
      ...(known?.shop ? { isShop: true as const } : {}),
      orderBy: earliest(own),
      coming: coming.filter((c) => c.supplier === id),
    };
  });
  return {
    buildDay: commission.brief.buildDay,
    suppliers,
    totalMinor: costOf(takeOff, suppliers, placed) + paidInShops(commission),
    unpriced: withoutPrice(takeOff).map(({ id, name }) => ({ id, name })),
    findings: [
      ...suppliers.flatMap((s) => firstOfEach(s.lines).flatMap((l) => orderFindings(s, l, today))),
      ...minimumFindings(commission, suppliers),
      ...confirmedFindings(commission, takeOff, coming),
      ...parcelFindings(commission, coming, today),
    ],
  };
}

/** Everything that is bought, orders as they were confirmed, and what is bought without a pack. */
function costOf(takeOff: TakeOff, suppliers: readonly SupplierOrder[], placed: readonly Placed[]): number {
  const packed = takeOff.lines.reduce((sum, l) => sum + (l.packs.length > 0 ? l.priceMinor : 0), 0);
  const left = suppliers.reduce((sum, s) => sum + s.totalMinor + s.carriageMinor, 0);
  const confirmed = placed.reduce((sum, p) => sum + p.confirmation.totalMinor, 0);
  return takeOff.totalMinor - packed + left + confirmed;
}

/** Carriage of what is still to be ordered, minor units: what the whole comes to beyond its lines. */
export const carriageAsked = ({ suppliers }: Pick<Order, 'suppliers'>): number =>
  suppliers.reduce((sum, s) => sum + s.carriageMinor, 0);

/** The earliest order-by day of a take-off line, or undefined when nothing of it is still to be ordered. */
export function orderByOf(order: Order, line: string): Day | undefined {
  const days = order.suppliers.flatMap((s) => s.lines).filter((l) => l.line === line);
  return earliest(days);
}

/** Lines that do not come in time: ordered too late, or confirmed for too late a day. */
export function tooLate({ findings }: Order): Set<string> {
  return linesOf(findings, ['order.late', 'order.after']);
}

/** Lines whose day to order is over, or that cannot be had in time at all. */
export function tooLateToOrder(findings: readonly Finding[]): Set<string> {
  return linesOf(findings, ['order.late', 'order.never']);
}

/** Lines of which something was confirmed and not all of it will be there when it is needed: too few, too late, on no day, lost. */
export function notThere(findings: readonly Finding[]): Set<string> {
  const wanting = findings.filter((f) => f.severity !== 'note');
  return linesOf(wanting, ['order.short', 'order.lost', 'order.noday', 'order.after']);
}

function linesOf(findings: readonly Finding[], ids: readonly Finding['id'][]): Set<string> {
  return new Set(findings.filter((f) => ids.includes(f.id)).flatMap((f) => f.at.line ?? []));
}

/** What was confirmed of a take-off line. */
export function comingOf({ suppliers }: Order, line: string): ComingLine[] {
  return suppliers.flatMap((s) => s.coming).filter((c) => c.line === line);
}

/** The supplier that must have its order first, and by when; undefined where nothing is ordered. */
export function firstToOrder({ suppliers }: Order): (SupplierOrder & { orderBy: Day }) | undefined {
  return suppliers
    .flatMap((s) => (s.orderBy ? [{ ...s, orderBy: s.orderBy }] : []))
    .sort((a, b) => a.orderBy.localeCompare(b.orderBy))[0];
}

/** One order line for each take-off line, the one to be ordered first: two sizes of bag are late together. */
function firstOfEach(lines: readonly OrderLine[]): OrderLine[] {
  const sorted = [...lines].sort((a, b) => (a.orderBy ?? '').localeCompare(b.orderBy ?? ''));
  return lines.filter((l) => sorted.find((s) => s.line === l.line) === l);
}

function earliest(lines: readonly OrderLine[]): Day | undefined {
  return lines.flatMap((l) => (l.orderBy ? [l.orderBy] : [])).sort()[0];
}

function orderLines(
  commission: Resolved,
  line: TakeOffLine,
  packs: readonly PackCount[],
): { supplier: string; orderLine: OrderLine }[] {
  return packs.map(({ pack: packId, count }) => {
    const pack = packOf(commission, line.id, packId)!;
    return {
      supplier: pack.supplier,
      orderLine: orderLine(commission, line, pack, count),
    };
  });
}

/** True for what soaks, cures or matures between the day for which it comes and that on which it is used. */
const isWorkedOn = ({ ahead }: TakeOffLine) => ahead !== undefined && ahead !== 'sitting';

function orderLine(commission: Resolved, line: TakeOffLine, pack: Pack, count: number): OrderLine {
  const supplier = supplierOf(commission, pack.supplier);
  const neededOn = neededOnDay(commission, line);
  const leadDays = leadOf(supplier, pack);
  const arriveBy = lastDelivery(supplier, neededOn, isLiving(commission, line.id));
  return {
    line: line.id,
    name: line.name,
    pack: pack.id,
    packWords: packWordsOf(count, pack),
    count,
    priceMinor: priceFor(pack, count),
    orderBy: arriveBy && orderDay(supplier, arriveBy, leadDays),
    arriveBy,
    neededOn,
    usedOn: isWorkedOn(line) ? dayPlus(commission.brief.buildDay, -(line.usedAheadDays ?? 0)) : neededOn,
    ...(line.aheadDays ? { ahead: line.ahead, aheadDays: line.aheadDays } : {}),
    leadDays,
    keepsDays: pack.keepsDays,
  };
}

/** Orders that come to less than their supplier sends for. */
function minimumFindings({ currency }: Resolved, suppliers: readonly SupplierOrder[]): Finding[] {
  return suppliers
    .filter((s) => s.lacksMinor > 0)
    .map((s) => ({
      id: 'order.minimum',
      severity: 'warn',
      at: { supplier: s.supplier },
      measured: majorOf(s.totalMinor, currency),
      limit: majorOf(s.totalMinor + s.lacksMinor, currency),
      unit: currency,
      says: say('order.minimum.says', {
        supplier: s.name,
        least: { minor: s.totalMinor + s.lacksMinor, currency },
        lacks: { minor: s.lacksMinor, currency },
      }),
      because: say('order.minimum.because'),
      source: say('source.supplier', { name: s.name }),
    }));
}

function orderFindings(supplier: SupplierOrder, line: OrderLine, today: Day | undefined): Finding[] {
  const at = { line: line.line, supplier: supplier.supplier };
  const found: Finding[] = [];
  if (!line.orderBy || !line.arriveBy)
    found.push({
      id: 'order.never',
      severity: 'stop',
      at,
      measured: 0,
      limit: 1,
      unit: 'deliveries',
      says: say('order.never.says', {
        supplier: supplier.name,
        name: line.name,
        day: { day: line.neededOn },
      }),
      because: say('order.never.because'),
      source: say('source.entry', { name: supplier.name }),
    });
  else if (today !== undefined && line.orderBy < today) {
    const late = daysFrom(line.orderBy, today);
    found.push({
      id: 'order.late',
      severity: 'stop',
      at,
      measured: late,
      limit: 0,
      unit: 'days',
      says: say('order.late.says', { name: line.name, day: { day: line.orderBy }, late }),
      because: say('order.late.because', { supplier: supplier.name, day: { day: line.neededOn } }),
      source: say('source.supplier', { name: supplier.name }),
    });
  }
  if (
    line.arriveBy &&
    line.keepsDays !== undefined &&
    daysFrom(line.arriveBy, line.neededOn) > line.keepsDays
  )
    found.push({
      id: 'order.keeps',
      severity: 'warn',
      at,
      measured: daysFrom(line.arriveBy, line.neededOn),
      limit: line.keepsDays,
      unit: 'days',
      says: say('order.keeps.says', {
        name: line.name,
        early: daysFrom(line.arriveBy, line.neededOn),
        keeps: line.keepsDays,
      }),
      because: say('order.keeps.because'),
      source: say('source.pack'),
    });
  return found;
}
