import type { Vessel } from '../commission/schema';
import type { BedField } from '../substrate/bedField';
import { filledBy, newFilling } from './filled';
import { mayOverlap } from './neighbours';
import { settle, type Standing } from './settle';
import { Under } from './under';

/** Directions that are tried, and how far at most, mm; how closely the way is found. */
const DIRECTIONS = 16;
const FARTHEST_MM = 400;
const CLOSE_MM = 0.5;
/** What may still be shared, share of the piece: columns that graze. */
const GRAZE = 0.001;

/**
 * Where a piece no longer runs into others: the shortest way over the floor that frees it, itself let down anew on
 * the way. Undefined where none is found within 400 mm, or nothing is in the way.
 */
export function slidApart(
  standing: Standing,
  others: readonly Standing[],
  field: BedField,
  vessel: Vessel,
): [number, number] | undefined {
  const placed = new Map(others.map((s) => [s.piece.id, s]));
  const at = (x: number, y: number): Standing => settle({ ...standing.piece, at: [x, y] }, standing.columns, field, placed); // prettier-ignore
  const isFree = (x: number, y: number) => sharedMm3(at(x, y), others, field, vessel) <= GRAZE * standing.columns.volumeMm3; // prettier-ignore
  const [x0, y0] = [standing.xMm, standing.yMm];
  if (isFree(x0, y0)) return undefined;
  let best: { mm: number; x: number; y: number } | undefined;
  for (let i = 0; i < DIRECTIONS; i++) {
    const a = (2 * Math.PI * i) / DIRECTIONS;
    const along = (mm: number): [number, number] => [x0 + mm * Math.cos(a), y0 + mm * Math.sin(a)];
    const far = best ? best.mm : FARTHEST_MM;
    let mm = 8;
    while (mm < far && !isFree(...along(mm))) mm *= 1.6;
    if (mm >= far || !inside(along(mm), vessel)) continue;
    let [blocked, free] = [mm / 1.6, mm];
    while (free - blocked > CLOSE_MM) {
      const middle = (blocked + free) / 2;
      if (isFree(...along(middle))) free = middle;
      else blocked = middle;
    }
    const [x, y] = along(free);
    best = { mm: free, x, y };
  }
  return best && [Math.round(best.x * 10) / 10, Math.round(best.y * 10) / 10];
}

/** Space that a piece shares with others, mm³. */
export function sharedMm3(
  standing: Standing,
  others: readonly Standing[],
  field: BedField,
  vessel: Vessel,
): number {
  const near = others.filter((o) => mayOverlap(o, standing));
  return (
    filledBy(standing, vessel, near, newFilling(new Under(field, standing))).all * standing.columns.columnMm2
  );
}

function inside([x, y]: readonly [number, number], { innerMm }: Vessel): boolean {
  return x >= 0 && y >= 0 && x <= innerMm.length && y <= innerMm.width;
}
