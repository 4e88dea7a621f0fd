import type { Vessel } from '../../../core/commission/schema';
import { seenThroughPane } from '../../../core/view/refraction';
import type { Drawing } from '../drawing';

/** A spot, mm. In the document z is up and y goes to the back; in the scene y is up and z comes towards the eye. */
export type Spot = readonly [number, number, number];
/** Where a spot of the document is drawn in the scene. */
export type Place = (x: number, y: number, z: number) => Spot;
/** What a seat sees: a drawing without a scale. */
export type Seen = Omit<Drawing, 'k'>;

export const straight: Place = (x, y, z) => [x, z, -y];

/** Flat panes bend what stands in the water behind them; behind a bow or a cylinder it is drawn where it is. */
export function bends(vessel: Vessel, eye: Spot): boolean {
  return vessel.kind === 'box' && eye[1] < -1;
}

/** Where spots in the water seem to be to an eye in front of a flat pane. */
export function throughPane(vessel: Vessel, eye: Spot): Place {
  return (x, y, z) =>
    z < vessel.waterLineMm ? straight(...seenThroughPane(eye, [x, y, z])) : straight(x, y, z);
}
