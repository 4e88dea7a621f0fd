import { liesInBags } from '../commission/origin';
import { reposeOf } from '../substrate/repose';
import type { Layer, Material, Vessel } from '../commission/schema';
import { floorShare, type BedField } from '../substrate/bedField';
import { topLayer } from '../substrate/faces';
import { relaxing, run, type Obstacles, type Relaxed, type Rounds } from '../substrate/relax';
import { gridFrom } from '../substrate/sculpt';
import type { Standing } from './settle';

/** What a bed does by itself in the weeks after the build. */
export interface Settling extends Relaxed {
  /** What then lies higher than it was drawn, cell by cell, mm. */
  risenMm: Float64Array;
  /** What has run onto layers that cut, the paths, L. */
  onPathsL: number;
  /** The layer that runs: the one of which most comes down. */
  layer?: string;
}

const MM3_PER_L = 1e6;
/** Bags stay where they are put, degrees: as steep as a wall. */
const STAYS_DEG = 89;
/** Between the eight directions in which grain goes a slope may be 8 % steeper, and a little more
 * where it is kept as heights: so much less is let stand along them. */
export const BETWEEN = 0.85;

/** Slope at which a layer stays, degrees. */
function staysAt(layer: Layer, material: Material | undefined): number {
  return liesInBags(layer, material) ? STAYS_DEG : reposeOf(material);
}

/** Lets the bed of a scape creep to its angles of repose, held by the stones that stand in its way. */
export function letSettle(...of: Parameters<typeof settling>): Settling {
  return run(settling(...of));
}

/** The same round by round; stopped before the end it returns what has moved by then. */
export function* settling(
  field: BedField,
  bed: readonly Layer[],
  materials: readonly Material[],
  standing: readonly Standing[],
): Rounds<Settling> {
  const tangents = bed.map((_, i) => BETWEEN * Math.tan((staysAt(bed[i], materials[i]) * Math.PI) / 180));
  const top = new Int16Array(field.columns * field.rows).map((_, c) => topLayer(field, c));
  const done = yield* relaxing(
    field,
    (c) => tangents[top[c]] ?? tangents[0] ?? 1,
    obstaclesOf(field, standing),
  );
  const risenMm = done.surfaceMm.map((mm, c) => Math.max(0, mm - field.surfaceMm[c]));
  const fallen = bed.map(() => 0);
  let onPaths = 0;
  done.surfaceMm.forEach((mm, c) => {
    const by = (mm - field.surfaceMm[c]) * floorShare(field, c);
    if (by < 0 && top[c] >= 0) fallen[top[c]] -= by;
    if (by > 0 && bed[top[c]]?.cuts) onPaths += by;
  });
  const most = Math.max(0, ...fallen);
  return {
    ...done,
    risenMm,
    onPathsL: (onPaths * field.dxMm * field.dyMm) / MM3_PER_L,
    ...(most > 0 ? { layer: bed[fallen.indexOf(most)].id } : {}),
  };
}

/** Height of the stone in each cell that stands in the bed there; what hangs over it is in nobody's way. */
export function obstaclesOf(field: BedField, standing: readonly Standing[]): Obstacles {
  const { columns, rows, dxMm, dyMm } = field;
  const tops = new Float64Array(columns * rows);
  for (const { columns: col, xMm, yMm, zMm } of standing)
    for (let row = 0, c = 0; row < col.rows; row++) {
      const v = Math.floor((yMm + col.y0 + row * col.dyMm) / dyMm);
      for (let column = 0; column < col.columns; column++, c++) {
        if (col.first[c] === col.first[c + 1] || v < 0 || v >= rows) continue;
        const u = Math.floor((xMm + col.x0 + column * col.dxMm) / dxMm);
        if (u < 0 || u >= columns) continue;
        const cell = v * columns + u;
        if (col.lo[col.first[c]] + zMm > field.surfaceMm[cell]) continue;
        tops[cell] = Math.max(tops[cell], col.hi[col.first[c]] + zMm);
      }
    }
  return tops;
}

/** A material of its own on top: what has run over a path. */
const RUN = 'run';

/**
 * The bed as it lies after that: the layer that ran has lost what came down, and what came to lie on a path lies
 * there as a layer of its own.
 */
export function settledBed(
  bed: readonly Layer[],
  field: BedField,
  settling: Settling,
  vessel: Vessel,
): Layer[] {
  const at = bed.findIndex((l) => l.id === settling.layer);
  if (at < 0) return [...bed];
  const whole = gridFrom(field, settling.surfaceMm, vessel);
  const covered = bed.slice(at + 1).some((l) => !l.path);
  if (settling.onPathsL < 0.01 && !covered)
    return bed.map((l, i) => (i === at ? { ...l, top: whole, over: undefined, mounds: undefined } : l));
  const low = settling.surfaceMm.map((mm, c) => Math.min(mm, field.surfaceMm[c]));
  const ids = new Set(bed.map((l) => l.id));
  let id = RUN;
  for (let n = 2; ids.has(id); n++) id = `${RUN}-${n}`;
  const lowered = bed.map((l, i) =>
    i === at ? { ...l, top: gridFrom(field, low, vessel), over: undefined, mounds: undefined } : l,
  );
  return [...lowered, { id, material: bed[at].material, top: whole }];
}
