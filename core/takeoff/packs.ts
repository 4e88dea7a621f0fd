/** A pack that can be bought: its content in the unit of the need, and its price in minor units. */
export interface PackChoice {
  id: string;
  size: number;
  priceMinor: number;
}

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
