import { planHull } from '../hardscape/planHull';
import type { Standing } from '../hardscape/settle';
import { surfaceAt, type BedField } from '../substrate/bedField';

/** Bed that stands so much higher on one side of a piece than on the other leans on it, mm (common practice). */
const LEANS_MM = 10;
/** The bed is asked so far outside of a piece, mm. */
const BESIDE_MM = 8;

/**
 * True for a piece that holds bed back: it stands higher on one side of it than on the side across. Only there does
 * anything run through a gap beside it, and only there is it closed.
 */
export function holdsBedBack(field: BedField, standing: Standing): boolean {
  const known = asked.get(standing);
  if (known?.field === field) return known.holds;
  const holds = isLeantOn(field, standing);
  asked.set(standing, { field, holds });
  return holds;
}

/** Every sitting asks it of every stone. */
const asked = new WeakMap<Standing, { field: BedField; holds: boolean }>();

function isLeantOn(field: BedField, { columns, xMm, yMm }: Standing): boolean {
  const hull = planHull(columns).map(([x, y]) => [xMm + x, yMm + y] as const);
  const around = hull.map(([x, y]) => {
    const far = Math.hypot(x - xMm, y - yMm) || 1;
    const at = (v: number, middle: number) => v + ((v - middle) / far) * BESIDE_MM;
    return surfaceAt(field, at(x, xMm), at(y, yMm));
  });
  return Math.max(...around) - Math.min(...around) >= LEANS_MM;
}
