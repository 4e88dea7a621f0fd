import type { Standing } from '../hardscape/settle';
import { surfaceAt, type BedField } from '../substrate/bedField';

/** A spot in the vessel, mm: from the left, from the front, above the glass. */
export type Spot3 = readonly [number, number, number];

/** What may stand in the way of a look: pieces as they stand, and the bed. */
export interface InTheWay {
  standing: readonly Standing[];
  field: BedField;
}

/** Steps of a look over the bed, mm. */
const STEP_MM = 4;
/** A look that only grazes is not stopped, mm. */
const GRAZE_MM = 0.5;

/**
 * What stops a look from one spot to another: the first piece that its line runs into, or the bed; undefined where
 * nothing does. Pieces are read by their columns, so no finer than these (4 mm at most).
 * Valid for straight lines within the water. Leaves out: plants, glass, braces.
 * Test: gearSeen.test.ts, "is seen whole in an empty tank, and hidden by what stands before it".
 */
export function stoppedBy(from: Spot3, to: Spot3, { standing, field }: InTheWay): string | 'bed' | undefined {
  let first = Infinity;
  let by: string | undefined;
  for (const s of standing) {
    const at = entersPiece(from, to, s);
    if (at < first) [first, by] = [at, s.piece.id];
  }
  return entersBed(from, to, field, first) ? 'bed' : by;
}

/** Share of the way at which a line enters a piece; Infinity where it passes it. */
function entersPiece(from: Spot3, to: Spot3, { columns: c, xMm, yMm, zMm }: Standing): number {
  const o = [xMm, yMm, zMm];
  let [near, far] = [0, 1];
  for (let k = 0; k < 3; k++) {
    const [a, b] = [from[k] - o[k], to[k] - o[k]];
    const [lo, hi] = [c.extent.lo[k], c.extent.hi[k]];
    if (a === b) {
      if (a < lo || a > hi) return Infinity;
      continue;
    }
    const [s, t] = [(lo - a) / (b - a), (hi - a) / (b - a)];
    near = Math.max(near, Math.min(s, t));
    far = Math.min(far, Math.max(s, t));
  }
  if (near >= far) return Infinity;
  const long = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]) * (far - near);
  const steps = Math.max(1, Math.ceil(long / Math.min(c.dxMm, c.dyMm)));
  for (let i = 0; i < steps; i++) {
    const t = near + ((i + 0.5) / steps) * (far - near);
    const at = (k: number) => from[k] + t * (to[k] - from[k]) - o[k];
    const [u, v] = [Math.round((at(0) - c.x0) / c.dxMm), Math.round((at(1) - c.y0) / c.dyMm)];
    if (u < 0 || v < 0 || u >= c.columns || v >= c.rows) continue;
    const cell = v * c.columns + u;
    const z = at(2);
    for (let n = c.first[cell]; n < c.first[cell + 1]; n++)
      if (z > c.lo[n] + GRAZE_MM && z < c.hi[n] - GRAZE_MM) return t;
  }
  return Infinity;
}

/** Whether a line runs into the bed before a share of its way. */
function entersBed(from: Spot3, to: Spot3, field: BedField, before: number): boolean {
  const steps = Math.max(1, Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / STEP_MM));
  for (let i = 0; i < steps; i++) {
    const t = (i + 0.5) / steps;
    if (t >= before) return false;
    const z = from[2] + t * (to[2] - from[2]);
    if (z < surfaceAt(field, from[0] + t * (to[0] - from[0]), from[1] + t * (to[1] - from[1])) - GRAZE_MM)
      return true;
  }
  return false;
}
