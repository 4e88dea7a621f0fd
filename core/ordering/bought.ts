import { entryPacks, isLiving, supplierOf } from '../commission/lookup';
import type { Brief, Pack } from '../commission/schema';
import type { Day } from '../calendar/day';
import type { Resolved } from '../resolved/resolved';
import { repacked, type TakeOffLine } from '../takeoff/line';
import { cheapestPacks, costOfPacks, priceFor, type PackCount } from '../takeoff/packs';
import type { TakeOff } from '../takeoff/takeOff';
import { carriageOf, termsOf, type Terms } from './carriage';
import { comingLines } from './coming';
import type { Placed } from './confirmation';
import { firstDelivery, lastDelivery, leadOf, neededOnDay, orderDay } from './delivery';
import { leastTotal, type Choice } from './leastTotal';

/*
 * From whom the whole order is bought: for the least in all, for the soonest there, for the fewest parcels; a line may be pinned
 * to one supplier. Where nothing of that is said each line is bought as it is cheapest by itself.
 */

type Aim = NonNullable<NonNullable<Brief['buying']>['aim']>;

/** What one supplier asks for all of a line, and when it can be there. */
export interface Offer {
  supplier: string;
  packs: PackCount[];
  priceMinor: number;
  /** Last day on which it can be ordered; left out where it does not deliver in time at all. */
  orderBy?: Day;
  /** The first day on which it can be there when it is ordered today. */
  soonest?: Day;
  isLate: boolean;
}

/** A way to buy, as it is looked at before it is taken. */
export interface Way {
  /** Left out for line by line. */
  aim?: Aim;
  goodsMinor: number;
  carriageMinor: number;
  parcels: number;
  /** The day on which the last of it can be there when all is ordered today. */
  lastDay?: Day;
  /** It may not be the least there is: the search was given up. */
  unproven?: true;
  /** Minimums leave no way: what is shown is without them. */
  belowMinimum?: true;
}

/** All suppliers that have a line, each with the cheapest of its packs that hold it. */
export function offersOf(commission: Resolved, line: TakeOffLine, today: Day | undefined): Offer[] {
  const packs = packsOf(commission, line);
  const neededOn = neededOnDay(commission, line);
  return [...new Set(packs.map((p) => p.supplier))].flatMap((id): Offer[] => {
    const supplier = supplierOf(commission, id);
    const own = packs.filter((p) => p.supplier === id);
    const counts = cheapestPacks(line.held, own.map((p) => ({ ...p, size: line.contents[p.id] })));
    if (!counts || counts.length === 0) return [];
    const leadDays = Math.max(...counts.map((c) => leadOf(supplier, own.find((p) => p.id === c.pack)!)));
    const arriveBy = lastDelivery(supplier, neededOn, isLiving(commission, line.id));
    const orderBy = arriveBy && orderDay(supplier, arriveBy, leadDays);
    const soonest = today && firstDelivery(supplier, today, leadDays, isLiving(commission, line.id));
    return [
      {
        supplier: id,
        packs: counts,
        priceMinor: costOfPacks(counts, own),
        ...(orderBy ? { orderBy } : {}),
        ...(soonest ? { soonest } : {}),
        isLate: orderBy === undefined || (today !== undefined && orderBy < today),
      },
    ];
  });
} // prettier-ignore

/** Packs of a line's entry that hold what is measured of it. */
function packsOf(commission: Resolved, line: TakeOffLine): Pack[] {
  return entryPacks(commission, line.id).filter((p) => line.contents[p.id] !== undefined);
}

/**
 * The take-off with its packs as the brief has them bought; the same where nothing is said. Of what has been confirmed already
 * nothing is chosen anew.
 */
export function bought(
  commission: Resolved,
  takeOff: TakeOff,
  today?: Day,
  placed: readonly Placed[] = [],
): TakeOff {
  const { aim, pins = [] } = commission.brief.buying ?? {};
  if (aim === undefined && pins.length === 0) return takeOff;
  const open = openLines(commission, takeOff, today, placed);
  const found = chosen(commission, open, aim);
  const lines = takeOff.lines.map((line) => {
    const offer = found.offers.get(line.id);
    return offer ? repacked(line, offer.packs, entryPacks(commission, line.id)) : line;
  });
  return { lines, totalMinor: lines.reduce((sum, l) => sum + l.priceMinor, 0) };
}

/** The ways to buy what is still to be ordered, line by line first, so that one can be taken. */
export function waysToBuy(
  commission: Resolved,
  takeOff: TakeOff,
  today?: Day,
  placed: readonly Placed[] = [],
): Way[] {
  const open = openLines(commission, takeOff, today, placed);
  const aims = [undefined, 'cheapest', 'soonest', 'fewest'] as const;
  return aims.map((aim) => ({ ...(aim ? { aim } : {}), ...wayOf(commission, open, aim, today) }));
}

