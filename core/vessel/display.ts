import { USUAL_WALL_MM } from '../commission/usual';
import type { Vessel } from '../commission/schema';
import { clippedAlong, type Point, type Polygon } from '../geometry/polygon';
import { footprint } from './footprint';

export type Chamber = NonNullable<Vessel['chambers']>[number];

/** A chamber's own floor and the height of its water, mm. */
export interface ChamberFloor {
  chamber: Chamber;
  outline: Polygon;
  waterLineMm: number;
}

/** Which way a chamber lies: the axis it is measured along and whether it starts at that axis's end. */
const SIDE = {
  left: { axis: 0, end: false },
  right: { axis: 0, end: true },
  back: { axis: 1, end: true },
} as const;

/** The floor that is looked at and planted: the footprint less chambers and their walls. */
export function displayOutline(vessel: Vessel): Polygon {
  return divided(vessel).display;
}

/** The floors of the chambers, in the order in which they are listed; each takes from what is left. */
export function chamberFloors(vessel: Vessel): ChamberFloor[] {
  return divided(vessel).chambers;
}

function divided(vessel: Vessel): { display: Polygon; chambers: ChamberFloor[] } {
  let display: Polygon = footprint(vessel);
  const chambers: ChamberFloor[] = [];
  for (const chamber of vessel.chambers ?? []) {
    const { axis, end } = SIDE[chamber.side];
    const at = display.map((p) => p[axis]);
    const wall = chamber.wallMm ?? USUAL_WALL_MM;
    const edge = end ? Math.max(...at) - chamber.mm : Math.min(...at) + chamber.mm;
    const outline: Point[] = clippedAlong(display, axis, edge, end ? 'above' : 'below');
    display = clippedAlong(display, axis, end ? edge - wall : edge + wall, end ? 'below' : 'above');
    chambers.push({ chamber, outline, waterLineMm: chamber.waterLineMm ?? vessel.waterLineMm });
  }
  return { display, chambers };
}

/** Whether the display is the whole box: then every cell of the floor is inside. */
export function isPlainBox(vessel: Vessel): boolean {
  return vessel.kind === 'box' && (vessel.chambers ?? []).length === 0;
}
