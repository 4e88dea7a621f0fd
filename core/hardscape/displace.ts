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

/** Measures a piece against the bed, the water and the pieces counted before it, column by column. */
export function displace(
  standing: Standing,
  field: BedField,
  vessel: Vessel,
  earlier: readonly Standing[],
): Displaced {
  const { columns: col, xMm, yMm, zMm } = standing;
  const { height } = vessel.innerMm;
  const { stack } = field;
  const inside = new Uint8Array(stack.count);
  const tops = new Float64Array(stack.count);
  const spans = new Float64Array(64);
  const out = { inBed: 0, underWater: 0, outside: 0, overlap: 0, ownInFreeWater: 0, ownInAir: 0 };
  const ownInLayer = new Float64Array(stack.count);
  const foot: number[] = [];
  const beside = new Beside(earlier);
  for (let row = 0, c = 0; row < col.rows; row++) {
    const y = yMm + col.y0 + row * col.dyMm;
    beside.atRow(y);
    for (let column = 0; column < col.columns; column++, c++) {
      const from = col.first[c];
      const to = col.first[c + 1];
      if (from === to) continue;
      const x = xMm + col.x0 + column * col.dxMm;
      if (!onFloor(field, x, y)) {
        for (let k = from; k < to; k++) out.outside += col.hi[k] - col.lo[k];
        continue;
      }
      const cell = cellAt(field, x, y);
      for (let i = 0; i < stack.count; i++) {
        const region = stack.regions[i];
        inside[i] = !region || regionHas(region, field.coverage[i]![cell], x, y) ? 1 : 0;
      }
      const surface = layersAt(stack, x, y, inside, tops);
      const line = Math.max(surface, vessel.waterLineMm);
      let onSurface = false;
      for (let k = from; k < to; k++) {
        const lo = col.lo[k] + zMm;
        const hi = col.hi[k] + zMm;
        const clear = shared(lo, hi, 0, height);
        out.outside += hi - lo - clear;
        out.inBed += shared(lo, hi, 0, surface);
        out.underWater += shared(lo, hi, 0, vessel.waterLineMm);
        if (surface > 0 && lo < surface && hi > surface) onSurface = true;
        const n = beside.count === 0 ? whole(spans, lo, hi) : ownSpans(spans, lo, hi, x, beside);
        let own = 0;
        for (let s = 0; s < n; s += 2) {
          const a = spans[s];
          const b = spans[s + 1];
          own += shared(a, b, 0, height);
          let below = 0;
          for (let i = 0; i < stack.count; i++) {
            ownInLayer[i] += shared(a, b, below, tops[i]);
            below = tops[i];
          }
          out.ownInFreeWater += shared(a, b, surface, line);
          out.ownInAir += shared(a, b, line, height);
        }
        out.overlap += clear - own;
      }
      if (onSurface) foot.push(x, y);
    }
  }
  const scale = col.columnMm2;
  for (const key of Object.keys(out) as (keyof typeof out)[]) out[key] *= scale;
  return {
    ...out,
    ownInLayer: ownInLayer.map((v) => v * scale),
    footXY: Float64Array.from(foot),
    footMm2: scale,
  };
}

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

/** Those of the earlier pieces that a row of columns passes through, and where their own row begins. */
class Beside {
  count = 0;
  readonly pieces: Standing[] = [];
  readonly rowStart: number[] = [];

  constructor(private readonly earlier: readonly Standing[]) {}

  atRow(y: number): void {
    this.count = 0;
    for (let i = 0; i < this.earlier.length; i++) {
      const piece = this.earlier[i];
      const e = piece.columns;
      const row = Math.round((y - piece.yMm - e.y0) / e.dyMm);
      if (row < 0 || row >= e.rows) continue;
      this.pieces[this.count] = piece;
      this.rowStart[this.count++] = row * e.columns;
    }
  }
}

/** The span lo to hi less what earlier pieces fill at this spot, as pairs in `spans`; returns how many. */
function ownSpans(spans: Float64Array, lo: number, hi: number, x: number, beside: Beside): number {
  let n = whole(spans, lo, hi);
  for (let i = 0; i < beside.count; i++) {
    const piece = beside.pieces[i];
    const e = piece.columns;
    const column = Math.round((x - piece.xMm - e.x0) / e.dxMm);
    if (column < 0 || column >= e.columns) continue;
    const c = beside.rowStart[i] + column;
    for (let k = e.first[c]; k < e.first[c + 1]; k++)
      n = without(spans, n, e.lo[k] + piece.zMm, e.hi[k] + piece.zMm);
    if (n === 0) return 0;
  }
  return n;
}

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
