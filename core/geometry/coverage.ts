import { clippedAlong, polygonArea, polygonBounds, type Polygon } from './polygon';

/** Cells of equal size that tile a floor without remainder, row by row from the front. */
export interface Cells {
  columns: number;
  rows: number;
  dxMm: number;
  dyMm: number;
}

/**
 * Which part of each cell a polygon covers, 0 to 1, exactly: the polygon is cut into the strip of each row
 * and the strip into cells. Summed and times the cell's area it gives the polygon's own area back.
 */
export function cellCoverage(cells: Cells, polygon: Polygon): Float64Array {
  const { columns, rows, dxMm, dyMm } = cells;
  const share = new Float64Array(columns * rows);
  const [left, front, right, back] = polygonBounds(polygon);
  const firstRow = Math.max(0, Math.floor(front / dyMm));
  const lastRow = Math.min(rows - 1, Math.ceil(back / dyMm) - 1);
  const firstColumn = Math.max(0, Math.floor(left / dxMm));
  const lastColumn = Math.min(columns - 1, Math.ceil(right / dxMm) - 1);
  for (let row = firstRow; row <= lastRow; row++) {
    const nearer = clippedAlong(polygon, 1, (row + 1) * dyMm, 'below');
    let rest = clippedAlong(nearer, 1, row * dyMm, 'above');
    // What lies left of the first column is cut off once; then each cell is bitten off from the left.
    rest = clippedAlong(rest, 0, firstColumn * dxMm, 'above');
    for (let column = firstColumn; column <= lastColumn && rest.length > 2; column++) {
      const cell = clippedAlong(rest, 0, (column + 1) * dxMm, 'below');
      share[row * columns + column] = cell.length > 2 ? Math.min(1, polygonArea(cell) / (dxMm * dyMm)) : 0;
      rest = clippedAlong(rest, 0, (column + 1) * dxMm, 'above');
    }
  }
  return share;
}
