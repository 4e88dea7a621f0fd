import type { Standing } from '../hardscape/settle';
import type { BedField } from '../substrate/bedField';

/** Nothing is planted where a piece comes down to within so much of the bed: no fingers go under it, mm (common practice). */
const UNDER_MM = 25;
/** What ends so far below the surface is buried, mm. */
const BURIED_MM = 3;

/**
 * Cells of the bed that pieces stand on or in, or hang low over, 1 for those and 0 for what is free: asked at the middle of
 * each. What hangs higher leaves it free.
 */
export function standsOn(field: BedField, standing: readonly Standing[]): Float64Array {
  const share = new Float64Array(field.columns * field.rows);
  const { dxMm, dyMm } = field;
  for (const { columns: c, xMm, yMm, zMm } of standing) {
    const { lo, hi } = c.extent;
    const from = (mm: number, d: number) => Math.max(0, Math.floor(mm / d));
    const lastColumn = Math.min(field.columns - 1, Math.ceil((xMm + hi[0]) / dxMm));
    const lastRow = Math.min(field.rows - 1, Math.ceil((yMm + hi[1]) / dyMm));
    for (let row = from(yMm + lo[1], dyMm); row <= lastRow; row++)
      for (let column = from(xMm + lo[0], dxMm); column <= lastColumn; column++) {
        const u = Math.round(((column + 0.5) * dxMm - xMm - c.x0) / c.dxMm);
        const w = Math.round(((row + 0.5) * dyMm - yMm - c.y0) / c.dyMm);
        if (u < 0 || w < 0 || u >= c.columns || w >= c.rows) continue;
        const cell = row * field.columns + column;
        const top = field.surfaceMm[cell];
        const k = w * c.columns + u;
        for (let n = c.first[k]; n < c.first[k + 1]; n++)
          if (c.lo[n] + zMm <= top + UNDER_MM && c.hi[n] + zMm >= top - BURIED_MM) share[cell] = 1;
      }
  }
  return share;
}
