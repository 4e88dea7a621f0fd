/** A level slice of water as cells: open or not, and what comes in (positive) or goes out in each, for a depth of one. */
export interface Slice {
  columns: number;
  rows: number;
  dxMm: number;
  dyMm: number;
  open: Uint8Array;
  /** mm²/s a cell: volume a second for each mm of depth. */
  source: Float64Array;
}

/** A steady flow: through the right and the back side of each cell, mm²/s. */
export interface Flow {
  throughRight: Float64Array;
  throughBack: Float64Array;
  /** The largest of what comes into a cell and does not go out of it again, mm²/s. */
  unbalanced: number;
}

const MOST_ROUNDS = 4_000;
/** Solved until what is left of the imbalance is so small a share of the flow. */
const CLOSE = 1e-11;

/**
 * Flow without friction and eddies through a slice: the potential whose gradient takes every drop from sources to sinks
 * (finite volumes over the cells, solved by conjugate gradients; M. Hestenes and E. Stiefel, J. Res. NBS 49, 1952).
 * Valid for slow water far from jets. Leaves out: friction, eddies behind stones (there it is slower than this says),
 * the jet of the outflow, rising and sinking.
 * Test: flow.test.ts, "goes round a cylinder as the closed form has it".
 *
 * @param slice sources and sinks add up to nothing within each stretch of open water, else what is over is shared out
 */
export function potentialFlow(slice: Slice): Flow {
  const { columns, rows, open } = slice;
  const [gx, gy] = [slice.dyMm / slice.dxMm, slice.dxMm / slice.dyMm];
  const n = columns * rows;
  const b = balanced(slice);
  /** Sum over the sides of a cell that are open on both sides. */
  const apply = (p: Float64Array, out: Float64Array): void => {
    out.fill(0);
    for (let j = 0, c = 0; j < rows; j++)
      for (let i = 0; i < columns; i++, c++) {
        if (!open[c]) continue;
        if (i + 1 < columns && open[c + 1]) {
          const f = gx * (p[c] - p[c + 1]);
          out[c] += f;
          out[c + 1] -= f;
        }
        if (j + 1 < rows && open[c + columns]) {
          const f = gy * (p[c] - p[c + columns]);
          out[c] += f;
          out[c + columns] -= f;
        }
      }
  };
  const dot = (u: Float64Array, v: Float64Array) => {
    let sum = 0;
    for (let c = 0; c < n; c++) sum += u[c] * v[c];
    return sum;
  };
  const [x, ax] = [new Float64Array(n), new Float64Array(n)];
  const r = Float64Array.from(b);
  const p = Float64Array.from(r);
  let rr = dot(r, r);
  const enough = rr * CLOSE ** 2;
  for (let round = 0; round < MOST_ROUNDS && rr > enough; round++) {
    apply(p, ax);
    const alpha = rr / dot(p, ax);
    let next = 0;
    for (let c = 0; c < n; c++) {
      x[c] += alpha * p[c];
      r[c] -= alpha * ax[c];
      next += r[c] * r[c];
    }
    const beta = next / rr;
    for (let c = 0; c < n; c++) p[c] = r[c] + beta * p[c];
    rr = next;
  }
  const [throughRight, throughBack] = [new Float64Array(n), new Float64Array(n)];
  for (let j = 0, c = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, c++) {
      if (!open[c]) continue;
      if (i + 1 < columns && open[c + 1]) throughRight[c] = gx * (x[c] - x[c + 1]);
      if (j + 1 < rows && open[c + columns]) throughBack[c] = gy * (x[c] - x[c + columns]);
    }
  apply(x, ax);
  let unbalanced = 0;
  for (let c = 0; c < n; c++) unbalanced = Math.max(unbalanced, Math.abs(ax[c] - b[c]));
  return { throughRight, throughBack, unbalanced };
}

/** Sources in each stretch of open water that hangs together, less what is over, shared among its cells. */
function balanced({ columns, rows, open, source }: Slice): Float64Array {
  const b = new Float64Array(columns * rows);
  const seen = new Uint8Array(columns * rows);
  for (let start = 0; start < open.length; start++) {
    if (!open[start] || seen[start]) continue;
    const stretch = [start];
    seen[start] = 1;
    let sum = 0;
    for (let k = 0; k < stretch.length; k++) {
      const c = stretch[k];
      sum += source[c];
      const i = c % columns;
      for (const d of [i > 0 ? c - 1 : -1, i + 1 < columns ? c + 1 : -1, c - columns, c + columns])
        if (d >= 0 && d < open.length && open[d] && !seen[d]) {
          seen[d] = 1;
          stretch.push(d);
        }
    }
    for (const c of stretch) b[c] = source[c] - sum / stretch.length;
  }
  return b;
}

/** Speed in the middle of each cell, mm/s, by the mean of what goes through its opposite sides. */
export function speeds(
  { columns, dxMm, dyMm, open }: Slice,
  { throughRight, throughBack }: Flow,
): { vx: Float32Array; vy: Float32Array } {
  const [vx, vy] = [new Float32Array(open.length), new Float32Array(open.length)];
  for (let c = 0; c < open.length; c++) {
    if (!open[c]) continue;
    const left = c % columns > 0 ? throughRight[c - 1] : 0;
    const front = c >= columns ? throughBack[c - columns] : 0;
    vx[c] = (throughRight[c] + left) / 2 / dyMm;
    vy[c] = (throughBack[c] + front) / 2 / dxMm;
  }
  return { vx, vy };
}
