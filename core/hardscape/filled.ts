import type { Vessel } from '../commission/schema';
import { Company, type Beside } from './beside';
import type { Standing } from './settle';
import { addLayers, shared, Spans } from './spans';
import type { Under } from './under';

/** What of a piece earlier ones fill already, below the rim: in all, in the water, the air and each layer, mm before it is scaled. */
export interface Filled {
  all: number;
  inFreeWater: number;
  inAir: number;
  inLayer: Float64Array;
}

/** Columns a side of the blocks in which it is asked: where nothing changed, a block keeps its sums. */
const BLOCK = 4;
/** Sums of a block before those of the layers. */
const [ALL, WATER, AIR, LAYERS] = [0, 1, 2, 3];

/** The sums of each block, and the earlier pieces that they were made with. Kept while the piece itself stays. */
export interface Filling {
  under: Under;
  earlier: Company;
  sums: Float64Array;
}

export function newFilling(under: Under): Filling {
  return { under, earlier: new Company(), sums: new Float64Array(0) };
}

/**
 * What earlier pieces fill of a standing one, block by block of its columns: only those blocks are asked anew in which
 * the earlier ones are others than those that `filling` was made with, which is brought up to date.
 */
export function filledBy(
  standing: Standing,
  vessel: Vessel,
  earlier: readonly Standing[],
  filling: Filling,
): Filled {
  const { layers } = filling.under;
  const filled: Filled = { all: 0, inFreeWater: 0, inAir: 0, inLayer: new Float64Array(layers) };
  const changed = filling.earlier.meet(standing, earlier);
  if (changed.length > 0) askAnew(standing, vessel, changed, filling);
  const { sums } = filling;
  const size = LAYERS + layers;
  for (let b = 0; b < sums.length; b += size) {
    filled.all += sums[b + ALL];
    filled.inFreeWater += sums[b + WATER];
    filled.inAir += sums[b + AIR];
    for (let i = 0; i < filled.inLayer.length; i++) filled.inLayer[i] += sums[b + LAYERS + i];
  }
  return filled;
}

/** Works out those blocks in which one of the changed pieces fills anything of the standing one. */
function askAnew(standing: Standing, vessel: Vessel, changed: readonly Beside[], filling: Filling): void {
  const { columns, rows } = standing.columns;
  const across = Math.ceil(columns / BLOCK);
  const down = Math.ceil(rows / BLOCK);
  const size = LAYERS + filling.under.layers;
  if (filling.sums.length === 0) filling.sums = new Float64Array(across * down * size);
  const spans = new Spans();
  const block = { column: 0, row: 0 };
  for (let row = 0, b = 0; row < down; row++)
    for (let column = 0; column < across; column++, b += size) {
      block.column = column * BLOCK;
      block.row = row * BLOCK;
      if (!fillsAny(standing, changed, block)) continue;
      fill(standing, filling, vessel, block, spans, filling.sums.subarray(b, b + size));
    }
} // prettier-ignore

/** The first column and row of a block. */
interface Corner {
  column: number;
  row: number;
}

/** Whether one of the others has anything in common with the piece in a block. */
function fillsAny({ columns: col }: Standing, others: readonly Beside[], block: Corner): boolean {
  const lastRow = Math.min(col.rows, block.row + BLOCK);
  const lastColumn = Math.min(col.columns, block.column + BLOCK);
  for (let o = 0; o < others.length; o++) {
    const { columnAt, rowAt, upMm, first, lo, hi } = others[o];
    if (!others[o].reaches(block.column, block.row, BLOCK)) continue;
    for (let row = block.row; row < lastRow; row++) {
      if (rowAt[row] < 0) continue;
      for (let column = block.column; column < lastColumn; column++) {
        if (columnAt[column] < 0) continue;
        const e = rowAt[row] + columnAt[column];
        const c = row * col.columns + column;
        for (let i = first[e]; i < first[e + 1]; i++)
          for (let k = col.first[c]; k < col.first[c + 1]; k++)
            if (lo[i] + upMm < col.hi[k] && hi[i] + upMm > col.lo[k]) return true;
      }
    }
  }
  return false;
}

/** Writes what the others fill of a block into `sums`. */
function fill({ columns: col, zMm }: Standing, { under, earlier }: Filling, vessel: Vessel, block: Corner, spans: Spans, sums: Float64Array): void {
  sums.fill(0);
  const inLayer = sums.subarray(LAYERS);
  const lastRow = Math.min(col.rows, block.row + BLOCK);
  const lastColumn = Math.min(col.columns, block.column + BLOCK);
  for (let row = block.row; row < lastRow; row++) {
    for (let column = block.column; column < lastColumn; column++) {
      const c = row * col.columns + column;
      let known = false;
      for (let k = col.first[c]; k < col.first[c + 1]; k++) {
        const [lo, hi] = [col.lo[k], col.hi[k]];
        takeOff(spans, earlier.near, row, column, lo, hi);
        if (spans.is(lo, hi)) continue;
        if (!known && !under.at(row, column)) break;
        known = true;
        add(sums, inLayer, under, vessel, lo + zMm, hi + zMm, 1);
        for (let s = 0; s < spans.count; s += 2)
          add(sums, inLayer, under, vessel, spans.ends[s] + zMm, spans.ends[s + 1] + zMm, -1);
      }
    }
  }
} // prettier-ignore

/** Leaves in `spans` what of a span in one column the others do not fill. */
function takeOff(spans: Spans, near: readonly Beside[], row: number, column: number, from: number, to: number): void {
  spans.start(from, to);
  for (let i = 0; i < near.length; i++) {
    const { columnAt, rowAt, upMm, first, lo, hi } = near[i];
    if (rowAt[row] < 0 || columnAt[column] < 0) continue;
    const e = rowAt[row] + columnAt[column];
    for (let k = first[e]; k < first[e + 1]; k++) spans.without(lo[k] + upMm, hi[k] + upMm);
    if (spans.count === 0) return;
  }
} // prettier-ignore

/** Adds a span to the sums of a block, or takes it off again. */
function add(sums: Float64Array, inLayer: Float64Array, { surface, tops, from }: Under, { waterLineMm, innerMm }: Vessel, lo: number, hi: number, sign: 1 | -1): void {
  const line = surface > waterLineMm ? surface : waterLineMm;
  sums[ALL] += sign * shared(lo, hi, 0, innerMm.height);
  sums[WATER] += sign * shared(lo, hi, surface, line);
  sums[AIR] += sign * shared(lo, hi, line, innerMm.height);
  addLayers(inLayer, tops, from, lo, hi, sign);
} // prettier-ignore
