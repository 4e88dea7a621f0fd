import { polygonBounds, polygonContains, type Polygon } from '../geometry/polygon';
import { cellCoverage } from '../geometry/coverage';
import { floorShare, layerTopsAt, onFloor, regionHas, type BedField } from '../substrate/bedField';
import { cellGradient } from '../substrate/slope';

/**
 * Area of the bed's surface inside a region, mm², measured along the slope: each cell's plan area is divided
 * by the cosine of its steepness. On a 45° bed it is √2 times the plan. `share` tells which part of each
 * cell the region covers; what lies outside the glass is left out.
 * Valid for slopes up to 45°. Leaves out: the face of a step, which nobody plants.
 * Test: region.test.ts, "are as large as their plan on a level bed, and larger by 1 / cos on a slope".
 */
export function slopedAreaMm2(field: BedField, share: Float64Array): number {
  const cellMm2 = field.dxMm * field.dyMm;
  const factors = slopeFactors(field);
  let area = 0;
  for (let cell = 0; cell < share.length; cell++)
    if (share[cell] > 0) area += share[cell] * floorShare(field, cell) * cellMm2 * factors[cell];
  return area;
}

const factorsOf = new WeakMap<BedField, Float64Array>();

/**
 * Surface for each square of plan in every cell, at most that of a 45° bed: where the bed ends in a step the corners of
 * one cell stand on both of its sides, and nobody plants the face of a step. Worked out once for a bed.
 */
export function slopeFactors(field: BedField): Float64Array {
  const known = factorsOf.get(field);
  if (known) return known;
  const factors = new Float64Array(field.columns * field.rows);
  for (let row = 0, cell = 0; row < field.rows; row++)
    for (let column = 0; column < field.columns; column++, cell++) {
      const [gx, gy] = cellGradient(field, column, row);
      factors[cell] = Math.min(Math.SQRT2, Math.sqrt(1 + gx * gx + gy * gy));
    }
  factorsOf.set(field, factors);
  return factors;
} // prettier-ignore

/** A depth of soil and where it was found. */
export interface DepthSpot {
  mm: number;
  xyMm: [number, number];
}

/** Distance between the spots at which an outline is asked along its edges, mm. */
const EDGE_STEP_MM = 5;

/**
 * The thinnest soil under a region, mm: asked in the middle of every cell inside it and along its outline.
 * `rooting` tells which layers roots can use (bagged filler is none). Undefined when the region lies outside.
 */
export function thinnestUnder(
  field: BedField,
  region: Polygon,
  rooting: readonly boolean[],
  depthMm = rootableMm(field, rooting),
  share = cellCoverage(field, region),
): DepthSpot | undefined {
  let thinnest: DepthSpot | undefined;
  const ask = (x: number, y: number, mm: number) => {
    if (!thinnest || mm < thinnest.mm) thinnest = { mm, xyMm: [x, y] };
  };
  const { columns, rows, dxMm, dyMm } = field;
  const [left, front, right, back] = polygonBounds(region);
  for (let row = Math.max(0, Math.floor(front / dyMm)); row < rows && row * dyMm < back; row++) {
    for (let column = Math.max(0, Math.floor(left / dxMm)); column < columns; column++) {
      const x = (column + 0.5) * dxMm;
      const y = (row + 0.5) * dyMm;
      if (x > right) break;
      const cell = row * columns + column;
      if (!regionHas(region, share[cell], x, y) || !onFloor(field, x, y)) continue;
      ask(x, y, depthMm[cell]);
    }
  }
  for (const [x, y] of outline(region)) {
    if (!onFloor(field, x, y)) continue;
    const tops = layerTopsAt(field, x, y);
    ask(
      x,
      y,
      rooting.reduce((mm, roots, i) => mm + (roots ? tops[i] - (tops[i - 1] ?? 0) : 0), 0),
    );
  }
  return thinnest;
}

/** Mean depth in each cell of the layers that roots can use, mm. */
export function rootableMm(field: BedField, rooting: readonly boolean[]): Float64Array {
  const depth = new Float64Array(field.columns * field.rows);
  rooting.forEach((roots, i) => {
    if (roots) field.thicknessMm[i].forEach((mm, cell) => (depth[cell] += mm));
  });
  return depth;
}

/** Spots along an outline at most; beyond that they lie further apart. */
const MOST_EDGE_SPOTS = 4_000;

function* outline(region: Polygon): Generator<[number, number]> {
  const lengths = region.map(([x, y], i) => {
    const [bx, by] = region[(i + 1) % region.length];
    return Math.hypot(bx - x, by - y);
  });
  const stepMm = Math.max(EDGE_STEP_MM, lengths.reduce((a, b) => a + b, 0) / MOST_EDGE_SPOTS);
  for (let i = 0; i < region.length; i++) {
    const [ax, ay] = region[i];
    const [bx, by] = region[(i + 1) % region.length];
    const steps = Math.max(1, Math.ceil(lengths[i] / stepMm));
    for (let s = 0; s < steps; s++) yield [ax + ((bx - ax) * s) / steps, ay + ((by - ay) * s) / steps];
  }
}

/** Floor positions of plugs set out in staggered rows at a spacing inside a region, mm; for drawing. */
export function plugSpots(region: Polygon, spacingMm: number, most = 2_000): [number, number][] {
  const spots: [number, number][] = [];
  const [left, front, right, back] = polygonBounds(region);
  for (let row = 0, y = front + spacingMm / 2; y < back; row++, y += spacingMm) {
    const shift = row % 2 === 0 ? 0.25 : 0.75;
    for (let x = left + spacingMm * shift; x < right; x += spacingMm) {
      if (spots.length >= most) return spots;
      if (polygonContains(region, x, y)) spots.push([x, y]);
    }
  }
  return spots;
}
