import { cellAt, onFloor, regionHas, type BedField } from '../substrate/bedField';
import { layersAt } from '../substrate/stack';
import type { Vessel } from '../commission/schema';
import type { Standing } from './settle';

/** What one standing piece takes up, mm³. The `own` figures leave out what an earlier piece already fills. */
export interface Displaced {
  inBed: number;
  underWater: number;
  outside: number;
  overlap: number;
  /** Own volume within each layer. */
  ownInLayer: Float64Array;
  ownInFreeWater: number;
  /** Own volume above both the bed and the water line, below the rim. */
  ownInAir: number;
  /** Columns in which the bed's surface meets the piece: x, y in a row, mm. */
  footXY: Float64Array;
  footMm2: number;
}

/** What a piece takes up by itself, mm³ before it is scaled: as if it were the only one. */
export interface Alone {
  inBed: number;
  underWater: number;
  outside: number;
  inLayer: Float64Array;
  inFreeWater: number;
  inAir: number;
  footXY: Float64Array;
}

/** Ends of the spans that one column may be left with where earlier pieces cut it up. */
const MOST_SPANS = 64;

/**
 * Measures a piece against the bed, the water and the pieces counted before it, column by column: first as if it were
 * alone, then less what the others fill, which is asked only where they are. `keep` may hold the first part of it: a
 * piece that is moved past does not change it.
 */
export function displace(
  standing: Standing,
  field: BedField,
  vessel: Vessel,
  earlier: readonly Standing[],
  keep: (alone: () => Alone) => Alone = (alone) => alone(),
): Displaced {
  const alone = keep(() => aloneIn(standing, field, vessel));
  const shared = earlier.length === 0 ? undefined : filledBy(standing, field, vessel, earlier);
  const scale = standing.columns.columnMm2;
  return {
    inBed: alone.inBed * scale,
    underWater: alone.underWater * scale,
    outside: alone.outside * scale,
    overlap: (shared?.all ?? 0) * scale,
    ownInFreeWater: (alone.inFreeWater - (shared?.inFreeWater ?? 0)) * scale,
    ownInAir: (alone.inAir - (shared?.inAir ?? 0)) * scale,
    ownInLayer: alone.inLayer.map((v, i) => (v - (shared?.inLayer[i] ?? 0)) * scale),
    footXY: alone.footXY,
    footMm2: scale,
  };
}

/** The bed under one spot of the floor: which layers are there, how high each is. */
class Under {
  readonly inside: Uint8Array;
  readonly tops: Float64Array;
  surface = 0;

  constructor(private readonly field: BedField) {
    this.inside = new Uint8Array(field.stack.count).fill(1);
    this.tops = new Float64Array(field.stack.count);
  }

  /** False beyond the glass. */
  at(x: number, y: number): boolean {
    const { field, inside } = this;
    if (!onFloor(field, x, y)) return false;
    const { stack, coverage } = field;
    const cell = cellAt(field, x, y);
    for (let i = 0; i < stack.count; i++) {
      const region = stack.regions[i];
      if (region) inside[i] = regionHas(region, coverage[i]![cell], x, y) ? 1 : 0;
    }
    this.surface = layersAt(stack, x, y, inside, this.tops);
    return true;
  }
}

