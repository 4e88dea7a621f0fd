import { USUAL_ROOT_DEPTH_MM } from '../commission/limits';
import type { Layer, Vessel } from '../commission/schema';
import { floorShare, type BedField } from './bedField';
import { OFF_GLASS_MM } from './filler';
import { gridFrom, type GridTop } from './sculpt';

/** Soil that has to lie over filler where anything is planted, mm (common practice). */
export const SOIL_OVER_MM = USUAL_ROOT_DEPTH_MM;
/** Thinner than a bag no filler is laid, mm (common practice). */
const LEAST_MM = 15;
const MM3_PER_L = 1e6;

export interface Filling {
  top: GridTop;
  /** What the bags take up: so much less soil, L. */
  litres: number;
}

/**
 * Filler as high as it may lie under a bed: 50 mm of soil over it, off the glass, nowhere under a path, and
 * nowhere thinner than a bag.
 * Valid for a bed that is drawn without filler. Leaves out: stones that are buried deeper than the soil over it.
 * Test: fillUnder.test.ts, "takes what a ramp has beyond 50 mm of soil, less the strip at the glass".
 */
export function fillUnder(
  field: BedField,
  bed: readonly Layer[],
  vessel: Vessel,
  overMm = SOIL_OVER_MM,
): Filling {
  const { columns, dxMm, dyMm } = field;
  const { length, width } = vessel.innerMm;
  const cutAt = (c: number) => bed.some((l, i) => l.cuts && field.thicknessMm[i][c] > 0.5);
  let sum = 0;
  const mm = field.surfaceMm.map((surface, c) => {
    const x = ((c % columns) + 0.5) * dxMm;
    const y = (Math.floor(c / columns) + 0.5) * dyMm;
    const offGlass = Math.min(x, y, length - x, width - y) >= OFF_GLASS_MM && floorShare(field, c) > 1 - 1e-9;
    const z = surface - overMm;
    if (!offGlass || z < LEAST_MM || cutAt(c)) return 0;
    sum += z;
    return z;
  });
  return { top: gridFrom(field, mm, vessel), litres: (sum * dxMm * dyMm) / MM3_PER_L };
}
