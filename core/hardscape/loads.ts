import { cellAt, onFloor, type BedField } from '../substrate/bedField';
import { middleOf } from './stability';
import type { Standing } from './settle';

/** What a piece rests on, and how much of its mass that bears. */
export interface Load {
  /** `glass`, `bed`, or the number of the piece. */
  on: 'glass' | 'bed' | (string & {});
  kg: number;
  /** Where it touches, seen from above, cm². */
  cm2: number;
}

/** What is that near carries, mm: grains and pads give that much. */
const CARRIES_MM = 2;

/**
 * How the mass of a piece is shared among what carries it: pressed the harder the nearer its middle lies, changing evenly
 * over all that touches (Navier’s linear distribution under a rigid body, as handbooks of foundations have it for
 * footings with an eccentric load), so that force and both moments balance.
 * Valid for rigid pieces whose middle stands over what carries them. Leaves out: joints, friction, what a deep bury holds
 * sideways; where the linear pressure would pull, nothing is borne there.
 * Test: loads.test.ts, "shares a beam on two blocks by the lever".
 *
 * @returns the most first; empty where nothing carries it
 */
export function loadsOf(
  standing: Standing,
  massKg: number,
  field: BedField,
  near: readonly Standing[],
): Load[] {
  const { columns: col, xMm, yMm, zMm } = standing;
  const touches: { x: number; y: number; on: Load['on'] }[] = [];
  for (let row = 0; row < col.rows; row++)
    for (let column = 0; column < col.columns; column++) {
      const c = row * col.columns + column;
      if (col.first[c] === col.first[c + 1]) continue;
      const [x, y] = [xMm + col.x0 + column * col.dxMm, yMm + col.y0 + row * col.dyMm];
      const on = carrierOf(col.lo[col.first[c]] + zMm, x, y, field, near);
      if (on !== undefined) touches.push({ x, y, on });
    }
  if (touches.length === 0) return [];
  const [mx, my] = middleOf(col);
  const press = pressure(touches, xMm + mx, yMm + my);
  const whole = touches.reduce((sum, t) => sum + press(t.x, t.y), 0);
  const cellCm2 = (col.dxMm * col.dyMm) / 100;
  const loads = new Map<Load['on'], Load>();
  for (const { x, y, on } of touches) {
    const load = loads.get(on) ?? { on, kg: 0, cm2: 0 };
    load.kg += (massKg * press(x, y)) / whole;
    load.cm2 += cellCm2;
    loads.set(on, load);
  }
  return [...loads.values()].sort((a, b) => b.kg - a.kg);
}

/** What carries a foot at a height, the uppermost of what is there. */
function carrierOf(
  foot: number,
  x: number,
  y: number,
  field: BedField,
  near: readonly Standing[],
): Load['on'] | undefined {
  for (const { piece, columns: l, xMm, yMm, zMm } of near) {
    const row = Math.round((y - yMm - l.y0) / l.dyMm);
    const column = Math.round((x - xMm - l.x0) / l.dxMm);
    if (row < 0 || column < 0 || row >= l.rows || column >= l.columns) continue;
    const c = row * l.columns + column;
    for (let k = l.first[c]; k < l.first[c + 1]; k++)
      if (l.lo[k] + zMm < foot && l.hi[k] + zMm >= foot - CARRIES_MM) return piece.id;
  }
  if (foot <= CARRIES_MM) return 'glass';
  if (onFloor(field, x, y) && foot <= field.surfaceMm[cellAt(field, x, y)] + CARRIES_MM) return 'bed';
  return undefined;
}

/** Pressure of one on spots, linear in x and y, with the moments of a load in (mx, my); nowhere below nothing. */
function pressure(touches: readonly { x: number; y: number }[], mx: number, my: number) {
  const n = touches.length;
  const cx = touches.reduce((sum, t) => sum + t.x, 0) / n;
  const cy = touches.reduce((sum, t) => sum + t.y, 0) / n;
  let [ixx, iyy, ixy] = [0, 0, 0];
  for (const { x, y } of touches) {
    ixx += (x - cx) ** 2;
    iyy += (y - cy) ** 2;
    ixy += (x - cx) * (y - cy);
  }
  const [ex, ey] = [n * (mx - cx), n * (my - cy)];
  const by = ixx * iyy - ixy * ixy;
  // In one line there is no second moment across it: along the line alone.
  const slim = by <= 1e-6 * Math.max(ixx, iyy, 1) ** 2;
  const a = slim ? (ixx > iyy && ixx > 0 ? ex / ixx : 0) : (ex * iyy - ey * ixy) / by;
  const b = slim ? (iyy >= ixx && iyy > 0 ? ey / iyy : 0) : (ey * ixx - ex * ixy) / by;
  return (x: number, y: number) => Math.max(0, 1 + a * (x - cx) + b * (y - cy));
}
