import type { Point, Polygon } from '../geometry/polygon';
import { cellAt, onFloor, type BedField } from '../substrate/bedField';
import { Company, type Beside } from './beside';
import type { Columns } from './columns';
import { hullOf } from './planHull';
import type { Standing } from './settle';

/** What a piece stands on, and how surely. */
export interface Stability {
  /** The convex ring around everything that carries it, seen from above, mm; empty where nothing does. */
  base: Polygon;
  /** The middle of its mass: where it is over the floor, and how high over what carries it, mm. */
  middle: readonly [number, number];
  heightMm: number;
  /** How far its middle lies within that ring, mm; negative where it lies outside and the piece goes over. */
  insideMm: number;
  /** The lean at which it goes over, degrees; 0 where it does by itself. */
  tipsAtDeg: number;
  /** To which side it would go first. */
  towards: Side;
}
export type Side = 'left' | 'right' | 'front' | 'back';

/** What is that near carries, mm: grains and pads give that much. */
const CARRIES_MM = 2;

/** Of each column of a piece what the bed and the glass do for it: nothing, bear it, or it has nothing in it. */
const [HANGS, BORNE, EMPTY] = [0, 1, 2];
type Grounded = Uint8Array;

/**
 * Where a piece is borne, kept while it and the bed stay: what bed and glass do, and of each row of columns the first
 * and the last that is carried (none where the last comes before the first), with those that were near.
 */
export interface Feet {
  grounded: Grounded;
  near: Company;
  ends: Int32Array;
  /** What followed from it. */
  stability?: Stability;
}

export function feetOf(standing: Standing, field: BedField): Feet {
  const ends = new Int32Array(standing.columns.rows * 2).fill(-1);
  const grounded = groundedIn(standing, field);
  for (let row = 0; row < standing.columns.rows; row++) writeEnds(standing, { grounded, ends }, [], row);
  return { grounded, near: new Company(), ends };
}

/** Columns of a standing piece that grain or glass carries. Grain carries what is buried in it. */
function groundedIn({ columns: col, xMm, yMm, zMm }: Standing, field: BedField): Grounded {
  const grounded = new Uint8Array(col.columns * col.rows);
  for (let row = 0, c = 0; row < col.rows; row++) {
    const y = yMm + col.y0 + row * col.dyMm;
    for (let column = 0; column < col.columns; column++, c++) {
      if (col.first[c] === col.first[c + 1]) {
        grounded[c] = EMPTY;
        continue;
      }
      const foot = col.lo[col.first[c]] + zMm;
      const x = xMm + col.x0 + column * col.dxMm;
      const onBed = foot <= CARRIES_MM || (onFloor(field, x, y) && foot <= field.surfaceMm[cellAt(field, x, y)] + CARRIES_MM); // prettier-ignore
      grounded[c] = onBed ? BORNE : HANGS;
    }
  }
  return grounded;
}

/**
 * Whether a piece stands: the middle of its mass over the convex hull of what carries it. Grain carries what is
 * buried in it, glass and other pieces what touches them from above.
 * Valid for rigid pieces of one density, set down without a push. Leaves out: what a deep bury holds sideways, glue.
 * Test: stability.test.ts, "tips a block at the angle at which its middle stands over its edge".
 *
 * @param feet what it was borne by in the same place on the same bed, whatever was near; it is brought up to date
 */
export function stabilityOf(
  standing: Standing,
  field: BedField,
  near: readonly Standing[],
  feet: Feet = feetOf(standing, field),
): Stability {
  const changed = bringUpToDate(standing, feet, near);
  if (changed || !feet.stability) feet.stability = stabilityOn(standing, feet);
  return feet.stability;
}

function stabilityOn(standing: Standing, feet: Feet): Stability {
  const { columns: col, xMm, yMm, zMm } = standing;
  const points: Point[] = [];
  let feetMm = 0;
  // Of each row the first and the last that is carried: the ring around them is the ring around all.
  for (let row = 0; row < col.rows; row++) {
    const [left, right] = [feet.ends[row * 2], feet.ends[row * 2 + 1]];
    if (right < left) continue;
    const y = yMm + col.y0 + row * col.dyMm;
    for (let column = left; ; column = right) {
      points.push([xMm + col.x0 + column * col.dxMm, y]);
      feetMm += col.lo[col.first[row * col.columns + column]] + zMm;
      if (column === right) break;
    }
  }
  const base = hullOf(points);
  const [mx, my, mz] = middleOf(col);
  const middle = [xMm + mx, yMm + my] as const;
  const { insideMm, towards } = within(base, middle);
  const heightMm = points.length > 0 ? Math.max(1, zMm + mz - feetMm / points.length) : 0;
  const tipsAtDeg = insideMm > 0 ? (Math.atan(insideMm / heightMm) * 180) / Math.PI : 0;
  return { base, middle, heightMm, insideMm, tipsAtDeg, towards };
}

