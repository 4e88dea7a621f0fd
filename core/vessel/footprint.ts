import type { Vessel } from '../commission/schema';
import type { Point, Polygon } from '../geometry/polygon';

/**
 * Steps in which a curved pane is drawn, degrees. A chord of one degree lies inside its arc; the area of a
 * cylinder shrinks to sin θ / θ, by 0.005 %: 12 mL in 250 L.
 */
const ARC_STEP_DEG = 1;

/**
 * The inner footprint as a ring of corners, anticlockwise seen from above, within `innerMm`; the front glass
 * lies at y = 0. Everything that is measured of a vessel's plan is measured of this ring.
 */
export function footprint(vessel: Vessel): Polygon {
  const { length, width } = vessel.innerMm;
  switch (vessel.kind) {
    case 'box':
      return [
        [0, 0],
        [length, 0],
        [length, width],
        [0, width],
      ];
    case 'bow':
      return [...bow(length, vessel.bowMm ?? 0), [length, width], [0, width]];
    case 'cylinder':
      return arc([length / 2, length / 2], length / 2, 0, 360).slice(1);
    case 'half-cylinder':
      // Flat at the back, round in front.
      return arc([length / 2, width], length / 2, 180, 360);
    case 'hexagon':
      // Two corners to the sides; regular when the width is √3/2 of the length.
      return [
        [length / 4, 0],
        [(3 * length) / 4, 0],
        [length, width / 2],
        [(3 * length) / 4, width],
        [length / 4, width],
        [0, width / 2],
      ];
    case 'polygon':
      return vessel.corners ?? [];
    default:
      return vessel.kind satisfies never;
  }
}

/**
 * Radius of a bow from its chord c and its depth s: (c²/4 + s²) / 2s. 900 and 60 mm have 1717.5 mm.
 * Valid for bows of at most half a circle. Leaves out: the thickness of the pane.
 * Test: footprint.test.ts, "bend on a radius of 1717.5 mm for a chord of 900 and a bow of 60 mm".
 */
export function bowRadius(chordMm: number, depthMm: number): number {
  return (chordMm * chordMm) / (8 * depthMm) + depthMm / 2;
}

/** The front pane of a bow-fronted vessel from left to right, foremost at y = 0. */
function bow(chordMm: number, depthMm: number): Point[] {
  if (depthMm <= 0)
    return [
      [0, 0],
      [chordMm, 0],
    ];
  const radius = bowRadius(chordMm, depthMm);
  const half = (Math.asin(Math.min(1, chordMm / 2 / radius)) * 180) / Math.PI;
  return arc([chordMm / 2, radius], radius, 270 - half, 270 + half);
}

/** Points along an arc, both ends included; angles anticlockwise from the right. */
function arc([cx, cy]: Point, radius: number, fromDeg: number, toDeg: number): Point[] {
  const steps = Math.max(2, Math.ceil((toDeg - fromDeg) / ARC_STEP_DEG));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = ((fromDeg + ((toDeg - fromDeg) * i) / steps) * Math.PI) / 180;
    return [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)];
  });
}
