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
const STILL_MM = 0.1;
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

/** Grain over a grid of cells: heights, what it lies on, how much of each cell is floor, and what it holds. */
interface Grains {
  columns: number;
  rows: number;
  dxMm: number;
  dyMm: number;
  z: Float64Array;
  groundMm: Float64Array;
  share: Float64Array;
  tan: Float64Array;
}

/** Large heaps are first let creep in cells this many times as wide: what has far to go goes in long steps. */
const WIDER = [16, 8, 4, 2] as const;
/** Wide cells hold slopes that are steeper by this for each time that they are as wide, so that they never spread a heap further than the fine ones would. */
const STEEPER = 0.045;
/** A grid with fewer cells along a side shows no heap any more. */
const FEWEST = 12;
/** In wide cells it is still sooner, mm: the fine ones follow. */
const STILL_WIDE_MM = 0.2;
/** Cells along the side of a tile: where nothing moves in a tile and around it, nobody looks. */
const TILE = 16;

/** The same round by round, for those who want to do something else in between; told `true` it stops. */
export function* relaxing(
  field: BedField,
  tangent: (cell: number) => number,
  obstacles?: Obstacles,
): Rounds<Relaxed> {
  const { columns, rows, dxMm, dyMm } = field;
  const cells = columns * rows;
  // Grain lies on the glass, or on the stone that stands there.
  const groundMm = Float64Array.from({ length: cells }, (_, c) => obstacles?.[c] || 0);
  const fine: Grains = {
    columns,
    rows,
    dxMm,
    dyMm,
    z: Float64Array.from(field.surfaceMm, (mm, c) => Math.max(mm, groundMm[c])),
    groundMm,
    share: Float64Array.from({ length: cells }, (_, c) => floorShare(field, c)),
    tan: Float64Array.from({ length: cells }, (_, c) => tangent(c)),
  };
  const before = fine.z.slice();
  let rounds = 0;
  let stopped = false;
  let left = 0;
  for (const by of [...WIDER, 1]) {
    if (by > 1 && Math.min(columns, rows) < FEWEST * by) continue;
    const grains = by > 1 ? inWideCells(fine, by) : fine;
    const was = grains.z.slice();
    const each = creeping(grains, by > 1 ? STILL_WIDE_MM : STILL_MM);
    let step = each.next();
    while (!step.done && !stopped) {
      stopped = (yield ++rounds) ?? false;
      if (!stopped) step = each.next();
    }
    left = step.done ? step.value : Infinity;
    if (by > 1) intoFineCells(fine, grains, was, by);
    if (stopped) break;
  }
  let moved = 0;
  for (let c = 0; c < cells; c++) moved += Math.max(0, before[c] - fine.z[c]) * fine.share[c];
  // A stone that stands out is no bed: what grain lies on it counts, its own height does not.
  const surfaceMm = fine.z.map((mm, c) =>
    mm > groundMm[c] || groundMm[c] <= field.surfaceMm[c] ? mm : field.surfaceMm[c],
  );
  return { surfaceMm, movedL: (moved * dxMm * dyMm) / MM3_PER_L, rounds, settled: left <= STILL_MM };
}

/** Rounds over the tiles in which something moves, until nothing moves by more than so much; returns what last did. */
function* creeping(g: Grains, stillMm: number): Generator<void, number, void> {
  const [across, down] = [Math.ceil(g.columns / TILE), Math.ceil(g.rows / TILE)];
  let active = new Uint8Array(across * down).fill(1);
  let largest = Infinity;
  const leastTan = g.tan.reduce((a, b) => Math.min(a, b), Infinity);
  for (let round = 0; largest > stillMm && round < MOST_ROUNDS; round++) {
    largest = 0;
    const next = new Uint8Array(across * down);
    for (let v = 0; v < down; v++)
      for (let u = 0; u < across; u++) {
        if (active[v * across + u] === 0) continue;
        const most = creptIn(g, u * TILE, v * TILE, leastTan);
        if (most > largest) largest = most;
        if (most > stillMm) wake(next, u, v, across, down);
      }
    active = next;
    yield;
  }
  return largest;
}

/** Lets grain go between the cells of one tile, each with its neighbours after it; returns by how much one fell at most, mm. */
function creptIn(g: Grains, fromColumn: number, fromRow: number, leastTan: number): number {
  const { columns, rows, dxMm, dyMm, z, groundMm } = g;
  const acrossMm = Math.hypot(dxMm, dyMm);
  // Nearly all lie still: those that fall less than any grain here holds are passed over at once.
  const [steepX, steepY, steepAcross] = [leastTan * dxMm, leastTan * dyMm, leastTan * acrossMm];
  const toRow = Math.min(rows, fromRow + TILE);
  const toColumn = Math.min(columns, fromColumn + TILE);
  let most = 0;
  for (let row = fromRow; row < toRow; row++)
    for (let column = fromColumn; column < toColumn; column++) {
      const c = row * columns + column;
      const isRight = column + 1 < columns;
      if (isRight && isSteep(z[c] - z[c + 1], steepX)) most = Math.max(most, exchange(g, c, c + 1, dxMm));
      if (row + 1 === rows) continue;
      const up = c + columns;
      if (isSteep(z[c] - z[up], steepY)) most = Math.max(most, exchange(g, c, up, dyMm));
      if (isRight && isSteep(z[c] - z[up + 1], steepAcross) && !isClosed(groundMm, c + 1, up, Math.max(z[c], z[up + 1])))
        most = Math.max(most, exchange(g, c, up + 1, acrossMm)); // prettier-ignore
      if (column > 0 && isSteep(z[c] - z[up - 1], steepAcross) && !isClosed(groundMm, c - 1, up, Math.max(z[c], z[up - 1])))
        most = Math.max(most, exchange(g, c, up - 1, acrossMm)); // prettier-ignore
    }
  return most;
}

