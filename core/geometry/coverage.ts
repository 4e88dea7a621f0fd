import { clippedAlong, crossingsAt, polygonArea, polygonBounds, type Polygon } from './polygon';

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
 * Valid for rings that do not cross themselves. Leaves out: nothing, to rounding.
 * Test: polygon.test.ts, "covers cells that add up to its own area".
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
    if (rest.length < 3) continue;
    const edged = columnsWithEdge(rest, cells, row);
    const crossings = crossingsAt(polygon, (row + 0.5) * dyMm);
    let passed = 0;
    for (let column = firstColumn; column <= lastColumn; column++) {
      const cell = row * columns + column;
      const middle = (column + 0.5) * dxMm;
      while (passed < crossings.length && crossings[passed] <= middle) passed++;
      // A cell that no edge enters lies inside or outside as a whole.
      if (edged[column] === 0) share[cell] = passed % 2;
      else {
        // What lies left of it has been dealt with: it is cut off, and the cell bitten off from the rest.
        rest = clippedAlong(rest, 0, column * dxMm, 'above');
        const bitten = clippedAlong(rest, 0, (column + 1) * dxMm, 'below');
        share[cell] = bitten.length > 2 ? Math.min(1, polygonArea(bitten) / (dxMm * dyMm)) : 0;
      }
    }
  }
  return share;
}

/** Which cells of a row an outline enters, other than along the row's own two sides: 1 or 0 a column. */
function columnsWithEdge(strip: Polygon, { columns, dxMm, dyMm }: Cells, row: number): Uint8Array {
  const edged = new Uint8Array(columns);
  const sides = [row * dyMm, (row + 1) * dyMm];
  for (let i = 0, j = strip.length - 1; i < strip.length; j = i++) {
    const [ax, ay] = strip[j];
    const [bx, by] = strip[i];
    if (ay === by && sides.includes(ay)) continue;
    const from = Math.max(0, Math.floor(Math.min(ax, bx) / dxMm - 1e-9));
    const to = Math.min(columns - 1, Math.floor(Math.max(ax, bx) / dxMm + 1e-9));
    for (let column = from; column <= to; column++) edged[column] = 1;
  }
  return edged;
}
