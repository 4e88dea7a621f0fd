import { withoutPrice } from '../takeoff/cost';
import { daysFrom, dayPlus, type Day } from '../calendar/day';
import { supplierOf } from '../commission/lookup';
import type { Commission, Material, Pack, Plant } from '../commission/schema';
import { packWordsOf, type TakeOffLine } from '../takeoff/line';
import type { TakeOff } from '../takeoff/takeOff';
import type { Finding } from '../words/finding';
import { say, type Said, type Text } from '../words/text';
import { lastDelivery, orderDay } from './delivery';

/** Packs of one line from one supplier, with the days that follow. */
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
  /** It is needed so many days before the build, since it soaks or matures. */
  ahead?: TakeOffLine['ahead'];
  aheadDays?: number;
  leadDays: number;
  keepsDays?: number;
}

export interface SupplierOrder {
  supplier: string;
  name: string;
  lines: OrderLine[];
  totalMinor: number;
  /** The earliest of its lines' days: one order, sent once. */
  orderBy?: Day;
}

export interface Order {
  buildDay: Day;
  suppliers: SupplierOrder[];
  totalMinor: number;
  /** Lines for which the catalogue has no pack. */
  unpriced: { id: string; name: Said }[];
  findings: Finding[];
}

/**
 * The take-off by supplier, with order-by days back from the build day: delivery days, lead times, soaking
 * before the build, and not earlier than it keeps. With `today`, what can no longer be had in time is found.
 */
export function order(commission: Commission, takeOff: TakeOff, today?: Day): Order {
  const lines = takeOff.lines.flatMap((line) => orderLines(commission, line));
  const ids = [...new Set(lines.map(({ supplier }) => supplier))];
  const suppliers = ids.map((id): SupplierOrder => {
    const own = lines.filter((l) => l.supplier === id).map((l) => l.orderLine);
    return {
      supplier: id,
      name: supplierOf(commission, id).name,
      lines: own,
      totalMinor: own.reduce((sum, l) => sum + l.priceMinor, 0),
      orderBy: earliest(own),
    };
  });
  return {
    buildDay: commission.brief.buildDay,
    suppliers,
    totalMinor: takeOff.totalMinor,
    unpriced: withoutPrice(takeOff).map(({ id, name }) => ({ id, name })),
    findings: suppliers.flatMap((s) => firstOfEach(s.lines).flatMap((l) => orderFindings(s, l, today))),
  };
}

/** The earliest order-by day of a take-off line, or undefined when nothing of it is ordered. */
export function orderByOf(order: Order, line: string): Day | undefined {
  const days = order.suppliers.flatMap((s) => s.lines).filter((l) => l.line === line);
  return earliest(days);
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

function orderLines(commission: Commission, line: TakeOffLine): { supplier: string; orderLine: OrderLine }[] {
  const entry = entryOf(commission, line.id);
  return line.packs.map(({ pack: packId, count }) => {
    const pack = entry!.packs!.find((p) => p.id === packId)!;
    return {
      supplier: pack.supplier,
      orderLine: orderLine(commission, line, pack, count),
    };
  });
}

function orderLine(commission: Commission, line: TakeOffLine, pack: Pack, count: number): OrderLine {
  const supplier = supplierOf(commission, pack.supplier);
  const neededOn = dayPlus(commission.brief.buildDay, (line.laterDays ?? 0) - (line.aheadDays ?? 0));
  const arriveBy = lastDelivery(supplier, neededOn);
  return {
    line: line.id,
    name: line.name,
    pack: pack.id,
    packWords: packWordsOf(count, pack),
    count,
    priceMinor: count * pack.priceMinor,
    orderBy: arriveBy && orderDay(supplier, arriveBy, pack.leadDays),
    arriveBy,
    neededOn,
    ...(line.aheadDays ? { ahead: line.ahead, aheadDays: line.aheadDays } : {}),
    leadDays: pack.leadDays,
    keepsDays: pack.keepsDays,
  };
}

function entryOf(commission: Commission, id: string): Material | Plant | undefined {
  const { materials, plants } = commission.catalogue;
  return materials.find((m) => m.id === id) ?? plants.find((p) => p.id === id);
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
