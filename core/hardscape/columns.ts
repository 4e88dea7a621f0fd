import type { Shape } from '../commission/schema';
import type { Mesh } from '../geometry/mesh';
import { MM3_PER_L } from '../units/volume';
import { rotation, turned, type Matrix } from '../geometry/rotation';
import { extentOf, sizeMmOf, type Extent } from './extent';
import { exactVolumeMm3, solidMesh } from './solid';

/**
 * A turned solid as upright columns over its own plan, around its own origin. Each column holds the spans of
 * height in which it is solid: `lo[k]` to `hi[k]` for k from `first[c]` to `first[c + 1]`.
 */
export interface Columns {
  columns: number;
  rows: number;
  /** Position of the middle of the first column, mm. */
  x0: number;
  y0: number;
  dxMm: number;
  dyMm: number;
  first: Uint32Array;
  lo: Float64Array;
  hi: Float64Array;
  extent: Extent;
  volumeMm3: number;
  /** Floor area that one column stands for, mm², scaled so that the columns add up to `volumeMm3`. */
  columnMm2: number;
}

/** Columns along the longer side: at 64 the cap of a buried stone is right to about 0.2 %. */
const COLUMNS_ALONG = 64;
/** Never coarser than this, mm; limbs of a root, whose volume the columns themselves give, finer still. */
const COARSEST_MM = 4;
const COARSEST_LIMBS_MM = 2;
/** Columns through the thinnest way of a piece, so that a plate standing askew is read as well as a block. */
const COLUMNS_THROUGH = 14;
const MOST_ALONG = 400;
/** Crossings of a mesh with its columns at most: one that is folded over itself is cut more coarsely. */
const MOST_CROSSINGS = 6_000_000;

/** Cuts a shape, tilted and turned, into columns. A mesh of overlapping shells counts as their union. */
export function columnsOf(
  shape: Shape,
  turnDeg: number,
  tiltDeg: readonly [number, number] = [0, 0],
  coarser = 1,
): Columns {
  const matrix = rotation(turnDeg, tiltDeg);
  const extent = extentOf(shape, matrix);
  const exact = exactVolumeMm3(shape);
  const step = stepOf(shape, extent, exact === undefined) * coarser;
  let grid = gridOf(extent, step);
  let spans: Spans;
  if (shape.kind === 'ellipsoid') spans = ellipsoidSpans(grid, shape.sizeMm, matrix);
  else {
    const solid = solidMesh(shape);
    const mesh: Mesh = { vertices: turned(solid.vertices, matrix), faces: solid.faces };
    const crossings = crossingsOf(grid, mesh);
    if (crossings > MOST_CROSSINGS) grid = gridOf(extent, step * Math.sqrt(crossings / MOST_CROSSINGS));
    spans = meshSpans(grid, mesh);
  }
  let sum = 0;
  for (let k = 0; k < spans.lo.length; k++) sum += spans.hi[k] - spans.lo[k];
  const counted = sum * grid.dxMm * grid.dyMm;
  const volumeMm3 = exact ?? counted;
  const { columns, rows, x0, y0, dxMm, dyMm } = grid;
  const { first, lo, hi } = spans;
  const columnMm2 = sum > 0 ? volumeMm3 / sum : 0;
  return { columns, rows, x0, y0, dxMm, dyMm, first, lo, hi, extent, volumeMm3, columnMm2 };
}

/** Volumes that only columns can measure. */
const counted = new WeakMap<Shape, number>();

/**
 * Volume of a shape in mm³: exact where it is known, that of a scan as it was measured when it was taken in,
 * otherwise by columns of the shape as it came.
 */
export function volumeMm3Of(shape: Shape): number {
  if (shape.kind === 'scan') return shape.volumeL * MM3_PER_L;
  const known = exactVolumeMm3(shape) ?? counted.get(shape);
  if (known !== undefined) return known;
  const { volumeMm3 } = columnsOf(shape, 0);
  counted.set(shape, volumeMm3);
  return volumeMm3;
}

/** Width of the columns of a shape, mm; finer for one of several limbs. */
function stepOf(shape: Shape, { lo, hi }: Extent, limbs: boolean): number {
  const longer = Math.max(hi[0] - lo[0], hi[1] - lo[1]);
  const coarsest = limbs ? COARSEST_LIMBS_MM : COARSEST_MM;
  const wanted = Math.min(coarsest, longer / COLUMNS_ALONG, Math.min(...sizeMmOf(shape)) / COLUMNS_THROUGH);
  return Math.max(wanted, longer / MOST_ALONG);
}

