import type { Point, Polygon } from '../geometry/polygon';
import { cellAt, onFloor, type BedField } from '../substrate/bedField';
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
export type Grounded = Uint8Array;

/** Columns of a standing piece that grain or glass carries. Grain carries what is buried in it. */
export function groundedIn({ columns: col, xMm, yMm, zMm }: Standing, field: BedField): Grounded {
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
 * buried in it, glass and other pieces what touches them from above. `grounded` is asked of the bed unless it is known.
 * Valid for rigid pieces of one density, set down without a push. Leaves out: what a deep bury holds sideways, glue.
 * Test: stability.test.ts, "tips a block at the angle at which its middle stands over its edge".
 */
export function stabilityOf(
  standing: Standing,
  field: BedField,
  near: readonly Standing[],
  grounded: Grounded = groundedIn(standing, field),
): Stability {
  const { columns: col, xMm, yMm, zMm } = standing;
  const points: Point[] = [];
  let feet = 0;
  const under = near.filter((n) => n.zMm + n.columns.extent.lo[2] < zMm + col.extent.hi[2]);
  // Of each row the first and the last that is carried: the ring around them is the ring around all.
  for (let row = 0; row < col.rows; row++) {
    const y = yMm + col.y0 + row * col.dyMm;
    const below = under.filter(({ columns: l, yMm: at }) => {
      const there = Math.round((y - at - l.y0) / l.dyMm);
      return there >= 0 && there < l.rows;
    });
    let left = 0;
    while (left < col.columns && !isBorne(standing, grounded, below, row, left, y)) left++;
    if (left === col.columns) continue;
    let right = col.columns - 1;
    while (right > left && !isBorne(standing, grounded, below, row, right, y)) right--;
    for (let column = left; ; column = right) {
      points.push([xMm + col.x0 + column * col.dxMm, y]);
      feet += col.lo[col.first[row * col.columns + column]] + zMm;
      if (column === right) break;
    }
  }
  const base = hullOf(points);
  const [mx, my, mz] = middleOf(col);
  const middle = [xMm + mx, yMm + my] as const;
  const { insideMm, towards } = within(base, middle);
  const heightMm = points.length > 0 ? Math.max(1, zMm + mz - feet / points.length) : 0;
  const tipsAtDeg = insideMm > 0 ? (Math.atan(insideMm / heightMm) * 180) / Math.PI : 0;
  return { base, middle, heightMm, insideMm, tipsAtDeg, towards };
}

/** Whether anything bears one column: bed or glass, or a piece whose row lies below its own. */
function isBorne({ columns: col, xMm, zMm }: Standing, grounded: Grounded, below: readonly Standing[], row: number, column: number, y: number): boolean {
  const c = row * col.columns + column;
  if (grounded[c] !== HANGS || below.length === 0) return grounded[c] === BORNE;
  return borneBy(below, col.lo[col.first[c]] + zMm, xMm + col.x0 + column * col.dxMm, y);
} // prettier-ignore

/** Whether one of the pieces under it bears a spot. */
function borneBy(near: readonly Standing[], foot: number, x: number, y: number): boolean {
  for (let n = 0; n < near.length; n++) {
    const { columns: l, xMm, yMm, zMm } = near[n];
    const row = Math.round((y - yMm - l.y0) / l.dyMm);
    const column = Math.round((x - xMm - l.x0) / l.dxMm);
    if (row < 0 || column < 0 || row >= l.rows || column >= l.columns) continue;
    const c = row * l.columns + column;
    for (let k = l.first[c]; k < l.first[c + 1]; k++)
      if (l.lo[k] + zMm < foot && l.hi[k] + zMm >= foot - CARRIES_MM) return true;
  }
  return false;
}

const middles = new WeakMap<Columns, readonly [number, number, number]>();

/** The middle of a piece of one density around its own origin, mm. */
export function middleOf(columns: Columns): readonly [number, number, number] {
  const known = middles.get(columns);
  if (known) return known;
  let [sum, sx, sy, sz] = [0, 0, 0, 0];
  for (let row = 0, c = 0; row < columns.rows; row++)
    for (let column = 0; column < columns.columns; column++, c++)
      for (let k = columns.first[c]; k < columns.first[c + 1]; k++) {
        const [lo, hi] = [columns.lo[k], columns.hi[k]];
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