function aloneIn({ columns: col, xMm, yMm, zMm }: Standing, field: BedField, vessel: Vessel): Alone {
  const { waterLineMm } = vessel;
  const { height } = vessel.innerMm;
  const under = new Under(field);
  const { tops } = under;
  const inLayer = new Float64Array(tops.length);
  // Added up in figures of their own: this is asked at every column of whatever is moved.
  let [inBed, underWater, outside, inFreeWater, inAir] = [0, 0, 0, 0, 0];
  const foot: number[] = [];
  for (let row = 0, c = 0; row < col.rows; row++) {
    const y = yMm + col.y0 + row * col.dyMm;
    for (let column = 0; column < col.columns; column++, c++) {
      const from = col.first[c];
      const to = col.first[c + 1];
      if (from === to) continue;
      const x = xMm + col.x0 + column * col.dxMm;
      if (!under.at(x, y)) {
        for (let k = from; k < to; k++) outside += col.hi[k] - col.lo[k];
        continue;
      }
      const { surface } = under;
      const line = surface > waterLineMm ? surface : waterLineMm;
      let onSurface = false;
      for (let k = from; k < to; k++) {
        const lo = col.lo[k] + zMm;
        const hi = col.hi[k] + zMm;
        outside += hi - lo - shared(lo, hi, 0, height);
        inBed += shared(lo, hi, 0, surface);
        underWater += shared(lo, hi, 0, waterLineMm);
        if (surface > 0 && lo < surface && hi > surface) onSurface = true;
        if (lo < surface) addLayers(inLayer, tops, lo, hi);
        inFreeWater += shared(lo, hi, surface, line);
        if (hi > line) inAir += shared(lo, hi, line, height);
      }
      if (onSurface) foot.push(x, y);
    }
  }
  return { inBed, underWater, outside, inLayer, inFreeWater, inAir, footXY: Float64Array.from(foot) };
}

/** Adds what a span has in each layer. */
function addLayers(inLayer: Float64Array, tops: Float64Array, lo: number, hi: number, sign = 1): void {
  for (let i = 0, below = 0; i < tops.length; below = tops[i++])
    inLayer[i] += sign * shared(lo, hi, below, tops[i]);
}

/** What of a piece earlier ones fill already, below the rim: in all, and in each layer, the water and the air. */
function filledBy(standing: Standing, field: BedField, vessel: Vessel, earlier: readonly Standing[]): Filled {
  const under = new Under(field);
  const filled: Filled = { all: 0, inFreeWater: 0, inAir: 0, inLayer: new Float64Array(under.tops.length) };
  const { columns: col, xMm, yMm, zMm } = standing;
  const spans = new Float64Array(MOST_SPANS);
  const beside = new Beside(standing, earlier);
  for (let row = 0; row < col.rows; row++) {
    const y = yMm + col.y0 + row * col.dyMm;
    beside.atRow(y);
    for (let column = beside.first; column <= beside.last; column++) {
      const c = row * col.columns + column;
      const x = xMm + col.x0 + column * col.dxMm;
      let known = false;
      for (let k = col.first[c]; k < col.first[c + 1]; k++) {
        const lo = col.lo[k] + zMm;
        const hi = col.hi[k] + zMm;
        const n = ownSpans(spans, lo, hi, column, x, beside);
        if (n === 2 && spans[0] === lo && spans[1] === hi) continue;
        if (!known && !under.at(x, y)) break;
        known = true;
        addFilled(filled, under, vessel, lo, hi, 1);
        for (let s = 0; s < n; s += 2) addFilled(filled, under, vessel, spans[s], spans[s + 1], -1);
      }
    }
  }
  return filled;
}

interface Filled {
  all: number;
  inFreeWater: number;
  inAir: number;
  inLayer: Float64Array;
}

/** Adds a span to what is filled, or takes it off again. */
function addFilled(filled: Filled, { surface, tops }: Under, vessel: Vessel, lo: number, hi: number, sign: 1 | -1): void {
  const { waterLineMm, innerMm } = vessel;
  const line = Math.max(surface, waterLineMm);
  filled.all += sign * shared(lo, hi, 0, innerMm.height);
  addLayers(filled.inLayer, tops, lo, hi, sign);
  filled.inFreeWater += sign * shared(lo, hi, surface, line);
  filled.inAir += sign * shared(lo, hi, line, innerMm.height);
} // prettier-ignore

/** Length that two spans of height have in common. */
function shared(lo: number, hi: number, from: number, to: number): number {
  const length = Math.min(hi, to) - Math.max(lo, from);
  return length > 0 ? length : 0;
}

