import type { Vessel } from '../commission/schema';
import type { BedField } from '../substrate/bedField';
import { filledBy, newFilling, type Filling } from './filled';
import type { Standing } from './settle';
import { addLayers, shared } from './spans';
import { Under } from './under';

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

/** What may be kept of a piece while it and the bed stay as they are: a piece that is moved past changes little of it. */
export interface Lasting {
  alone: Alone;
  filling: Filling;
}

export function lastingOf(
  standing: Standing,
  field: BedField,
  vessel: Vessel,
  under = new Under(field, standing),
): Lasting {
  return { alone: aloneIn(standing, under, vessel), filling: newFilling(under) };
}

/**
 * Measures a piece against the bed, the water and the pieces counted before it, column by column: first as if it were
 * alone, then less what the others fill, which is asked only where they are.
 *
 * @param lasting what it was in the same place over the same bed under the same water line
 */
export function displace(
  standing: Standing,
  field: BedField,
  vessel: Vessel,
  earlier: readonly Standing[],
  lasting: Lasting = lastingOf(standing, field, vessel),
): Displaced {
  const { alone } = lasting;
  const shared = filledBy(standing, vessel, earlier, lasting.filling);
  const scale = standing.columns.columnMm2;
  return {
    inBed: alone.inBed * scale,
    underWater: alone.underWater * scale,
    outside: alone.outside * scale,
    overlap: shared.all * scale,
    ownInFreeWater: (alone.inFreeWater - shared.inFreeWater) * scale,
    ownInAir: (alone.inAir - shared.inAir) * scale,
    ownInLayer: alone.inLayer.map((v, i) => (v - shared.inLayer[i]) * scale),
    footXY: alone.footXY,
    footMm2: scale,
  };
}

function aloneIn({ columns: col, xMm, yMm, zMm }: Standing, under: Under, vessel: Vessel): Alone {
  const { waterLineMm } = vessel;
  const { height } = vessel.innerMm;
  const inLayer = new Float64Array(under.layers);
  // Added up in figures of their own: this is asked at every column of whatever is moved.
  let [inBed, underWater, outside, inFreeWater, inAir] = [0, 0, 0, 0, 0];
  const foot: number[] = [];
  for (let row = 0, c = 0; row < col.rows; row++) {
    const y = yMm + col.y0 + row * col.dyMm;
    for (let column = 0; column < col.columns; column++, c++) {
      const from = col.first[c];
      const to = col.first[c + 1];
      if (from === to) continue;
      if (!under.at(row, column)) {
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
        if (lo < surface) addLayers(inLayer, under.tops, under.from, lo, hi);
        inFreeWater += shared(lo, hi, surface, line);
        if (hi > line) inAir += shared(lo, hi, line, height);
      }
      if (onSurface) foot.push(xMm + col.x0 + column * col.dxMm, y);
    }
  }
  return { inBed, underWater, outside, inLayer, inFreeWater, inAir, footXY: Float64Array.from(foot) };
}
