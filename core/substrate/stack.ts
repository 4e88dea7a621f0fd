import { polygonBounds, polygonContains, type Polygon } from '../geometry/polygon';
import type { Layer, Vessel } from '../commission/schema';
import { layerTop, type HeightAt } from './layerTop';

/** The layers of a bed made ready for being asked at any spot, from the bottom up. */
export interface Stack {
  count: number;
  tops: HeightAt[];
  regions: (Polygon | undefined)[];
  bounds: (readonly [number, number, number, number] | undefined)[];
  /** For a layer that cuts: the height down to which it takes away what lies under it; otherwise −1. */
  cutsToMm: Float64Array;
}

export function stackOf(bed: readonly Layer[], vessel: Vessel): Stack {
  return {
    count: bed.length,
    tops: bed.map((layer) => layerTop(layer, vessel)),
    regions: bed.map((layer) => layer.region),
    bounds: bed.map((layer) => layer.region && polygonBounds(layer.region)),
    cutsToMm: Float64Array.from(bed, (layer) => (layer.cuts ? (layer.floorMm ?? 0) : -1)),
  };
}

/** Which layers' regions a spot lies in: 1 or 0 a layer, written into `inside`. */
export function regionsAt(stack: Stack, x: number, y: number, inside: Uint8Array): void {
  for (let i = 0; i < stack.count; i++) {
    const region = stack.regions[i];
    const box = stack.bounds[i];
    if (!region || !box) inside[i] = 1;
    else if (x < box[0] || x > box[2] || y < box[1] || y > box[3]) inside[i] = 0;
    else inside[i] = polygonContains(region, x, y) ? 1 : 0;
  }
}

/**
 * Upper surface of every layer at one spot, mm, written into `topMm` (from `from` on); a layer that is absent there has the
 * height of the one below it. Returns the bed's surface. A layer fills from what lies below it up to its own
 * top; one that cuts first takes away everything below it down to its floor.
 */
export function layersAt(
  stack: Stack,
  x: number,
  y: number,
  inside: Uint8Array,
  topMm: Float64Array,
  from = 0,
): number {
  let surface = 0;
  for (let i = 0; i < stack.count; i++) {
    if (inside[i] === 1) {
      const cut = stack.cutsToMm[i];
      if (cut >= 0 && cut < surface) {
        for (let below = from; below < from + i; below++) if (topMm[below] > cut) topMm[below] = cut;
        surface = cut;
      }
      const top = stack.tops[i](x, y);
      if (top > surface) surface = top;
    }
    topMm[from + i] = surface;
  }
  return surface;
}