function isSteep(fallMm: number, mostMm: number): boolean {
  return fallMm > mostMm || -fallMm > mostMm;
}

/** Across a corner no grain goes where stones close it from both sides. */
function isClosed(groundMm: Float64Array, a: number, b: number, topMm: number): boolean {
  return groundMm[a] >= topMm && groundMm[b] >= topMm;
}

/** Where something moved, the tiles around it are looked at in the next round. */
function wake(tiles: Uint8Array, u: number, v: number, across: number, down: number): void {
  for (let y = Math.max(0, v - 1); y <= Math.min(down - 1, v + 1); y++)
    for (let x = Math.max(0, u - 1); x <= Math.min(across - 1, u + 1); x++) tiles[y * across + x] = 1;
}

/** Lets grain go from the higher of two neighbours to the lower; returns by how much the higher one fell, mm. */
function exchange({ z, groundMm, share, tan }: Grains, a: number, b: number, apartMm: number): number {
  const high = z[a] >= z[b] ? a : b;
  const low = high === a ? b : a;
  const tooMuch = z[high] - z[low] - tan[high] * apartMm;
  if (tooMuch <= 0 || share[a] <= 0 || share[b] <= 0) return 0;
  const there = z[high] - groundMm[high];
  if (there <= 0) return 0;
  // Cells at curved glass are part cells: what leaves one fills the other by its own floor.
  const fall = Math.min(there, (tooMuch * share[low]) / (share[high] + share[low]));
  z[high] -= fall;
  z[low] += (fall * share[high]) / share[low];
  return fall;
}

/** The cells of a block of the fine grid. */
function blockOf({ columns, rows }: Grains, wide: number, column: number, row: number): number[] {
  const cells: number[] = [];
  for (let r = row * wide; r < Math.min(rows, (row + 1) * wide); r++)
    for (let c = column * wide; c < Math.min(columns, (column + 1) * wide); c++) cells.push(r * columns + c);
  return cells;
}

/** The same grain in wider cells, each with the mean of its own; a block with a stone in it neither gives nor leaks. */
function inWideCells(fine: Grains, by: number): Grains {
  const [columns, rows] = [Math.ceil(fine.columns / by), Math.ceil(fine.rows / by)];
  const z = new Float64Array(columns * rows);
  const [groundMm, share, tan] = [z.slice(), z.slice(), z.slice()];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const w = row * columns + column;
      let [floor, sum, steep, top] = [0, 0, 0, 0];
      for (const c of blockOf(fine, by, column, row)) {
        floor += fine.share[c];
        sum += fine.share[c] * fine.z[c];
        steep += fine.share[c] * fine.tan[c];
        if (fine.groundMm[c] > 0) top = Math.max(top, fine.groundMm[c], fine.z[c]);
      }
      share[w] = floor / (by * by);
      z[w] = top > 0 ? top : floor > 0 ? sum / floor : 0;
      tan[w] = (1 + STEEPER * by) * (floor > 0 ? steep / floor : 1);
      groundMm[w] = top;
    }
  return { columns, rows, dxMm: fine.dxMm * by, dyMm: fine.dyMm * by, z, groundMm, share, tan };
}

/** Brings what came to a block or left it into its cells: the lowest are filled, the highest taken down, to one level. */
function intoFineCells(fine: Grains, wide: Grains, was: Float64Array, by: number): void {
  for (let row = 0; row < wide.rows; row++)
    for (let column = 0; column < wide.columns; column++) {
      const w = row * wide.columns + column;
      const change = (wide.z[w] - was[w]) * wide.share[w] * by * by;
      if (Math.abs(change) < 1e-9) continue;
      levelled(fine, blockOf(fine, by, column, row), change);
    }
}

/** Fills the lowest cells of a block to one level with so much grain, or takes so much off the highest. */
function levelled({ z, share, groundMm }: Grains, cells: readonly number[], change: number): void {
  const up = change > 0;
  const floor = cells.filter((c) => share[c] > 0).sort((a, b) => (up ? z[a] - z[b] : z[b] - z[a]));
  let left = Math.abs(change);
  let width = 0;
  for (let i = 0; i < floor.length && left > 0; i++) {
    width += share[floor[i]];
    const level = z[floor[i]];
    const next = i + 1 < floor.length ? z[floor[i + 1]] : up ? Infinity : 0;
    const room = Math.abs(next - level) * width;
    const to = room >= left ? level + (up ? left : -left) / width : next;
    for (let j = 0; j <= i; j++) z[floor[j]] = up ? to : Math.max(to, groundMm[floor[j]]);
    left -= Math.min(left, room);
  }
}
