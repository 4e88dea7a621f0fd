import { carriageOf, type Terms } from './carriage';

/** A line that is bought, and what each supplier that has it asks for all of it, minor units. */
export interface Bought {
  line: string;
  offers: readonly { supplier: string; priceMinor: number }[];
}

/** From whom each line is bought, and what all of it comes to. */
export interface Choice {
  from: ReadonlyMap<string, string>;
  goodsMinor: number;
  carriageMinor: number;
  parcels: number;
  /** False where the search was given up before all had been looked at: there may be one that is less. */
  proven: boolean;
}

/** What is looked at before a search is given up, and suppliers at most whose every combination is looked at. */
const MOST_NODES = 400_000;
const MOST_SUPPLIERS = 12;

/**
 * From whom to buy each line so that goods and carriage together are least, or so that the parcels are fewest and then the
 * total least; no supplier is sent less than its minimum. Every set of suppliers with every step of carriage is looked at,
 * each bounded below by the least price of every line; where a step or a minimum asks for more than that buys, lines are
 * moved by branch and bound. Undefined where the minimums leave no way.
 * Valid for lines that are not shared between suppliers: grain and colour differ by batch. Leaves out: buying more than is
 * needed to reach a step.
 * Test: leastTotal.test.ts, "agrees with trying every way to buy".
 */
export function leastTotal(
  lines: readonly Bought[],
  termsFor: (supplier: string) => Terms,
  aim: 'total' | 'parcels' = 'total',
): Choice | undefined {
  const suppliers = [...new Set(lines.flatMap((l) => l.offers.map((o) => o.supplier)))].sort();
  const used = suppliers.slice(0, MOST_SUPPLIERS);
  const terms = used.map(termsFor);
  const prices = lines.map((l) => used.map((s) => Math.min(Infinity, ...l.offers.filter((o) => o.supplier === s).map((o) => o.priceMinor))));
  const search: Search = { prices, terms, best: undefined, bestMinor: Infinity, nodes: 0 };
  let proven = suppliers.length <= MOST_SUPPLIERS;
  const sets = subsets(used.length).filter((set) => prices.every((row) => set.some((s) => row[s] < Infinity)));
  let size = 0;
  for (const set of sets) {
    // Sets come by their size: with fewer parcels found, more are not looked at.
    if (aim === 'parcels' && search.best && set.length > size) break;
    size = set.length;
    for (const steps of stepsOf(set, terms)) lookAt(search, set, steps);
  }
  proven &&= search.nodes <= MOST_NODES;
  if (!search.best) return undefined;
  return choiceOf(lines, used, search, proven);
} // prettier-ignore

interface Search {
  prices: number[][];
  terms: Terms[];
  /** Index of the supplier of each line. */
  best: number[] | undefined;
  bestMinor: number;
  nodes: number;
}

/** For each supplier of a set, what its goods have to come to at least, below what, and its carriage then. */
interface Step {
  supplier: number;
  least: number;
  below: number;
  minor: number;
}

/** All sets of so many suppliers but the empty one, the smaller first. */
function subsets(n: number): number[][] {
  const all = Array.from({ length: 2 ** n - 1 }, (_, i) => [...Array(n).keys()].filter((k) => ((i + 1) >> k) & 1));
  return all.sort((a, b) => a.length - b.length);
} // prettier-ignore

/** Every way in which the suppliers of a set can stand on their steps of carriage, the least carriage first. */
function stepsOf(set: readonly number[], terms: readonly Terms[]): Step[][] {
  const each = set.map((supplier) => {
    const { carriage, minimumMinor } = terms[supplier];
    return carriage.flatMap(({ fromMinor, minor }, i): Step[] => {
      const below = carriage[i + 1]?.fromMinor ?? Infinity;
      const least = Math.max(1, fromMinor, minimumMinor);
      return below > least ? [{ supplier, least, below, minor }] : [];
    });
  });
  const ways = each.reduce<Step[][]>((all, own) => all.flatMap((way) => own.map((s) => [...way, s])), [[]]);
  const sum = (way: Step[]) => way.reduce((n, s) => n + s.minor, 0);
  return ways.sort((a, b) => sum(a) - sum(b));
}

