import type { Vessel } from '../commission/schema';
import { grownArea } from '../geometry/offset';
import { polygonArea, type Polygon } from '../geometry/polygon';
import { MM3_PER_L } from '../units/volume';
import { chamberFloors, displayOutline } from './display';
import { footprint } from './footprint';

/** Soda-lime float glass: 2500 kg/m³ (EN 572-1, from memory). */
export const GLASS_KG_PER_L = 2.5;

/** Outer area of the base, walls included, mm². */
export function outerAreaMm2(vessel: Vessel): number {
  return grownArea(footprint(vessel), vessel.glassMm);
}

/**
 * Mass of the empty tank, kg: walls and bottom pane (outer prism less inner prism), chamber walls, braces
 * and rim, times the density of glass.
 * Valid for panes of even thickness. Leaves out: silicone, polish and the stiffening of large tanks.
 * Test: glass.test.ts, "has five panes: bottom, two long, two short, once".
 */
export function glassKg(vessel: Vessel): number {
  const { height } = vessel.innerMm;
  const inner = footprint(vessel);
  const shell = outerAreaMm2(vessel) * (height + paneMm(vessel)) - polygonArea(inner) * height;
  const open = [displayOutline(vessel), ...chamberFloors(vessel).map((c) => c.outline)];
  const walls = (polygonArea(inner) - open.reduce((sum, o) => sum + polygonArea(o), 0)) * height;
  return ((shell + walls + topGlassMm3(vessel, inner)) / MM3_PER_L) * GLASS_KG_PER_L;
}

/** Thickness of the bottom pane, mm: that of the walls unless it is given. */
export function paneMm(vessel: Vessel): number {
  return vessel.baseMm ?? vessel.glassMm;
}

/** Braces and rim, of the walls' own thickness, mm³. */
function topGlassMm3(vessel: Vessel, inner: Polygon): number {
  const rim = vessel.rimMm ?? 0;
  const rimArea = rim > 0 ? polygonArea(inner) - Math.max(0, grownArea(inner, -rim)) : 0;
  const braces = (vessel.braces ?? []).reduce(
    (sum, b) => sum + (b.toMm - b.fromMm) * vessel.innerMm.width,
    0,
  );
  return (rimArea + braces) * vessel.glassMm;
}

/** Area that bears on the floor, m²: the stated footprint of the stand, otherwise the tank's own base. */
export function footprintM2(vessel: Vessel): number {
  const { footprintMm } = vessel;
  return (footprintMm ? footprintMm.length * footprintMm.width : outerAreaMm2(vessel)) / 1e6;
}

/** What stands on the floor, mm: the stand's base as given, otherwise the box round the tank. */
export function standingMm(vessel: Vessel): { length: number; width: number } {
  const [length, width] = outerMm(vessel);
  return vessel.footprintMm ?? { length, width };
}

/** Outer size of the empty tank, mm: what has to pass through doors. */
export function outerMm(vessel: Vessel): [number, number, number] {
  const { length, width, height } = vessel.innerMm;
  const t = 2 * vessel.glassMm;
  return [length + t, width + t, height + paneMm(vessel)];
}

/** Inner from outer size: less a pane at each side, and the bottom pane from the height. */
export function innerFromOuter(
  [length, width, height]: readonly [number, number, number],
  glassMm: number,
  baseMm = glassMm,
): Vessel['innerMm'] {
  return { length: length - 2 * glassMm, width: width - 2 * glassMm, height: height - baseMm };
}
