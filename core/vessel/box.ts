import { MM3_PER_L } from '../units/volume';
import type { Vessel } from '../commission/schema';

/** Soda-lime float glass: 2500 kg/m³ (EN 572-1, from memory). */
export const GLASS_KG_PER_L = 2.5;

/** Inner volume up to a height above the bottom pane, litres: 900 × 500 × 480 mm hold 216.0 L. */
export function litresToHeight(vessel: Vessel, heightMm: number): number {
  const { length, width, height } = vessel.innerMm;
  return (length * width * Math.min(Math.max(heightMm, 0), height)) / MM3_PER_L;
}

/** Mass of a rimless tank's five panes, kg: outer box less inner box, times the density of glass. */
export function glassKg(vessel: Vessel): number {
  const { length, width, height } = vessel.innerMm;
  const t = vessel.glassMm;
  const outer = (length + 2 * t) * (width + 2 * t) * (height + t);
  return ((outer - length * width * height) / MM3_PER_L) * GLASS_KG_PER_L;
}

/** Area that bears on the floor, m²: the stated footprint of the stand, otherwise the tank's own base. */
export function footprintM2(vessel: Vessel): number {
  const t = vessel.glassMm;
  const length = vessel.footprintMm?.length ?? vessel.innerMm.length + 2 * t;
  const width = vessel.footprintMm?.width ?? vessel.innerMm.width + 2 * t;
  return (length * width) / 1e6;
}
