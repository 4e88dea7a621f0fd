import type { Site, Vessel } from '../commission/schema';
import { polygonContains, type Polygon } from '../geometry/polygon';
import { chamberFloors } from '../vessel/display';
import { footprint } from '../vessel/footprint';
import { crossingMm } from './refraction';
import { stoppedBy, type InTheWay, type Spot3 } from './sightLine';

/** How much of a device an eye sees of what it would see of it in an empty tank, and what hides the most of it. */
export interface Seen {
  share: number;
  /** A piece, the bed, or the wall of a chamber. */
  hiddenBy?: string | 'bed' | 'chamber';
}

/** What a device takes up inside the vessel. */
type Body = NonNullable<NonNullable<Site['devices']>[number]['body']>;

/** Spots along each edge of a side of a device that are looked at. */
const SPOTS = 12;
const OUTSIDE_MM = 1;

/**
 * What is seen of a device from an eye: looks to spots spread over the sides that face it, each counted as large as it
 * seems. A look bends where it comes through a flat pane and goes straight on through water.
 * Valid for bodies as blocks. Leaves out: plants, braces and rims, mirroring at the panes, the second pane of a corner.
 * Test: gearSeen.test.ts, "is seen whole in an empty tank, and hidden by what stands before it".
 */
export function gearSeen(eye: Spot3, body: Body, vessel: Vessel, way: InTheWay): Seen {
  const inside = partOf(vessel, body);
  let [whole, seen] = [0, 0];
  const hides = new Map<string, number>();
  for (const { spot, normal, mm2 } of spotsOn(body)) {
    const enters = entry(eye, spot, vessel);
    const look = [spot[0] - enters[0], spot[1] - enters[1], spot[2] - enters[2]];
    const long = Math.hypot(look[0], look[1], look[2]);
    const faces = -(look[0] * normal[0] + look[1] * normal[1] + look[2] * normal[2]) / (long || 1);
    if (faces <= 0) continue;
    const seems = (faces * mm2) / long ** 2;
    whole += seems;
    const by = inside(enters) ? stoppedBy(enters, outside(spot, normal), way) : 'chamber';
    if (by === undefined) seen += seems;
    else hides.set(by, (hides.get(by) ?? 0) + seems);
  }
  const [most] = [...hides].sort((a, b) => b[1] - a[1]);
  return { share: whole > 0 ? seen / whole : 0, ...(most ? { hiddenBy: most[0] } : {}) };
}

/** Just off its own side, so that a device that touches a stone there is not hidden by it at that very spot. */
const outside = (spot: Spot3, n: Spot3): Spot3 => [spot[0] + n[0] * OUTSIDE_MM, spot[1] + n[1] * OUTSIDE_MM, spot[2] + n[2] * OUTSIDE_MM]; // prettier-ignore

/** Spots over the six sides of a body, each with where its side faces and how much of it the spot stands for. */
function* spotsOn({ at, sizeMm, zMm }: Body): Generator<{ spot: Spot3; normal: Spot3; mm2: number }> {
  const low = [at[0], at[1], zMm];
  for (let k = 0; k < 3; k++)
    for (const end of [0, 1]) {
      const normal = [0, 0, 0];
      normal[k] = end ? 1 : -1;
      const [u, v] = [(k + 1) % 3, (k + 2) % 3];
      const mm2 = (sizeMm[u] * sizeMm[v]) / SPOTS ** 2;
      for (let i = 0; i < SPOTS; i++)
        for (let j = 0; j < SPOTS; j++) {
          const spot = [...low];
          spot[k] += end * sizeMm[k];
          spot[u] += ((i + 0.5) / SPOTS) * sizeMm[u];
          spot[v] += ((j + 0.5) / SPOTS) * sizeMm[v];
          yield { spot: spot as unknown as Spot3, normal: normal as unknown as Spot3, mm2 };
        }
    }
}

/** Where a look from an eye comes in: bent at a flat pane; straight behind a bow or a cylinder, and from above. */
function entry(eye: Spot3, spot: Spot3, vessel: Vessel): Spot3 {
  const { length, width } = vessel.innerMm;
  if (vessel.kind !== 'box') return straightIn(eye, spot, footprint(vessel), vessel.innerMm.height);
  // The pane that the eye is furthest in front of, as the distance in front of it and behind it.
  const panes = [
    { axis: 1, before: -eye[1], at: 0, behind: spot[1] },
    { axis: 1, before: eye[1] - width, at: width, behind: width - spot[1] },
    { axis: 0, before: -eye[0], at: 0, behind: spot[0] },
    { axis: 0, before: eye[0] - length, at: length, behind: length - spot[0] },
  ] as const;
  const pane = panes.reduce((a, b) => (b.before > a.before ? b : a));
  if (pane.before <= 0 || pane.behind <= 0) return overRim(eye, spot, vessel.innerMm.height);
  const other = pane.axis === 0 ? 1 : 0;
  const [d, dz] = [spot[other] - eye[other], spot[2] - eye[2]];
  const across = Math.hypot(d, dz);
  const r = across > 0 ? crossingMm(across, pane.before, pane.behind) / across : 0;
  const on = [0, 0, eye[2] + dz * r];
  on[pane.axis] = pane.at;
  on[other] = eye[other] + d * r;
  return on as unknown as Spot3;
}

/** Where a look from above passes the rim; the eye where it is below it. */
function overRim(eye: Spot3, spot: Spot3, rimMm: number): Spot3 {
  if (eye[2] <= rimMm || spot[2] >= rimMm) return eye;
  const t = (eye[2] - rimMm) / (eye[2] - spot[2]);
  return [eye[0] + (spot[0] - eye[0]) * t, eye[1] + (spot[1] - eye[1]) * t, rimMm];
}

/** The last place at which a straight look comes over the edge of the floor, or over the rim from above. */
function straightIn(eye: Spot3, spot: Spot3, ring: Polygon, rimMm: number): Spot3 {
  const [dx, dy, dz] = [spot[0] - eye[0], spot[1] - eye[1], spot[2] - eye[2]];
  let last = 0;
  for (let i = 0; i < ring.length; i++) {
    const [a, b] = [ring[i], ring[(i + 1) % ring.length]];
    const [ex, ey] = [b[0] - a[0], b[1] - a[1]];
    const cross = dx * ey - dy * ex;
    if (cross === 0) continue;
    const t = ((a[0] - eye[0]) * ey - (a[1] - eye[1]) * ex) / cross;
    const u = ((a[0] - eye[0]) * dy - (a[1] - eye[1]) * dx) / cross;
    if (t > last && t < 1 && u >= 0 && u < 1) last = t;
  }
  if (last === 0) return overRim(eye, spot, rimMm);
  return [eye[0] + dx * last, eye[1] + dy * last, eye[2] + dz * last];
}

/** Whether a look that comes in somewhere comes into the part of the vessel that a body is in: a wall is not seen through. */
function partOf(vessel: Vessel, { at, sizeMm }: Body): (enters: Spot3) => boolean {
  const floors = chamberFloors(vessel).map((f) => f.outline);
  if (floors.length === 0) return () => true;
  const [mx, my] = [at[0] + sizeMm[0] / 2, at[1] + sizeMm[1] / 2];
  const partAt = (x: number, y: number) => floors.findIndex((ring) => polygonContains(ring, x, y));
  const own = partAt(mx, my);
  return ([x, y]) => {
    // A little way in from the pane, towards the body.
    const by = OUTSIDE_MM / Math.max(1, Math.hypot(mx - x, my - y));
    return partAt(x + (mx - x) * by, y + (my - y) * by) === own;
  };
}
