import { areaD, differenceD, FillRule, isPositiveD, type PathD, type PathsD } from 'clipper2-ts';
import type { Planting } from '../commission/schema';
import { commonArea } from '../geometry/offset';
import { pathOf } from '../geometry/paths';
import type { Point, Polygon } from '../geometry/polygon';
import { soundRing } from './soundRing';

/** Digits that outlines keep, mm. */
const DIGITS = 1;
/** Less than this in common is an edge that two regions share, mm². */
const EDGE_MM2 = 400;

/** Plantings whose regions lie partly on that of another, which would each be counted for the whole. */
export function lyingOn(planting: Planting, others: readonly Planting[]): Planting[] {
  const { region } = planting;
  if (!region) return [];
  return others.filter(
    (o) =>
      o.id !== planting.id &&
      o.plant !== planting.plant &&
      o.region !== undefined &&
      (o.share ?? 1) + (planting.share ?? 1) > 1 + 1e-9 &&
      commonArea(region, o.region) > EDGE_MM2,
  );
}

/** A hole is opened to the outside by a slit so wide, mm: a region is one ring. */
const SLIT_MM = 6;
/** Holes that are opened one after another at most. */
const MOST_HOLES = 12;

/**
 * A region less what others cover of it: the largest piece that is left. What lies in its middle is left out too, with a
 * slit from there to the nearest edge.
 * Valid for rings that do not cross themselves. Leaves out: smaller pieces that the others cut off.
 * Test: apart.test.ts, "is what the other leaves of it".
 *
 * @returns empty where nothing of it is left
 */
export function regionWithout(region: Polygon, others: readonly Polygon[]): Point[] {
  const away = others.map(pathOf);
  let left = differenceD([pathOf(region)], away, FillRule.NonZero, DIGITS);
  for (let i = 0; i < MOST_HOLES; i++) {
    const outer = largest(left);
    const hole = left.find((ring) => isPositiveD(ring) !== isPositiveD(outer));
    if (!hole) break;
    away.push(slitBetween(hole, outer));
    left = differenceD([pathOf(region)], away, FillRule.NonZero, DIGITS);
  }
  return soundRing(left);
}

/** A narrow strip from a hole over the shortest way out, a little into what lies on both sides. */
function slitBetween(hole: PathD, outer: PathD): PathD {
  let best = { far: Infinity, from: hole[0], to: outer[0] };
  for (const from of hole)
    outer.forEach((a, i) => {
      const to = nearestOn(from, a, outer[(i + 1) % outer.length]);
      const far = Math.hypot(to.x - from.x, to.y - from.y);
      if (far < best.far) best = { far, from, to };
    });
  const { far, from, to } = best;
  const [ux, uy] = far > 0 ? [(to.x - from.x) / far, (to.y - from.y) / far] : [1, 0];
  const [w, over] = [SLIT_MM / 2, SLIT_MM];
  const at = (p: { x: number; y: number }, along: number, side: number) => ({ x: p.x + ux * along - uy * side, y: p.y + uy * along + ux * side }); // prettier-ignore
  return [at(from, -over, -w), at(to, over, -w), at(to, over, w), at(from, -over, w)];
}

type Spot = PathD[number];
function nearestOn(p: Spot, a: Spot, b: Spot): Spot {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const t = Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)));
  return { x: a.x + t * dx, y: a.y + t * dy };
}

const largest = (rings: PathsD): PathD => [...rings].sort((a, b) => Math.abs(areaD(b)) - Math.abs(areaD(a)))[0] ?? []; // prettier-ignore
