import { floorShare, type BedField } from './bedField';

/** A slope and where it was found. */
export interface SlopeSpot {
  deg: number;
  xyMm: [number, number];
}

/**
 * Rise of the bed's surface along x and y in one cell (mm a mm), from its four corners.
 * Valid for surfaces that are smooth over a cell. Leaves out: the grain itself.
 * Test: stack.test.ts, "has the slope of a ramp in every cell of it, and none of its cut".
 */
export function cellGradient(field: BedField, column: number, row: number): [number, number] {
  const { columns, dxMm, dyMm, cornerMm } = field;
  const near = row * (columns + 1) + column;
  const far = near + columns + 1;
  const [a, b, c, d] = [cornerMm[near], cornerMm[near + 1], cornerMm[far], cornerMm[far + 1]];
  return [(b - a + d - c) / (2 * dxMm), (c - a + d - b) / (2 * dyMm)];
}

/**
 * The steepest spot of one layer's own upper surface, degrees. Cells across which the layer ends are passed
 * over: the edge of a sand path is a step that something holds, not a slope.
 */
export function steepestOf(field: BedField, layer: number): SlopeSpot {
  const { columns, rows, dxMm, dyMm } = field;
  const best: SlopeSpot = { deg: 0, xyMm: [0, 0] };
  const top = topOf(field, layer);
  const own = field.cornerThicknessMm[layer];
  const present = (corner: number) => own[corner] > 1e-9;
  const { cornerCut: cut } = field;
  let steepest = 0;
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const near = row * (columns + 1) + column;
      const far = near + columns + 1;
      if (!(present(near) && present(near + 1) && present(far) && present(far + 1))) continue;
      // A corner outside the glass belongs to no slope that anybody could see.
      if (floorShare(field, row * columns + column) < 0.5) continue;
      if (cut[near] !== cut[near + 1] || cut[near] !== cut[far] || cut[near] !== cut[far + 1]) continue;
      const a = top[near];
      const b = top[near + 1];
      const c = top[far];
      const d = top[far + 1];
      const alongX = (b - a + d - c) / (2 * dxMm);
      const alongY = (c - a + d - b) / (2 * dyMm);
      const squared = alongX * alongX + alongY * alongY;
      if (squared > steepest) {
        steepest = squared;
        best.xyMm = [(column + 0.5) * dxMm, (row + 0.5) * dyMm];
      }
    }
  }
  best.deg = (Math.atan(Math.sqrt(steepest)) * 180) / Math.PI;
  return best;
}

/** Upper surface of a layer at every corner: it and all below it, one after the other. */
function topOf({ cornerThicknessMm }: BedField, layer: number): Float64Array {
  const top = Float64Array.from(cornerThicknessMm[0]);
  for (let i = 1; i <= layer; i++) {
    const thickness = cornerThicknessMm[i];
    for (let corner = 0; corner < top.length; corner++) top[corner] += thickness[corner];
  }
  return top;
}