/** How many columns a shape is cut into at most. */
export function columnCount(shape: Shape, extent: Extent): number {
  const { columns, rows } = gridOf(
    extent,
    stepOf(shape, extent, shape.kind === 'mesh' || shape.kind === 'scan'),
  );
  return columns * rows;
}

function gridOf({ lo, hi }: Extent, step: number): Grid {
  const [width, depth] = [hi[0] - lo[0], hi[1] - lo[1]];
  const columns = Math.max(4, Math.ceil(width / step));
  const rows = Math.max(4, Math.ceil(depth / step));
  const dxMm = width / columns;
  const dyMm = depth / rows;
  return { columns, rows, dxMm, dyMm, x0: lo[0] + dxMm / 2, y0: lo[1] + dyMm / 2 };
}

/** How often a mesh would cross the columns of a grid, from the plans of its triangles alone; never too few. */
function crossingsOf(grid: Grid, { vertices: v, faces }: Mesh): number {
  const spread = (a: number, b: number, c: number, d: number) =>
    (Math.max(a, b, c) - Math.min(a, b, c)) / d + 1;
  let count = 0;
  for (let f = 0; f < faces.length; f += 3) {
    const [a, b, c] = [faces[f] * 3, faces[f + 1] * 3, faces[f + 2] * 3];
    // A triangle covers at most half of the box around it.
    count += (spread(v[a], v[b], v[c], grid.dxMm) * spread(v[a + 1], v[b + 1], v[c + 1], grid.dyMm)) / 2;
  }
  return count;
}

type Grid = Pick<Columns, 'columns' | 'rows' | 'x0' | 'y0' | 'dxMm' | 'dyMm'>;
type Spans = Pick<Columns, 'first' | 'lo' | 'hi'>;

/** Where an upright line meets xᵀAx = 1 with A = R·diag(1/d²)·Rᵀ: a quadratic in z. */
function ellipsoidSpans(grid: Grid, sizeMm: readonly number[], m: Matrix): Spans {
  const w = sizeMm.map((s) => 4 / (s * s));
  const a = (i: number, j: number) =>
    m[i * 3] * w[0] * m[j * 3] + m[i * 3 + 1] * w[1] * m[j * 3 + 1] + m[i * 3 + 2] * w[2] * m[j * 3 + 2];
  const [xx, xy, xz, yy, yz, zz] = [a(0, 0), a(0, 1), a(0, 2), a(1, 1), a(1, 2), a(2, 2)];
  const count = grid.columns * grid.rows;
  const first = new Uint32Array(count + 1);
  const lo = new Float64Array(count);
  const hi = new Float64Array(count);
  let n = 0;
  for (let row = 0, c = 0; row < grid.rows; row++) {
    const y = grid.y0 + row * grid.dyMm;
    for (let column = 0; column < grid.columns; column++, c++) {
      const x = grid.x0 + column * grid.dxMm;
      const halfB = xz * x + yz * y;
      const d = halfB * halfB - zz * (xx * x * x + 2 * xy * x * y + yy * y * y - 1);
      first[c] = n;
      if (d <= 0) continue;
      const root = Math.sqrt(d) / zz;
      lo[n] = -halfB / zz - root;
      hi[n] = -halfB / zz + root;
      n++;
    }
  }
  first[count] = n;
  return { first, lo: lo.slice(0, n), hi: hi.slice(0, n) };
}

/**
 * Each triangle marks the columns whose middle lies under it with the height at which it is crossed, upward
 * or downward facing; sorted, the crossings open and close the spans. The mesh is gone through twice, to count
 * and to write.
 */
function meshSpans(grid: Grid, mesh: Mesh): Spans {
  const count = grid.columns * grid.rows;
  const crossings = new Uint32Array(count + 1);
  cross(grid, mesh, { counts: crossings.subarray(1) });
  for (let c = 0; c < count; c++) crossings[c + 1] += crossings[c];
  const heights = new Float64Array(crossings[count]);
  const facing = new Int8Array(crossings[count]);
  cross(grid, mesh, { next: crossings.slice(), heights, facing });
  for (let c = 0; c < count; c++) sortCrossings(crossings[c], crossings[c + 1], heights, facing);
  return unionSpans(count, crossings, heights, facing);
}

/** Crossings of a column up to which they are sorted by moving each into its place; most have two. */
const FEW = 24;

/** Puts the crossings of one column in order from below. */
function sortCrossings(from: number, to: number, heights: Float64Array, facing: Int8Array): void {
  if (to - from > FEW) {
    const order = Array.from({ length: to - from }, (_, i) => from + i).sort(
      (a, b) => heights[a] - heights[b],
    );
    const [z, sign] = [order.map((i) => heights[i]), order.map((i) => facing[i])];
    heights.set(z, from);
    facing.set(sign, from);
    return;
  }
  for (let i = from + 1; i < to; i++) {
    const [z, sign] = [heights[i], facing[i]];
    let k = i;
    for (; k > from && heights[k - 1] > z; k--) {
      heights[k] = heights[k - 1];
      facing[k] = facing[k - 1];
    }
    heights[k] = z;
    facing[k] = sign;
  }
}