/** One set on one way of steps: the least prices where they suit it, otherwise lines moved until they do. */
function lookAt(search: Search, set: readonly number[], steps: readonly Step[]): void {
  const { prices } = search;
  const carriage = steps.reduce((n, s) => n + s.minor, 0);
  const least = prices.map((row) => set.reduce((a, b) => (row[b] < row[a] ? b : a)));
  const floor = prices.reduce((n, row, i) => n + row[least[i]], carriage);
  if (floor >= search.bestMinor) return;
  const goods = steps.map((s) => prices.reduce((n, row, i) => n + (least[i] === s.supplier ? row[s.supplier] : 0), 0));
  if (steps.every((s, k) => goods[k] >= s.least && goods[k] < s.below)) {
    search.best = least;
    search.bestMinor = floor;
    return;
  }
  branch(search, set, steps, least, floor);
} // prettier-ignore

/** Lines one after another, those first whose choice weighs most; what cannot be less than the best, or cannot reach a step, is left. */
function branch(search: Search, set: readonly number[], steps: readonly Step[], least: readonly number[], floor: number): void {
  const { prices } = search;
  const order = prices.map((_, i) => i).sort((a, b) => Math.max(...set.map((s) => finite(prices[b][s]))) - Math.max(...set.map((s) => finite(prices[a][s]))));
  /** What each supplier could still be given by the lines from a depth on. */
  const more = steps.map(({ supplier }) => {
    const rest = new Float64Array(order.length + 1);
    for (let d = order.length - 1; d >= 0; d--) rest[d] = rest[d + 1] + finite(prices[order[d]][supplier]);
    return rest;
  });
  const goods = steps.map(() => 0);
  const chosen = [...least];
  const at = new Map(steps.map((s, k) => [s.supplier, k]));
  /** How little more a unit of goods at a supplier costs than the least price, from a depth on: the least of the lines. */
  const rate = steps.map(({ supplier }) => {
    const rest = new Float64Array(order.length + 1).fill(Infinity);
    for (let d = order.length - 1; d >= 0; d--) {
      const row = prices[order[d]];
      const price = row[supplier];
      const dearer = price < Infinity && price > 0 && least[order[d]] !== supplier ? (price - row[least[order[d]]]) / price : Infinity;
      rest[d] = Math.min(rest[d + 1], dearer);
    }
    return rest;
  });
  /** What each supplier has of the least prices from a depth on. */
  const own = steps.map(({ supplier }) => {
    const rest = new Float64Array(order.length + 1);
    for (let d = order.length - 1; d >= 0; d--) rest[d] = rest[d + 1] + (least[order[d]] === supplier ? prices[order[d]][supplier] : 0);
    return rest;
  });
  const visit = (depth: number, total: number): void => {
    if (search.nodes > MOST_NODES) return;
    search.nodes++;
    let dearest = 0;
    for (const [k, s] of steps.entries()) {
      if (goods[k] + more[k][depth] < s.least || goods[k] >= s.below) return;
      const lacking = s.least - goods[k] - own[k][depth];
      if (lacking > 0) dearest = Math.max(dearest, lacking * rate[k][depth]);
    }
    if (total + dearest >= search.bestMinor) return;
    if (depth === order.length) {
      search.best = [...chosen];
      search.bestMinor = total;
      return;
    }
    const line = order[depth];
    const row = prices[line];
    const ways = set.filter((s) => row[s] < Infinity).sort((a, b) => row[a] - row[b]);
    for (const s of ways) {
      const k = at.get(s)!;
      chosen[line] = s;
      goods[k] += row[s];
      visit(depth + 1, total + row[s] - row[least[line]]);
      goods[k] -= row[s];
    }
    chosen[line] = least[line];
  };
  visit(0, floor);
} // prettier-ignore

const finite = (minor: number) => (minor < Infinity ? minor : 0);

function choiceOf(lines: readonly Bought[], suppliers: readonly string[], { best, prices, terms }: Search, proven: boolean): Choice {
  const goods = suppliers.map((_, s) => lines.reduce((n, _l, i) => n + (best![i] === s ? prices[i][s] : 0), 0));
  return {
    from: new Map(lines.map((l, i) => [l.line, suppliers[best![i]]])),
    goodsMinor: goods.reduce((a, b) => a + b, 0),
    carriageMinor: goods.reduce((n, g, s) => n + carriageOf(terms[s], g), 0),
    parcels: new Set(best).size,
    proven,
  };
} // prettier-ignore