function whole(spans: Float64Array, lo: number, hi: number): number {
  spans[0] = lo;
  spans[1] = hi;
  return 2;
}

/** Those of the earlier pieces that a row of columns passes through, where their own row begins, and which columns meet them. */
class Beside {
  count = 0;
  readonly pieces: Standing[] = [];
  readonly rowStart: number[] = [];
  readonly from: number[] = [];
  readonly to: number[] = [];
  /** The first and the last column that any of them meets in this row. */
  first = 0;
  last = -1;
  /** The same for each of the earlier pieces, whatever the row. */
  private readonly ranges: Int32Array;

  constructor(
    { columns: own, xMm }: Standing,
    private readonly earlier: readonly Standing[],
  ) {
    this.ranges = new Int32Array(earlier.length * 2);
    earlier.forEach(({ columns: e, xMm: at }, i) => {
      const columnAt = (x: number) => (x - xMm - own.x0) / own.dxMm;
      this.ranges[i * 2] = Math.max(0, Math.floor(columnAt(at + e.x0 - e.dxMm / 2)));
      this.ranges[i * 2 + 1] = Math.min(own.columns - 1, Math.ceil(columnAt(at + e.x0 + (e.columns - 0.5) * e.dxMm))); // prettier-ignore
    });
  }

  atRow(y: number): void {
    this.count = 0;
    this.first = Infinity;
    this.last = -1;
    for (let i = 0; i < this.earlier.length; i++) {
      const from = this.ranges[i * 2];
      const to = this.ranges[i * 2 + 1];
      const piece = this.earlier[i];
      const e = piece.columns;
      const row = Math.round((y - piece.yMm - e.y0) / e.dyMm);
      if (row < 0 || row >= e.rows || from > to) continue;
      this.pieces[this.count] = piece;
      this.from[this.count] = from;
      this.to[this.count] = to;
      this.rowStart[this.count++] = row * e.columns;
      if (from < this.first) this.first = from;
      if (to > this.last) this.last = to;
    }
  }
}

/** The span lo to hi less what earlier pieces fill at this spot, as pairs in `spans`; returns how many. */
function ownSpans(spans: Float64Array, lo: number, hi: number, column: number, x: number, beside: Beside): number {
  let n = whole(spans, lo, hi);
  for (let i = 0; i < beside.count; i++) {
    if (column < beside.from[i] || column > beside.to[i]) continue;
    const piece = beside.pieces[i];
    const e = piece.columns;
    const there = Math.round((x - piece.xMm - e.x0) / e.dxMm);
    if (there < 0 || there >= e.columns) continue;
    const c = beside.rowStart[i] + there;
    for (let k = e.first[c]; k < e.first[c + 1]; k++)
      n = without(spans, n, e.lo[k] + piece.zMm, e.hi[k] + piece.zMm);
    if (n === 0) return 0;
  }
  return n;
} // prettier-ignore

/** Takes one span out of a list of them; a span that is split leaves two. */
function without(spans: Float64Array, n: number, lo: number, hi: number): number {
  let count = n;
  for (let s = 0; s < n; s += 2) {
    const a = spans[s];
    const b = spans[s + 1];
    if (hi <= a || lo >= b) continue;
    if (lo > a && hi < b && count + 2 <= spans.length) {
      spans[count] = hi;
      spans[count + 1] = b;
      count += 2;
      spans[s + 1] = lo;
    } else if (lo > a) spans[s + 1] = lo;
    else if (hi < b) spans[s] = hi;
    else spans[s + 1] = a;
  }
  return withoutEmpty(spans, count);
}

/** Closes the gaps that spans leave of which nothing is left. */
function withoutEmpty(spans: Float64Array, n: number): number {
  let kept = 0;
  for (let s = 0; s < n; s += 2) {
    if (spans[s + 1] <= spans[s]) continue;
    spans[kept] = spans[s];
    spans[kept + 1] = spans[s + 1];
    kept += 2;
  }
  return kept;
}
