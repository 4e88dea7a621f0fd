import type { Vessel } from '../../core/commission/schema';
import { polygonBounds, type Polygon } from '../../core/geometry/polygon';
import { displayOutline } from '../../core/vessel/display';
import { footprint } from '../../core/vessel/footprint';

type Scale = (mm: number) => number;

/** A ring of corners as a closed path. */
export function ringPath(ring: Polygon, X: Scale, Y: Scale): string {
  return `M${ring.map(([x, y]) => `${X(x).toFixed(1)} ${Y(y).toFixed(1)}`).join('L')}Z`;
}

/** The glass seen from above: the whole footprint, and the floor that is planted. */
export function planPaths(vessel: Vessel, X: Scale, Y: Scale): { glass: string; display: string } {
  return { glass: ringPath(footprint(vessel), X, Y), display: ringPath(displayOutline(vessel), X, Y) };
}

/** Left and right end of the display as seen from the front, mm. */
export function displaySpan(vessel: Vessel): [number, number] {
  const [left, , right] = polygonBounds(displayOutline(vessel));
  return [left, right];
}
