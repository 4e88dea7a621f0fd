import type { Layer, Vessel } from '../commission/schema';

/** Height of a layer's upper surface above the glass at a floor position, mm. */
export type HeightAt = (xMm: number, yMm: number) => number;

/** The same along a line of spots at one y: their heights are written into `out`, from `at` on. */
export type HeightsAlong = (xsMm: Float64Array, yMm: number, out: Float64Array, at: number) => void;

/**
 * A layer's drawn surface, mounds included, kept between the glass and the rim; of one that lies `over` others how high it
 * stands over them. Whether the layer is there at all (its region, what lies below) is the bed's business.
 */
export function layerTop(layer: Layer, vessel: Vessel): HeightAt {
  const along = layerTopAlong(layer, vessel);
  const xs = new Float64Array(1);
  const out = new Float64Array(1);
  return (x, y) => {
    xs[0] = x;
    along(xs, y, out, 0);
    return out[0];
  };
}

/** The same a line of spots at a time: a bed is asked at every cell and under every column of every piece. */
export function layerTopAlong(layer: Layer, vessel: Vessel): HeightsAlong {
  const base = baseTop(layer, vessel);
  const brim = vessel.innerMm.height;
  const hills = Float64Array.from((layer.mounds ?? []).flatMap(({ at, radiusMm, heightMm }) => [at[0], at[1], radiusMm * radiusMm, heightMm])); // prettier-ignore
  return (xs, y, out, at) => {
    base(xs, y, out, at);
    for (let m = 0; m < hills.length; m += 4) addHill(xs, y, out, at, hills, m);
    for (let k = at; k < at + xs.length; k++) out[k] = Math.min(Math.max(out[k], 0), brim);
  };
}

/** Adds a smooth hill, h·(1 − (d/r)²)²: flat on top and flat where it meets the bed. */
function addHill(xs: Float64Array, y: number, out: Float64Array, at: number, hills: Float64Array, m: number): void {
  const middle = hills[m];
  const squared = hills[m + 2];
  const height = hills[m + 3];
  const dy = y - hills[m + 1];
  if (dy * dy >= squared) return;
  for (let k = 0; k < xs.length; k++) {
    const dx = xs[k] - middle;
    const rest = 1 - (dx * dx + dy * dy) / squared;
    if (rest > 0) out[at + k] += height * rest * rest;
  }
} // prettier-ignore

function baseTop({ top }: Layer, vessel: Vessel): HeightsAlong {
  switch (top.kind) {
    case 'level':
      return (xs, _y, out, at) => void out.fill(top.mm, at, at + xs.length);
    case 'ramp': {
      const rise = (top.backMm - top.frontMm) / vessel.innerMm.width;
      return (xs, y, out, at) => void out.fill(top.frontMm + rise * y, at, at + xs.length);
    }
    case 'grid':
      return sculpted(top, vessel);
    default:
      return top satisfies never;
  }
}

/**
 * A sculpted surface, bilinear between its heights. Heights stand on the floor's corners when the grid then
 * spans the vessel, otherwise in the middle of its cells; beyond the outermost it goes on level.
 */
function sculpted(top: Extract<Layer['top'], { kind: 'grid' }>, vessel: Vessel): HeightsAlong {
  const { columns, rows, stepMm, mm } = top;
  const onCornersX = (columns - 1) * stepMm >= vessel.innerMm.length - 1e-6;
  const onCornersY = (rows - 1) * stepMm >= vessel.innerMm.width - 1e-6;
  return (xs, y, out, at) => {
    const v = within(y / stepMm - (onCornersY ? 0 : 0.5), rows - 1);
    const j = Math.min(Math.floor(v), rows - 2);
    for (let n = 0; n < xs.length; n++) {
      const u = within(xs[n] / stepMm - (onCornersX ? 0 : 0.5), columns - 1);
      const i = Math.min(Math.floor(u), columns - 2);
      const k = j * columns + i;
      const near = mm[k] + (mm[k + 1] - mm[k]) * (u - i);
      const far = mm[k + columns] + (mm[k + columns + 1] - mm[k + columns]) * (u - i);
      out[at + n] = near + (far - near) * (v - j);
    }
  };
}

function within(value: number, most: number): number {
  return Math.min(Math.max(value, 0), most);
}

/**
 * The steepest place of one mound alone: its slope is 8/(3√3) · h/r at d = r/√3. Degrees.
 * Valid for mounds of the drawn profile on a level bed. Leaves out: the slope of the bed below.
 * Test: bedField.test.ts, "holds a mound of π r² h / 3 with the slope its profile has".
 */
export function moundSteepestDeg(radiusMm: number, heightMm: number): number {
  return (Math.atan((8 / (3 * Math.sqrt(3))) * (Math.abs(heightMm) / radiusMm)) * 180) / Math.PI;
}
