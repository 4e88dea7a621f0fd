import type { Vessel } from '../commission/schema';
import { distanceTo, edgesOf, isConvex } from '../geometry/offset';
import { anticlockwise, polygonContains, type Point, type Polygon } from '../geometry/polygon';
import { planHull } from '../hardscape/planHull';
import type { Standing } from '../hardscape/settle';
import type { BedField } from '../substrate/bedField';

/** Clearance of a piece to the front pane and to the nearest of the others, mm; negative is through it. */
export interface Gaps {
  frontGapMm: number;
  sideGapMm: number;
}

/**
 * A pane counts as front when its outward side looks forward by more than this (the sine of 40°); where none does, as in a
 * triangle with its tip in front, those that look forward most.
 */
const FORWARD = 0.64;
const ALIKE = 1e-6;

/** How far a standing piece stays clear of the panes around the display, to about 1 mm at curved glass. */
export function gapsOf(standing: Standing, field: BedField, vessel: Vessel): Gaps {
  const { lo, hi } = standing.columns.extent;
  const { xMm, yMm } = standing;
  if (!field.floor) {
    const { length, width } = vessel.innerMm;
    return {
      frontGapMm: yMm + lo[1],
      sideGapMm: Math.min(xMm + lo[0], length - xMm - hi[0], width - yMm - hi[1]),
    };
  }
  const hull = planHull(standing.columns).map(([x, y]): Point => [x + xMm, y + yMm]);
  return outlineGaps(hull, anticlockwise(field.floor.outline));
}

/** Clearance of a ring of points to the panes of an anticlockwise outline. */
export function outlineGaps(hull: Polygon, ring: Polygon): Gaps {
  const edges = edgesOf(ring);
  const forward = edges.map(lookingForward);
  const asFront = Math.min(FORWARD, Math.max(...forward) - ALIKE);
  const panes = edges.map((edge, i) => ({ edge, front: forward[i] > asFront }));
  const gaps = { frontGapMm: Infinity, sideGapMm: Infinity };
  const least = (front: boolean, mm: number) => {
    const key = front ? 'frontGapMm' : 'sideGapMm';
    gaps[key] = Math.min(gaps[key], mm);
  };
  for (const p of hull) {
    const inside = polygonContains(ring, p[0], p[1]);
    let nearest = { mm: Infinity, front: false };
    for (const { edge, front } of panes) {
      const mm = distanceTo(p, edge);
      if (inside) least(front, mm);
      else if (mm < nearest.mm) nearest = { mm, front };
    }
    // A point outside counts against the pane it is nearest to, and only against that one.
    if (!inside) least(nearest.front, -nearest.mm);
  }
  if (!isConvex(ring)) pokingCorners(hull, ring).forEach((mm) => least(false, -mm));
  // All of it lies outside, beyond panes of one kind: from those of the other it is as far as it is.
  for (const front of [true, false]) {
    if (Number.isFinite(front ? gaps.frontGapMm : gaps.sideGapMm)) continue;
    for (const pane of panes)
      if (pane.front === front) hull.forEach((p) => least(front, distanceTo(p, pane.edge)));
  }
  return gaps;
}

/** How deep the corners of an outline that point inwards stand in a piece, mm. */
function pokingCorners(hull: Polygon, ring: Polygon): number[] {
  return ring
    .filter(([x, y]) => polygonContains(hull, x, y))
    .map((corner) => Math.min(...edgesOf(hull).map((edge) => distanceTo(corner, edge))));
}

/** How far the outward side of a pane looks forward: 1 straight to the front, 0 sideways, -1 backwards. */
function lookingForward([a, b]: readonly [Point, Point]): number {
  // Anticlockwise: the outward normal is the direction turned to the right, so forward is towards +x.
  return (b[0] - a[0]) / Math.hypot(b[0] - a[0], b[1] - a[1]);
}