function unionSpans(count: number, crossings: Uint32Array, heights: Float64Array, facing: Int8Array): Spans {
  const first = new Uint32Array(count + 1);
  const lo = new Float64Array(heights.length / 2 + 1);
  const hi = new Float64Array(heights.length / 2 + 1);
  let n = 0;
  for (let c = 0; c < count; c++) {
    first[c] = n;
    let depth = 0;
    for (let k = crossings[c]; k < crossings[c + 1]; k++) {
      const before = depth;
      // A surface that faces down is entered from below, one that faces up is left.
      depth -= facing[k];
      if (before <= 0 && depth > 0) lo[n] = heights[k];
      if (before > 0 && depth <= 0) hi[n++] = heights[k];
    }
  }
  first[count] = n;
  return { first, lo: lo.slice(0, n), hi: hi.slice(0, n) };
}

/** Where crossings go: only how many there are in each column, or each with its height and facing. */
type Into = { counts: Uint32Array } | { next: Uint32Array; heights: Float64Array; facing: Int8Array };

/**
 * Every column middle that lies in the plan of a triangle; shared edges count once. Written out in one piece:
 * it runs for each triangle and row, and allocates nothing there.
 */
function cross(grid: Grid, { vertices: v, faces }: Mesh, into: Into): void {
  const { columns, rows, x0, y0, dxMm, dyMm } = grid;
  const counts = 'counts' in into ? into.counts : undefined;
  const { next, heights, facing } = 'counts' in into ? NOWHERE : into;
  for (let f = 0; f < faces.length; f += 3) {
    const a = faces[f] * 3;
    const b = faces[f + 1] * 3;
    const c = faces[f + 2] * 3;
    const ax = v[a];
    const ay = v[a + 1];
    const bx = v[b];
    const by = v[b + 1];
    const cx = v[c];
    const cy = v[c + 1];
    const area = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
    if (area === 0) continue;
    const rowFrom = Math.max(0, Math.ceil((Math.min(ay, by, cy) - y0) / dyMm));
    const rowTo = Math.min(rows - 1, Math.floor((Math.max(ay, by, cy) - y0) / dyMm));
    for (let row = rowFrom; row <= rowTo; row++) {
      const y = y0 + row * dyMm;
      // Where the row cuts the triangle: from x (included) to x (excluded). An edge counts when exactly one of
      // its ends lies at or below y, so that of two triangles that share it no column falls between.
      const belowA = ay <= y;
      const belowB = by <= y;
      const belowC = cy <= y;
      if (belowA === belowB && belowB === belowC) continue;
      // The corner that stands alone on its side of the row: both of its edges are cut.
      let one: number;
      let other: number;
      if (belowB === belowC) {
        one = edgeX(ax, ay, bx, by, y);
        other = edgeX(cx, cy, ax, ay, y);
      } else if (belowA === belowC) {
        one = edgeX(ax, ay, bx, by, y);
        other = edgeX(bx, by, cx, cy, y);
      } else {
        one = edgeX(bx, by, cx, cy, y);
        other = edgeX(cx, cy, ax, ay, y);
      }
      const left = Math.min(one, other);
      const right = Math.max(one, other);
      const from = Math.max(0, Math.ceil((left - x0) / dxMm));
      const to = Math.min(columns - 1, Math.ceil((right - x0) / dxMm) - 1);
      for (let column = from; column <= to; column++) {
        const at = row * columns + column;
        if (counts) {
          counts[at]++;
          continue;
        }
        const x = x0 + column * dxMm;
        const wb = ((x - ax) * (cy - ay) - (y - ay) * (cx - ax)) / area;
        const wc = ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / area;
        heights[next[at]] = v[a + 2] + wb * (v[b + 2] - v[a + 2]) + wc * (v[c + 2] - v[a + 2]);
        facing[next[at]++] = area > 0 ? 1 : -1;
      }
    }
  }
}

/** What stands there while crossings are only counted. */
const NOWHERE = { next: new Uint32Array(0), heights: new Float64Array(0), facing: new Int8Array(0) };

/** The crossing of an edge, computed from the same end whichever triangle asks. */
function edgeX(ax: number, ay: number, bx: number, by: number, y: number): number {
  return ay < by ? ax + ((y - ay) / (by - ay)) * (bx - ax) : bx + ((y - by) / (ay - by)) * (ax - bx);
}
