import type { Day } from '../calendar/day';
import { packOf, wholeOf } from '../commission/lookup';
import type { Resolved } from '../resolved/resolved';
import { packWordsOf, type TakeOffLine } from '../takeoff/line';
import { cheapestPacks, type PackCount } from '../takeoff/packs';
import { say, type Said, type Text } from '../words/text';
import { insteadOf, type Offered, type Placed } from './confirmation';

/** One line of an order that was confirmed: what comes of it, and when. */
export interface ComingLine {
  line: string;
  name: Said;
  pack: string;
  supplier: string;
  supplierReference: string;
  asked: number;
  given: number;
  /** What is given, in packs. */
  packWords: Text;
  day: Day | null;
  remark?: string;
  /** What is offered in its place and nobody has said yes to. */
  instead?: Offered;
  /** Our reference of the order. */
  reference: string;
  /** As it was counted when it came; left out as long as it has not. */
  received?: NonNullable<Resolved['received']>[number];
}

/** Packs of a line that can be used: as they were counted, and as it was confirmed until it comes. */
export function usable({ given, received }: Pick<ComingLine, 'given' | 'received'>): number {
  return received ? wholeOf(received) : given;
}

/** By which hour something is there that comes on the build day itself, where somebody has said so. */
export function hourOnTheDay(
  { brief, parcels = [] }: Pick<Resolved, 'brief' | 'parcels'>,
  { day, reference }: Pick<ComingLine, 'day' | 'reference'>,
): string | undefined {
  return day === brief.buildDay ? parcels.find((p) => p.reference === reference)?.hour : undefined;
}

/** Everything that was confirmed, line by line. What is no longer on the take-off is named as it was ordered. */
export function comingLines(
  commission: Resolved,
  lines: readonly TakeOffLine[],
  placed: readonly Placed[],
): ComingLine[] {
  const sent = new Set(placed.map((p) => p.reference));
  return placed.flatMap(({ reference, supplier, confirmation }) =>
    confirmation.lines.map(({ item, pack, name, asked, given, remark, instead }): ComingLine => {
      const line = lines.find((l) => (item ? l.id === item : pack in l.contents));
      const known = packOf(commission, item ?? line?.id ?? '', pack);
      const received = commission.received?.find((r) => r.reference === reference && r.item === (item ?? line?.id) && r.pack === pack); // prettier-ignore
      return {
        reference,
        ...(received ? { received } : {}),
        line: item ?? line?.id ?? pack,
        name: line?.name ?? name,
        pack,
        supplier,
        supplierReference: confirmation.supplierReference,
        asked,
        given,
        packWords: known ? packWordsOf(given, known) : say('pack.named', { count: given, name }),
        day: confirmation.deliveryDay,
        ...(remark ? { remark } : {}),
        ...(instead && !sent.has(insteadOf(reference, item ?? '', pack)) ? { instead } : {}),
      };
    }),
  );
}

/** What confirmed packs hold of a line, in the unit of its need: 2 bags of 9 L are 18. */
export function comes({ id, contents }: TakeOffLine, coming: readonly ComingLine[]): number {
  return coming.filter((c) => c.line === id).reduce((sum, c) => sum + usable(c) * (contents[c.pack] ?? 0), 0);
}

/** Contents are told apart to a thousandth of their unit, as packs are chosen. */
const NOTHING = 1e-3;

/** What was taken of a line in shops and off the studio's shelf, in the unit of its need. */
export function takenOf({ taken = [] }: Pick<Resolved, 'taken'>, { id }: Pick<TakeOffLine, 'id'>): number {
  return taken.filter((t) => t.item === id).reduce((n, t) => n + t.amount, 0);
}

/** What was paid over counters, minor units. */
export function paidInShops({ taken = [] }: Pick<Resolved, 'taken'>): number {
  return taken.reduce((sum, t) => sum + (t.paidMinor ?? 0), 0);
}

/** What is still missing of a line, in the unit of its need; 0 where what was confirmed and what was taken are enough. */
export function stillMissing(
  commission: Pick<Resolved, 'taken'>,
  line: TakeOffLine,
  coming: readonly ComingLine[],
): number {
  const missing = line.held - comes(line, coming) - takenOf(commission, line);
  return missing > NOTHING ? missing : 0;
}

/**
 * The packs that are still to be ordered of a line: those of the take-off as long as nothing of it is confirmed, afterwards
 * the cheapest that hold what is missing. A pack of which somebody had too few is not asked for again.
 */
export function toOrder(commission: Resolved, line: TakeOffLine, coming: readonly ComingLine[]): PackCount[] {
  const own = coming.filter((c) => c.line === line.id);
  if (own.length === 0 && takenOf(commission, line) === 0) return line.packs;
  const short = new Set(own.filter((c) => c.given < c.asked).map((c) => c.pack));
  const choices = Object.entries(line.contents).flatMap(([id, size]) => {
    const pack = packOf(commission, line.id, id);
    return pack && !short.has(id) ? [{ id, size, priceMinor: pack.priceMinor, steps: pack.steps }] : [];
  });
  return cheapestPacks(stillMissing(commission, line, coming), choices) ?? [];
}