/** A line that is still to be bought, with those who have it. */
interface Open {
  line: TakeOffLine;
  offers: Offer[];
  isPinned: boolean;
}

function openLines(
  commission: Resolved,
  { lines }: TakeOff,
  today: Day | undefined,
  placed: readonly Placed[],
): Open[] {
  const coming = new Set([
    ...comingLines(commission, lines, placed).map((c) => c.line),
    ...(commission.taken ?? []).map((t) => t.item),
  ]);
  const { pins = [] } = commission.brief.buying ?? {};
  return lines
    .filter((l) => l.held > 0 && !coming.has(l.id))
    .flatMap((line): Open[] => {
      const all = offersOf(commission, line, today);
      const pinned = all.filter((o) => pins.some((p) => p.line === line.id && p.supplier === o.supplier));
      if (all.length === 0) return [];
      return [{ line, offers: pinned.length > 0 ? pinned : inTime(all), isPinned: pinned.length > 0 }];
    });
}

/** Nobody buys where it comes too late while another has it in time. */
function inTime(offers: Offer[]): Offer[] {
  const there = offers.filter((o) => !o.isLate);
  return there.length > 0 ? there : offers;
}

interface Chosen {
  /** Lines that are bought from one supplier, by their ids; all others are bought as the take-off has them. */
  offers: Map<string, Offer>;
  choice?: Choice;
  belowMinimum?: true;
}

/** From whom each line is bought under an aim; without one only what is pinned is bought otherwise. */
function chosen(commission: Resolved, open: readonly Open[], aim: Aim | undefined): Chosen {
  if (aim === undefined)
    return { offers: new Map(open.filter((o) => o.isPinned).map((o) => [o.line.id, o.offers[0]])) };
  const suited = aim === 'soonest' ? soonestOf(open) : open;
  const lines = suited.map(({ line, offers }) => ({ line: line.id, offers }));
  const terms = (id: string): Terms => termsOf(supplierOf(commission, id));
  const sought = aim === 'fewest' ? 'parcels' : 'total';
  const found = leastTotal(lines, terms, sought);
  const choice = found ?? leastTotal(lines, (id) => ({ ...terms(id), minimumMinor: 0 }), sought);
  const offers = new Map(suited.map((o) => [o.line.id, o.offers.find((x) => x.supplier === choice?.from.get(o.line.id))!]));
  return { offers, ...(choice ? { choice } : {}), ...(found || !choice ? {} : { belowMinimum: true as const }) };
} // prettier-ignore

/** Of each line what can be there by the day on which all of it can: nothing waits for the last parcel. */
function soonestOf(open: readonly Open[]): Open[] {
  const day = (o: Offer) => o.soonest ?? '9999-12-31';
  const last = open.map((o) => o.offers.map(day).sort()[0]).sort().at(-1);
  if (last === undefined) return [...open];
  return open.map((o) => ({ ...o, offers: o.offers.filter((x) => day(x) <= last) }));
} // prettier-ignore

/** What a way comes to: goods by supplier, carriage of each, parcels, and the day on which the last can be there. */
function wayOf(
  commission: Resolved,
  open: readonly Open[],
  aim: Aim | undefined,
  today: Day | undefined,
): Omit<Way, 'aim'> {
  const { offers, choice, belowMinimum } = chosen(commission, open, aim);
  const parts = open.flatMap(({ line }) => {
    const offer = offers.get(line.id);
    return offer ? [offer] : asListed(commission, line, today);
  });
  const goods = new Map<string, number>();
  for (const p of parts) goods.set(p.supplier, (goods.get(p.supplier) ?? 0) + p.priceMinor);
  const days = parts.map((p) => p.soonest);
  const lastDay = days.every((d) => d !== undefined) ? [...days].sort().at(-1) : undefined;
  const carriage = ([id, minor]: [string, number]) => carriageOf(termsOf(supplierOf(commission, id)), minor);
  return {
    goodsMinor: [...goods.values()].reduce((a, b) => a + b, 0),
    carriageMinor: [...goods].reduce((sum, own) => sum + carriage(own), 0),
    parcels: goods.size,
    ...(lastDay ? { lastDay } : {}),
    ...(choice && !choice.proven ? { unproven: true as const } : {}),
    ...(belowMinimum ? { belowMinimum } : {}),
  };
}

/** A line as the take-off has it, pack by pack. */
function asListed(commission: Resolved, line: TakeOffLine, today: Day | undefined): Pick<Offer, 'supplier' | 'priceMinor' | 'soonest'>[] {
  const packs = packsOf(commission, line);
  return line.packs.map(({ pack, count }) => {
    const entry = packs.find((p) => p.id === pack)!;
    const soonest = today && firstDelivery(supplierOf(commission, entry.supplier), today, leadOf(supplierOf(commission, entry.supplier), entry), isLiving(commission, line.id));
    return { supplier: entry.supplier, priceMinor: priceFor(entry, count), ...(soonest ? { soonest } : {}) };
  });
} // prettier-ignore
