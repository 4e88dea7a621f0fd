import { differenceD, FillRule } from 'clipper2-ts';
import type { Planting } from '../commission/schema';
import { commonArea } from '../geometry/offset';
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

/**
 * A region less what others cover of it: the largest piece that is left.
 * Valid for rings that do not cross themselves. Leaves out: smaller pieces that the others cut off.
 * Test: apart.test.ts, "is what the other leaves of it".
 *
 * @returns empty where nothing of it is left
 */
export function regionWithout(region: Polygon, others: readonly Polygon[]): Point[] {
  const path = (ring: Polygon) => ring.map(([x, y]) => ({ x, y }));
  const left = differenceD([path(region)], others.map(path), FillRule.NonZero, DIGITS);
  return soundRing(left);
}