/** Asks anew of those rows in which another piece bears now, or did; false where none does. */
function bringUpToDate(standing: Standing, feet: Feet, near: readonly Standing[]): boolean {
  const top = standing.zMm + standing.columns.extent.hi[2];
  const under = near.filter((n) => n.zMm + n.columns.extent.lo[2] < top);
  const changed = feet.near.meet(standing, under);
  let isChanged = false;
  for (let row = 0; row < standing.columns.rows; row++) {
    if (!bearsEnds(standing, feet, changed, row)) continue;
    isChanged = true;
    writeEnds(standing, feet, feet.near.near, row);
  }
  return isChanged;
}

/** Whether one of the others bears a column at or beyond the ends of what is borne in a row: only there does it count. */
function bearsEnds({ columns: col }: Standing, { grounded, ends }: Feet, others: readonly Beside[], row: number): boolean {
  const [left, right] = [ends[row * 2], ends[row * 2 + 1]];
  for (let o = 0; o < others.length; o++) {
    if (others[o].rowAt[row] < 0) continue;
    for (let column = 0; column < col.columns; column++) {
      if (column === left + 1 && right > left) column = right;
      const c = row * col.columns + column;
      if (grounded[c] === HANGS && isBorneBy(others[o], row, column, col.lo[col.first[c]])) return true;
    }
  }
  return false;
} // prettier-ignore

/** Writes the first and the last column of a row that bed, glass or a piece below bears. */
function writeEnds({ columns: col }: Standing, { grounded, ends }: Pick<Feet, 'grounded' | 'ends'>, below: readonly Beside[], row: number): void {
  let left = 0;
  while (left < col.columns && !isBorne(col, grounded, below, row, left)) left++;
  let right = col.columns - 1;
  while (right > left && !isBorne(col, grounded, below, row, right)) right--;
  ends[row * 2] = left;
  ends[row * 2 + 1] = right;
} // prettier-ignore

function isBorne(col: Columns, grounded: Grounded, below: readonly Beside[], row: number, column: number): boolean {
  const c = row * col.columns + column;
  if (grounded[c] !== HANGS) return grounded[c] === BORNE;
  const foot = col.lo[col.first[c]];
  for (let n = 0; n < below.length; n++) if (isBorneBy(below[n], row, column, foot)) return true;
  return false;
} // prettier-ignore

/** Whether another piece bears a foot in a column, its height measured from the piece's own origin. */
function isBorneBy({ columnAt, rowAt, upMm, first, lo, hi }: Beside, row: number, column: number, foot: number): boolean {
  if (rowAt[row] < 0 || columnAt[column] < 0) return false;
  const c = rowAt[row] + columnAt[column];
  for (let k = first[c]; k < first[c + 1]; k++)
    if (lo[k] + upMm < foot && hi[k] + upMm >= foot - CARRIES_MM) return true;
  return false;
} // prettier-ignore

const middles = new WeakMap<Columns, readonly [number, number, number]>();

/** The middle of a piece of one density around its own origin, mm. */
export function middleOf(columns: Columns): readonly [number, number, number] {
  const known = middles.get(columns);
  if (known) return known;
  let sum = 0;
  let sx = 0;
  let sy = 0;
  let sz = 0;
  for (let row = 0, c = 0; row < columns.rows; row++)
    for (let column = 0; column < columns.columns; column++, c++)
      for (let k = columns.first[c]; k < columns.first[c + 1]; k++) {
        const lo = columns.lo[k];
        const hi = columns.hi[k];
        sum += hi - lo;
        sx += (hi - lo) * (columns.x0 + column * columns.dxMm);
        sy += (hi - lo) * (columns.y0 + row * columns.dyMm);
        sz += ((hi - lo) * (hi + lo)) / 2;
      }
  const middle = [sx / sum, sy / sum, sz / sum] as const;
  middles.set(columns, middle);
  return middle;
}

/** How far a spot lies within a ring that turns anticlockwise, and across which of its sides it is nearest to leave. */
function within(ring: Polygon, [x, y]: readonly [number, number]): { insideMm: number; towards: Side } {
  if (ring.length < 3) {
    // A line or a point carries nothing to either side.
    const [cx, cy] = ring[0] ?? [x, y];
    return { insideMm: ring.length === 0 ? -Infinity : -Math.hypot(x - cx, y - cy), towards: sideOf(x - cx, y - cy) }; // prettier-ignore
  }
  let insideMm = Infinity;
  let towards: Side = 'front';
  ring.forEach(([ax, ay], i) => {
    const [bx, by] = ring[(i + 1) % ring.length];
    const length = Math.hypot(bx - ax, by - ay);
    if (length < 1e-9) return;
    const mm = ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / length;
    if (mm >= insideMm) return;
    insideMm = mm;
    towards = sideOf((by - ay) / length, -(bx - ax) / length);
  });
  return { insideMm, towards };
}

function sideOf(dx: number, dy: number): Side {
  if (Math.abs(dx) >= Math.abs(dy)) return dx < 0 ? 'left' : 'right';
  return dy < 0 ? 'front' : 'back';
}

/** The middle of a piece where it stands, mm. */
export function middleInTank({ columns, xMm, yMm, zMm }: Standing): [number, number, number] {
  const [x, y, z] = middleOf(columns);
  return [xMm + x, yMm + y, zMm + z];
}
