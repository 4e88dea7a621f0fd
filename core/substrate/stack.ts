import { polygonContains, type Polygon } from '../geometry/polygon';
import type { Layer, Vessel } from '../commission/schema';
import { layerTopAlong, type HeightAt, type HeightsAlong } from './layerTop';

/** The layers of a bed made ready for being asked at any spot, from the bottom up. */
export interface Stack {
  count: number;
  tops: HeightsAlong[];
  regions: (Polygon | undefined)[];
  /** Layers whose drawn top is measured over what lies below, 1 or 0 each; none rises over the rim, mm. */
  over: Uint8Array;
  brimMm: number;
  /** For a layer that cuts: the height down to which it takes away what lies under it; otherwise −1. */
  cutsToMm: Float64Array;
}

export function stackOf(bed: readonly Layer[], vessel: Vessel): Stack {
  return {
    count: bed.length,
    tops: bed.map((layer) => layerTopAlong(layer, vessel)),
    regions: bed.map((layer) => layer.region),
    over: Uint8Array.from(bed, (layer) => (layer.over ? 1 : 0)),
    brimMm: vessel.innerMm.height,
    cutsToMm: Float64Array.from(bed, (layer) => (layer.cuts ? (layer.floorMm ?? 0) : -1)),
  };
}

/** The drawn top of each layer along a line of spots at one y, layer after layer. */
export class DrawnAlong {
  readonly mm: Float64Array;

  constructor(
    private readonly stack: Stack,
    private readonly xsMm: Float64Array,
  ) {
    this.mm = new Float64Array(stack.count * xsMm.length);
  }

  /** How many spots the line has: the top of layer i at spot k stands at `i * spots + k`. */
  get spots(): number {
    return this.xsMm.length;
  }

  at(y: number): void {
    const { stack, xsMm, mm } = this;
    for (let i = 0; i < stack.count; i++) stack.tops[i](xsMm, y, mm, i * xsMm.length);
  }
}

/**
 * Upper surface of every layer at one spot of a line, mm, written into `topMm` (from `from` on); a layer that is absent
 * there has the height of the one below it. Returns the bed's surface. A layer fills from what lies below it up to its
 * own top, or as high over it as it is drawn; one that cuts first takes away everything below it down to its floor.
 *
 * @param inside which layers' regions have the spot, 1 or 0 each
 */
export function layersAt(
  { count, cutsToMm, over, brimMm }: Stack,
  drawn: DrawnAlong,
  spot: number,
  inside: Uint8Array,
  topMm: Float64Array,
  from = 0,
): number {
  const { mm, spots } = drawn;
  let surface = 0;
  for (let i = 0; i < count; i++) {
    if (inside[i] === 1) {
      const cut = cutsToMm[i];
      if (cut >= 0 && cut < surface) {
        for (let below = from; below < from + i; below++) if (topMm[below] > cut) topMm[below] = cut;
        surface = cut;
      }
      const drawnMm = mm[i * spots + spot];
      const top = over[i] === 1 ? Math.min(surface + drawnMm, brimMm) : drawnMm;
      if (top > surface) surface = top;
    }
    topMm[from + i] = surface;
  }
  return surface;
}

/** Height of the surface of some layers at a floor position, mm above the glass: the ground of whatever is laid next. */
export function groundOf(bed: readonly Layer[], vessel: Vessel): HeightAt {
  const stack = stackOf(bed, vessel);
  const x = new Float64Array(1);
  const drawn = new DrawnAlong(stack, x);
  const inside = new Uint8Array(stack.count);
  const tops = new Float64Array(stack.count);
  return (xMm, yMm) => {
    x[0] = xMm;
    drawn.at(yMm);
    stack.regions.forEach((region, i) => (inside[i] = !region || polygonContains(region, xMm, yMm) ? 1 : 0));
    return layersAt(stack, drawn, 0, inside, tops);
  };
}
