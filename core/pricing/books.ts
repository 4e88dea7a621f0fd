import { lotMinor } from '../commission/usual';
import type { Day } from '../calendar/day';
import { nameOfSupplier } from '../commission/lookup';
import { paidBeside } from '../gear/gear';
import type { Placed } from '../ordering/confirmation';
import type { Order } from '../ordering/order';
import type { Resolved } from '../resolved/resolved';
import type { TakeOff } from '../takeoff/takeOff';
import { say, type Said } from '../words/text';
import type { Quote } from './quote';

/** A row of the books. `asked` of the client, `spent` with somebody, `toCome` still to be bought; minor units. */
export interface BookEntry {
  side: 'asked' | 'spent' | 'toCome';
  /** The day on which it came or was taken. */
  day?: Day;
  party?: string;
  what: Said;
  minor: number;
  /** Only of what is asked: prices that are paid stand as they were named. */
  taxMinor?: number;
}

/** Budget against actual: what was planned to be paid, what has been, and what is still to be. */
export interface Books {
  entries: BookEntry[];
  plannedMinor: number;
  spentMinor: number;
  toComeMinor: number;
  /** What it comes to beyond what was planned; below zero where it comes to less. */
  overMinor: number;
}

/** What there is to enter: a plan, and what the client is asked for it. */
interface Entered {
  takeOff: TakeOff;
  order: Order;
  quote: Quote;
}

/**
 * The rows of a commission for the studio's books: what the client is asked with its tax, each parcel as it was confirmed, what was
 * taken over counters at the price that was paid, and what is still to be bought at today's.
 * Valid for the orders that are `placed`; a second-hand lot is paid on the day on which it is fetched, by `today`. Leaves out: hands, which nobody is paid for here; the tax in what the studio pays.
 * Test: books.test.ts, "spent and still to come are what all of it costs; asked is the quote with its tax".
 */
export function booksOf(commission: Resolved, { takeOff, order, quote }: Entered, placed: readonly Placed[] = [], today?: Day): Books {
  const asked = quote.lines.map(({ name, minor, taxMinor }): BookEntry => ({ side: 'asked', what: name, minor, taxMinor }));
  const wholeTax = quote.taxMinor - quote.lines.reduce((sum, l) => sum + l.taxMinor, 0);
  const spent = [...parcels(commission, placed), ...counters(commission, takeOff), ...lots(commission, (day) => isOver(day, today), 'spent')];
  const toCome = [...stillToBuy(commission, order, takeOff), ...lots(commission, (day) => !isOver(day, today), 'toCome')];
  const sum = (entries: readonly BookEntry[]) => entries.reduce((n, e) => n + e.minor, 0);
  const [spentMinor, toComeMinor] = [sum(spent), sum(toCome)];
  return {
    entries: [
      ...asked,
      // Tax that is reckoned once on the whole differs from that of the lines by a penny or two.
      ...(wholeTax === 0 ? [] : [{ side: 'asked' as const, what: say('books.wholeTax'), minor: 0, taxMinor: wholeTax }]),
      ...spent,
      ...toCome,
    ],
    plannedMinor: quote.costMinor,
    spentMinor,
    toComeMinor,
    overMinor: spentMinor + toComeMinor - quote.costMinor,
  };
} // prettier-ignore

function parcels(commission: Resolved, placed: readonly Placed[]): BookEntry[] {
  return placed.map(({ reference, supplier, confirmation }) => ({
    side: 'spent',
    ...(confirmation.deliveryDay ? { day: confirmation.deliveryDay } : {}),
    party: nameOfSupplier(commission, supplier),
    what: say('books.parcel', { reference, theirs: confirmation.supplierReference }),
    minor: confirmation.totalMinor,
  }));
}

function counters(commission: Resolved, { lines }: TakeOff): BookEntry[] {
  const names = new Map(lines.map((l) => [l.id, l.name]));
  return (commission.taken ?? [])
    .filter((t) => t.from !== 'shelf')
    .map((t) => ({
      side: 'spent',
      day: t.day,
      ...(t.supplier ? { party: nameOfSupplier(commission, t.supplier) } : {}),
      what: names.get(t.item) ?? t.item,
      minor: t.paidMinor ?? 0,
    }));
}

const isOver = (day: Day, today: Day | undefined) => today !== undefined && day <= today;

/** Second-hand lots, those of some days. */
function lots({ brief }: Resolved, isTheirs: (day: Day) => boolean, side: BookEntry['side']): BookEntry[] {
  return (brief.brokenDown ?? [])
    .filter((b) => lotMinor(b) && isTheirs(b.day))
    .map((b) => ({ side, day: b.day, what: b.name, minor: lotMinor(b) }));
}

function stillToBuy(commission: Resolved, order: Order, { lines }: TakeOff): BookEntry[] {
  const { gas } = paidBeside(commission);
  const toCome = (what: Said, minor: number, party?: string): BookEntry => ({ side: 'toCome', what, minor, ...(party ? { party } : {}) }); // prettier-ignore
  return [
    ...order.suppliers.flatMap((s) => [
      ...s.lines.map((l) => toCome(l.name, l.priceMinor, s.name)),
      toCome(say('quote.carriage'), s.carriageMinor, s.name),
    ]),
    // What has a price and no pack: a heater at what it costs, a stone at its own.
    ...lines.filter((l) => l.packs.length === 0).map((l) => toCome(l.name, l.priceMinor)),
    toCome(say('quote.gas'), gas),
  ].filter((e) => e.minor !== 0);
}
