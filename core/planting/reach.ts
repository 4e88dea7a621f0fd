import { cellCoverage } from '../geometry/coverage';
import type { Polygon } from '../geometry/polygon';
import { floorShare, type BedField } from '../substrate/bedField';
import { slopeFactors } from './region';

/**
 * How far back from the front glass plugs of a region reach that suffice for a share of it, mm: up to there lies that share
 * of its free surface, measured along the slope.
 * Valid for height fields; to a share of a row of cells. Leaves out: the outline within a cell.
 * Test: reach.test.ts, "is where the front part has its share of the surface".
 *
 * @param taken share of each cell that is not free
 */
export function reachFromFront(
  field: BedField,
  region: Polygon,
  share: number,
  taken?: Float64Array,
): number {
  const rows = freeByRow(field, region, taken);
  const wanted = share * rows.reduce((a, b) => a + b, 0);
  let before = 0;
  for (const [row, mm2] of rows.entries()) {
    if (mm2 > 0 && before + mm2 >= wanted) return (row + (wanted - before) / mm2) * field.dyMm;
    before += mm2;
  }
  return field.rows * field.dyMm;
}

/** Free surface of a region in each row of cells from the front, mm². */
function freeByRow(field: BedField, region: Polygon, taken?: Float64Array): number[] {
  const covered = cellCoverage(field, region);
  const rows = new Array<number>(field.rows).fill(0);
  for (let cell = 0; cell < covered.length; cell++) {
    const free = covered[cell] * floorShare(field, cell) * (1 - (taken?.[cell] ?? 0));
    if (free <= 0) continue;
    const row = Math.floor(cell / field.columns);
    rows[row] += free * field.dxMm * field.dyMm * slopeFactors(field)[cell];
  }
  return rows;
}
