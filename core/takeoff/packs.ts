/** A pack that can be bought: its content in the unit of the need, and its price in minor units. */
export interface PackChoice {
  id: string;
  size: number;
  priceMinor: number;
  /** Price of one from so many on; that of the last step that is reached. */
  steps?: readonly { from: number; priceMinor: number }[];
}

/** What so many of a pack cost, minor units: each at the least price of the steps that they reach. 12 at 5.00, from 10 on at 4.50, are 54.00. */
export function priceFor(pack: Pick<PackChoice, 'priceMinor' | 'steps'>, count: number): number {
  return count * priceOfOne(pack, count);
}

/** What packs of one entry cost together, minor units. `packs` has each that is counted. */
export function costOfPacks(counts: readonly PackCount[], packs: readonly Pick<PackChoice, 'id' | 'priceMinor' | 'steps'>[]): number {
  return counts.reduce((sum, c) => sum + priceFor(packs.find((p) => p.id === c.pack)!, c.count), 0);
} // prettier-ignore

function priceOfOne({ priceMinor, steps = [] }: Pick<PackChoice, 'priceMinor' | 'steps'>, count: number): number {
  return Math.min(priceMinor, ...steps.filter((s) => count >= s.from).map((s) => s.priceMinor));
} // prettier-ignore

export interface PackCount {
  pack: string;
  count: number;
}

/** Contents are told apart to a thousandth of their unit. */
const QUANTUM = 1000;
/** Table entries at most; above this the content is told apart more coarsely, always on the safe side. */
const MOST_STEPS = 200_000;

/**
 * Whole packs at the least total price that hold at least what is needed, mixing sizes; among equally cheap
 * ones the fewest packs. Nothing for zero, undefined when there is nothing to choose from. A shortest-path
 * table over the content still missing (unbounded covering knapsack; any text on dynamic programming).
 *
 * 25.1 L from bags of 3 L at 14.00 and 9 L at 32.00: three of 9 L (96.00), not nine of 3 L.
 * Valid for contents told apart to a thousandth. Leaves out: what is left over and can be used elsewhere.
 * Test: packs.test.ts, "agrees with trying every mix, and always holds enough".
 */
export function cheapestPacks(needed: number, choices: readonly PackChoice[]): PackCount[] | undefined {
  if (needed <= 1e-9) return [];
  if (choices.length === 0) return undefined;
  if (choices.every((c) => !c.steps?.length)) return evenlyPriced(needed, choices);
  let best: { counts: PackCount[]; minor: number; packs: number } | undefined;
  for (const way of waysOf(choices)) {
    const counts = onSteps(needed, choices, way);
    const minor = costOfPacks(counts, choices);
    const packs = counts.reduce((sum, c) => sum + c.count, 0);
    if (!best || minor < best.minor || (minor === best.minor && packs < best.packs)) best = { counts, minor, packs };
  }
  return best!.counts;
} // prettier-ignore

/** Ways of prices by number that are tried at most; beyond them one pack's at a time. */
const MOST_WAYS = 500;

/** Which step each pack is bought on: 0 for its plain price. */
function waysOf(choices: readonly PackChoice[]): number[][] {
  const each = choices.map((c) => Array.from({ length: (c.steps?.length ?? 0) + 1 }, (_, k) => k));
  if (each.reduce((n, own) => n * own.length, 1) <= MOST_WAYS)
    return each.reduce<number[][]>((all, own) => all.flatMap((way) => own.map((k) => [...way, k])), [[]]);
  return [choices.map(() => 0), ...each.flatMap((own, i) => own.slice(1).map((k) => choices.map((_, n) => (n === i ? k : 0))))];
} // prettier-ignore

/** So many of each as its step asks for, and the cheapest that hold the rest at the prices of those steps. */
function onSteps(needed: number, choices: readonly PackChoice[], way: readonly number[]): PackCount[] {
  const priced = choices.map((c, i) => {
    const least = way[i] > 0 ? c.steps![way[i] - 1].from : 0;
    return { id: c.id, size: c.size, priceMinor: priceOfOne(c, least), least };
  });
  const held = priced.reduce((sum, p) => sum + p.least * p.size, 0);
  const rest = needed - held > 1e-9 ? evenlyPriced(needed - held, priced) : [];
  return priced.flatMap(({ id, least }) => {
    const count = least + (rest.find((c) => c.pack === id)?.count ?? 0);
    return count > 0 ? [{ pack: id, count }] : [];
  });
}

/** The same for packs of one price each. */
function evenlyPriced(needed: number, choices: readonly PackChoice[]): PackCount[] {
  const { steps, sizes } = quantised(needed, choices);
  const price = new Float64Array(steps + 1).fill(Infinity);
  const packs = new Uint32Array(steps + 1);
  const last = new Int16Array(steps + 1);
  price[0] = 0;
  for (let missing = 1; missing <= steps; missing++) {
    for (let i = 0; i < choices.length; i++) {
      const rest = Math.max(0, missing - sizes[i]);
      const total = price[rest] + choices[i].priceMinor;
      const count = packs[rest] + 1;
      if (total < price[missing] || (total === price[missing] && count < packs[missing])) {
        price[missing] = total;
        packs[missing] = count;
        last[missing] = i;
      }
    }
  }
  const counts = new Map<string, number>();
  for (let missing = steps; missing > 0; missing -= sizes[last[missing]]) {
    const { id } = choices[last[missing]];
    counts.set(id, (counts.get(id) ?? 0) + 1);
  }
  return choices.flatMap(({ id }) => (counts.has(id) ? [{ pack: id, count: counts.get(id)! }] : []));
}

/** Sizes and the need in whole steps of their greatest common divisor: bags of 3 and 9 L go by threes. */
function quantised(needed: number, choices: readonly PackChoice[]): { steps: number; sizes: number[] } {
  const thousandths = choices.map((c) => Math.max(1, Math.floor(c.size * QUANTUM + 1e-6)));
  const step = Math.max(
    thousandths.reduce((a, b) => greatestCommonDivisor(a, b)),
    Math.ceil((needed * QUANTUM) / MOST_STEPS),
  );
  return {
    steps: Math.ceil((needed * QUANTUM) / step - 1e-6),
    // Rounded down, so that a pack is never thought to hold more than it does.
    sizes: thousandths.map((t) => Math.max(1, Math.floor(t / step))),
  };
}

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}
