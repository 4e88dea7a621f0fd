import type { Layer, Vessel } from '../commission/schema';

/** Height of a layer's upper surface above the glass at a floor position, mm. */
export type HeightAt = (xMm: number, yMm: number) => number;

/**
 * A layer's drawn surface, mounds included, kept between the glass and the rim. Whether the layer is there
 * at all (its region, what lies below) is the bed's business.
 */
export function layerTop(layer: Layer, vessel: Vessel): HeightAt {
  const base = baseTop(layer, vessel);
  const brim = vessel.innerMm.height;
  const mounds = layer.mounds ?? [];
  if (mounds.length === 0) return (x, y) => Math.min(Math.max(base(x, y), 0), brim);
  // Asked at every column of every piece: figures in one row, nothing made anew.
  const hills = Float64Array.from(mounds.flatMap(({ at, radiusMm, heightMm }) => [at[0], at[1], radiusMm * radiusMm, heightMm])); // prettier-ignore
  return (x, y) => {
    let z = base(x, y);
    for (let m = 0; m < hills.length; m += 4) {
      const dx = x - hills[m];
      const dy = y - hills[m + 1];
      const rest = 1 - (dx * dx + dy * dy) / hills[m + 2];
      // A smooth hill, h·(1 − (d/r)²)²: flat on top and flat where it meets the bed.
      if (rest > 0) z += hills[m + 3] * rest * rest;
    }
    return Math.min(Math.max(z, 0), brim);
  };
}

function baseTop({ top }: Layer, vessel: Vessel): HeightAt {
  switch (top.kind) {
    case 'level':
      return () => top.mm;
    case 'ramp': {
      const rise = (top.backMm - top.frontMm) / vessel.innerMm.width;
      return (_x, y) => top.frontMm + rise * y;
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
function sculpted(top: Extract<Layer['top'], { kind: 'grid' }>, vessel: Vessel): HeightAt {
  const { columns, rows, stepMm, mm } = top;
  const onCornersX = (columns - 1) * stepMm >= vessel.innerMm.length - 1e-6;
  const onCornersY = (rows - 1) * stepMm >= vessel.innerMm.width - 1e-6;
  return (x, y) => {
    const u = within(x / stepMm - (onCornersX ? 0 : 0.5), columns - 1);
    const v = within(y / stepMm - (onCornersY ? 0 : 0.5), rows - 1);
    const i = Math.min(Math.floor(u), columns - 2);
    const j = Math.min(Math.floor(v), rows - 2);
    const k = j * columns + i;
    const near = mm[k] + (mm[k + 1] - mm[k]) * (u - i);
    const far = mm[k + columns] + (mm[k + columns + 1] - mm[k + columns]) * (u - i);
    return near + (far - near) * (v - j);
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
