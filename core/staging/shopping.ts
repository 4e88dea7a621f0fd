import { knownSupplier, nameOfSupplier } from '../commission/lookup';
import { sizeMmOf } from '../hardscape/extent';
import { rounded, type Quantity } from '../units/quantity';
import type { Day } from '../calendar/day';
import { paidBeside } from '../gear/gear';
import { comingLines, paidInShops, stillMissing } from '../ordering/coming';
import type { Placed } from '../ordering/confirmation';
import type { Order } from '../ordering/order';
import { pieceOf, type Resolved } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import type { LineKind, TakeOffLine } from '../takeoff/line';
import { LINE_KINDS, type TakeOff } from '../takeoff/takeOff';
import type { Said, Text } from '../words/text';

/** One thing to look for: how much of it is still wanted, from which size to which, as what it is sold, and what of it was taken. */
export interface ShoppingLine {
  line: string;
  name: Said;
  wanted: Quantity;
  missing: Quantity;
  packWords: Text[];
  priceMinor: number;
  /** What is taken when nobody has weighed it, in the unit of the need: what those packs hold, since a bag is taken whole, or what is missing. */
  takes: number;
  /** Longest sides of the pieces that it is for, smallest and largest, mm; only of what is chosen piece by piece. */
  sizesMm?: { from: number; to: number; count: number };
  /** Those pieces, by their ids, longest first. */
  pieces?: string[];
  taken: NonNullable<Resolved['taken']>;
}

export interface Shop {
  supplier: string;
  name: string;
  /** Last day on which one can go there. */
  by?: Day;
  open?: readonly [string, string];
  aisles: { kind: LineKind; lines: ShoppingLine[] }[];
  totalMinor: number;
}

export interface Shopping {
  shops: Shop[];
  /** What was paid over counters, and what of the budget is left beside everything that is ordered, still to be bought and paid. */
  paidMinor: number;
  leftMinor?: number;
}

/**
 * What is bought in the hand, shop by shop and aisle by aisle, with the running total against the budget. A line of which all was
 * taken stays on the list of the shop where it was, so that one can look again.
 * Valid for the plan of one option. Leaves out: what a shop has on that day.
 * Test: shopping.test.ts, "is what is bought in shops, aisle by aisle, with sizes for what is chosen in the hand".
 */
export function shoppingOf(commission: Resolved, survey: Survey, takeOff: TakeOff, order: Order, placed: readonly Placed[] = []): Shopping {
  const coming = comingLines(commission, takeOff.lines, placed);
  const all = inShops(commission);
  const ids = [...new Set([...order.suppliers.filter((s) => s.isShop).map((s) => s.supplier), ...all.flatMap((t) => t.supplier ?? [])])];
  const shops = ids.map((id): Shop => {
    const group = order.suppliers.find((s) => s.supplier === id);
    const known = knownSupplier(commission, id);
    const wantedThere = new Set([...(group?.lines.map((l) => l.line) ?? []), ...all.filter((t) => t.supplier === id).map((t) => t.item)]);
    const lines = takeOff.lines.filter((l) => wantedThere.has(l.id));
    return {
      supplier: id,
      name: nameOfSupplier(commission, id),
      ...(group?.orderBy ? { by: group.orderBy } : {}),
      ...(known?.open ? { open: known.open } : {}),
      aisles: LINE_KINDS.flatMap((kind) => {
        const own = lines.filter((l) => l.kind === kind);
        return own.length === 0 ? [] : [{ kind, lines: own.map((l) => lineOf(commission, survey, l, stillMissing(commission, l, coming), group?.lines ?? [])) }];
      }),
      totalMinor: group?.totalMinor ?? 0,
    };
  });
  const { budgetMinor } = commission.brief;
  return {
    shops,
    paidMinor: paidInShops(commission),
    ...(budgetMinor === undefined ? {} : { leftMinor: budgetMinor - order.totalMinor - paidBeside(commission).all }),
  };
} // prettier-ignore

/** What came off the studio's own shelf was in no shop. */
const inShops = ({ taken = [] }: Resolved) => taken.filter((t) => t.from !== 'shelf');

function lineOf(commission: Resolved, survey: Survey, line: TakeOffLine, missing: number, ordered: Order['suppliers'][number]['lines']): ShoppingLine {
  const own = ordered.filter((l) => l.line === line.id);
  const { unit } = line.needed;
  return {
    line: line.id,
    name: line.name,
    wanted: { value: line.held, unit },
    missing: { value: missing, unit },
    packWords: own.map((l) => l.packWords),
    priceMinor: own.reduce((sum, l) => sum + l.priceMinor, 0),
    takes: rounded(own.reduce((sum, l) => sum + l.count * (line.contents[l.pack] ?? 0), 0) || missing, 3),
    ...sizesOf(commission, survey, line.id),
    taken: inShops(commission).filter((t) => t.item === line.id),
  };
} // prettier-ignore

/** Pieces of a material that are bought, longest first, with their sizes. */
function sizesOf(commission: Resolved, survey: Survey, material: string): Pick<ShoppingLine, 'sizesMm' | 'pieces'> {
  const own = survey.pieces.map((p) => pieceOf(commission, p.id)).filter((p) => p.material.id === material && p.origin === 'bought');
  const long = own.map(({ piece }) => ({ id: piece.id, mm: Math.max(...sizeMmOf(piece.shape)) })).sort((a, b) => b.mm - a.mm);
  if (long.length === 0) return {};
  return { sizesMm: { from: long.at(-1)!.mm, to: long[0].mm, count: long.length }, pieces: long.map((l) => l.id) };
} // prettier-ignore
