import { floorShare, type BedField } from './bedField';

/** What stands in the way of grains in each cell: height of its top, mm, 0 where nothing does. */
export type Obstacles = Float64Array;

/** What grains did of themselves. */
export interface Relaxed {
  /** Height of the surface of each cell after it, mm; under a stone that stands out of it as it was drawn. */
  surfaceMm: Float64Array;
  /** What has come down from where it was drawn, L. */
  movedL: number;
  /** Rounds until nothing moved any more, and whether they sufficed. */
  rounds: number;
  settled: boolean;
}

const MM3_PER_L = 1e6;
/** A round that moves less than this anywhere is the last, mm. */
const STILL_MM = 0.02;
const MOST_ROUNDS = 4_000;

/**
 * Lets grains creep to their angle of repose: wherever the surface falls more steeply than the tangent of that angle
 * from one cell to one of the eight beside it, half of what is too much goes over. Stones hold back what is lower than their top;
 * what is higher goes over them. No grain is made or lost.
 * Valid for dry or drained grain, all slopes within 8 % of the tangent (that between two of eight
 * directions). Leaves out: how long it takes, roots, what water carries.
 * Test: relax.test.ts, "brings a cone to the radius and height of its angle of repose".
 */
export function relax(
  field: BedField,
  tangent: (cell: number) => number,
  obstacles?: Obstacles,
  onRound?: (round: number) => boolean,
): Relaxed {
  return run(relaxing(field, tangent, obstacles), onRound);
}

/** Work that goes in rounds: yields the number of each, goes on until told to stop, and then says how far it came. */
export type Rounds<T> = Generator<number, T, boolean | undefined>;

/** Goes through all rounds at once. */
export function run<T>(rounds: Rounds<T>, onRound?: (round: number) => boolean): T {
  let step = rounds.next();
  while (!step.done) step = rounds.next(onRound ? !onRound(step.value) : undefined);
  return step.value;
}

/** The same round by round, for those who want to do something else in between; told `true` it stops. */
export function* relaxing(
  field: BedField,
  tangent: (cell: number) => number,
  obstacles?: Obstacles,
): Rounds<Relaxed> {
  const { columns, rows, dxMm, dyMm } = field;
  const cells = columns * rows;
  const share = Float64Array.from({ length: cells }, (_, c) => floorShare(field, c));
  // Grain lies on the glass, or on the stone that stands there.
  const groundMm = Float64Array.from({ length: cells }, (_, c) => obstacles?.[c] || 0);
  const z = Float64Array.from(field.surfaceMm, (mm, c) => Math.max(mm, groundMm[c]));
  const before = z.slice();
  const tan = Float64Array.from({ length: cells }, (_, c) => tangent(c));
  let rounds = 0;
  let largest = Infinity;
  const give = (a: number, b: number, apartMm: number) => {
    const fell = exchange(z, groundMm, share, tan, a, b, apartMm);
    if (fell > largest) largest = fell;
  };
  const acrossMm = Math.hypot(dxMm, dyMm);
  /** Across a corner no grain goes where stones close it from both sides. */
  const isClosed = (a: number, b: number, top: number) => groundMm[a] >= top && groundMm[b] >= top;
  while (largest > STILL_MM && rounds < MOST_ROUNDS) {
    largest = 0;
    for (let row = 0; row < rows; row++)
      for (let column = 0; column < columns; column++) {
        const c = row * columns + column;
        const [right, up] = [column + 1 < columns, row + 1 < rows];
        if (right) give(c, c + 1, dxMm);
        if (up) give(c, c + columns, dyMm);
        if (!up) continue;
        if (right && !isClosed(c + 1, c + columns, Math.max(z[c], z[c + columns + 1])))
          give(c, c + columns + 1, acrossMm);
        if (column > 0 && !isClosed(c - 1, c + columns, Math.max(z[c], z[c + columns - 1])))
          give(c, c + columns - 1, acrossMm);
      }
    rounds++;
    if (yield rounds) break;
  }
  let moved = 0;
  for (let c = 0; c < cells; c++) moved += Math.max(0, before[c] - z[c]) * share[c];
  // A stone that stands out is no bed: what grain lies on it counts, its own height does not.
  const surfaceMm = z.map((mm, c) =>
    mm > groundMm[c] || groundMm[c] <= field.surfaceMm[c] ? mm : field.surfaceMm[c],
  );
  return { surfaceMm, movedL: (moved * dxMm * dyMm) / MM3_PER_L, rounds, settled: largest <= STILL_MM };
}

/** Lets grain go from the higher of two neighbours to the lower; returns by how much the higher one fell, mm. */
function exchange(
  z: Float64Array,
  groundMm: Float64Array,
  share: Float64Array,
  tan: Float64Array,
  a: number,
  b: number,
  apartMm: number,
): number {
  const [high, low] = z[a] >= z[b] ? [a, b] : [b, a];
  if (share[a] <= 0 || share[b] <= 0) return 0;
  const there = z[high] - groundMm[high];
  const tooMuch = z[high] - z[low] - tan[high] * apartMm;
  if (tooMuch <= 0 || there <= 0) return 0;
  // Cells at curved glass are part cells: what leaves one fills the other by its own floor.
  const fall = Math.min(there, (tooMuch * share[low]) / (share[high] + share[low]));
  z[high] -= fall;
  z[low] += (fall * share[high]) / share[low];
  return fall;
}
