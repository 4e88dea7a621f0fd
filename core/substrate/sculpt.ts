import type { Layer, LayerTop, Vessel } from '../commission/schema';
import type { Cells } from '../geometry/coverage';
import { layerTop } from './layerTop';

export const BRUSHES = ['raise', 'lower', 'smooth', 'level'] as const;
export type Brush = (typeof BRUSHES)[number];
export type GridTop = Extract<LayerTop, { kind: 'grid' }>;

/** One touch of a brush: where its middle is, how far it reaches, and by how much it moves the surface there, mm. */
export interface Dab {
  brush: Brush;
  at: readonly [number, number];
  radiusMm: number;
  strengthMm: number;
  /** Height that `level` brings the surface to, mm above the glass. */
  toMm?: number;
}

/** Heights of a sculpted surface stand so far apart, mm, and so many are kept at most. */
const STEP_MM = 10;
const MOST_HEIGHTS = 30_000;
/** Heights are kept to a tenth of a millimetre: finer than any grain, and short in a file. */
const TENTHS = 10;

/**
 * A layer's surface as heights over the whole floor, hills included: what brushes work on. Heights stand on the
 * floor's corners, 10 mm apart or as many as are kept.
 */
export function asGrid(layer: Layer, vessel: Vessel): GridTop {
  if (layer.top.kind === 'grid' && !layer.mounds?.length) return layer.top;
  const { length, width } = vessel.innerMm;
  const stepMm = Math.max(STEP_MM, Math.ceil(Math.sqrt((length * width) / MOST_HEIGHTS)));
  return gridOf(layerTop(layer, vessel), vessel, stepMm);
}

/** Heights of any surface over the whole floor. */
export function gridOf(height: (x: number, y: number) => number, vessel: Vessel, stepMm = STEP_MM): GridTop {
  const { length, width } = vessel.innerMm;
  const [columns, rows] = [Math.ceil(length / stepMm) + 1, Math.ceil(width / stepMm) + 1];
  const mm: number[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++)
      mm.push(kept(height(Math.min(column * stepMm, length), Math.min(row * stepMm, width))));
  return { kind: 'grid', stepMm, columns, rows, mm };
}

/** The cells of a field as a sculpted surface: each height of the grid from the cells around it. */
export function gridFrom(field: Cells, mm: Float64Array, vessel: Vessel, stepMm?: number): GridTop {
  const { columns, rows, dxMm, dyMm } = field;
  const within = (v: number, most: number) => Math.min(Math.max(v, 0), most);
  const at = (x: number, y: number): number => {
    const u = within(x / dxMm - 0.5, columns - 1);
    const v = within(y / dyMm - 0.5, rows - 1);
    const [i, j] = [Math.min(Math.floor(u), columns - 2), Math.min(Math.floor(v), rows - 2)];
    const k = j * columns + i;
    const near = mm[k] + (mm[k + 1] - mm[k]) * (u - i);
    const far = mm[k + columns] + (mm[k + columns + 1] - mm[k + columns]) * (u - i);
    return near + (far - near) * (v - j);
  };
  return gridOf(at, vessel, stepMm);
}

const kept = (z: number) => Math.round(z * TENTHS) / TENTHS;

/**
 * A surface after one touch of a brush. The middle moves by the strength, the rim not at all, between them by
 * (1 − (d/r)²)²; never through the glass nor over the rim of the vessel.
 * Valid for radii of two steps or more. Leaves out: what then slides (`relax.ts`).
 * Test: sculpt.test.ts, "raises by π r² s / 3, the volume under its profile".
 */
export function brushed(top: GridTop, vessel: Vessel, dab: Dab): GridTop {
  const { columns, rows, stepMm } = top;
  const { at, radiusMm } = dab;
  const [offX, offY] = offsets(top, vessel);
  const brim = vessel.innerMm.height;
  const mm = top.mm.slice();
  const from = (centre: number, off: number) => Math.max(0, Math.ceil((centre - radiusMm - off) / stepMm));
  const to = (centre: number, off: number, most: number) =>
    Math.min(most - 1, Math.floor((centre + radiusMm - off) / stepMm));
  for (let row = from(at[1], offY); row <= to(at[1], offY, rows); row++)
    for (let column = from(at[0], offX); column <= to(at[0], offX, columns); column++) {
      const dx = column * stepMm + offX - at[0];
      const dy = row * stepMm + offY - at[1];
      const t = (dx * dx + dy * dy) / (radiusMm * radiusMm);
      if (t >= 1) continue;
      const k = row * columns + column;
      const z = top.mm[k] + (1 - t) ** 2 * moveOf(top, k, column, row, dab);
      mm[k] = kept(Math.min(Math.max(z, 0), brim));
    }
  return { ...top, mm };
}

/** By how much the middle of a brush would move the surface at one height, mm. */
function moveOf(top: GridTop, k: number, column: number, row: number, dab: Dab): number {
  const { brush, strengthMm, toMm = 0 } = dab;
  const within = (v: number) => Math.min(Math.max(v, -strengthMm), strengthMm);
  switch (brush) {
    case 'raise':
      return strengthMm;
    case 'lower':
      return -strengthMm;
    case 'level':
      return within(toMm - top.mm[k]);
    case 'smooth':
      return within(aroundMm(top, column, row) - top.mm[k]);
    default:
      return brush satisfies never;
  }
}

/** Mean of the heights beside one. */
function aroundMm({ mm, columns, rows }: GridTop, column: number, row: number): number {
  let [sum, count] = [0, 0];
  for (const [dx, dy] of [
    [-1, 0],
    [1, 0],
    [0, -1],
    [0, 1],
  ]) {
    // prettier-ignore
    const [x, y] = [column + dx, row + dy];
    if (x < 0 || y < 0 || x >= columns || y >= rows) continue;
    sum += mm[y * columns + x];
    count++;
  }
  return sum / count;
}

/** Where the first height stands: on the corner of the floor, or half a step in where the grid is of cells. */
function offsets({ columns, rows, stepMm }: GridTop, { innerMm }: Vessel): [number, number] {
  const off = (count: number, side: number) => ((count - 1) * stepMm >= side - 1e-6 ? 0 : stepMm / 2);
  return [off(columns, innerMm.length), off(rows, innerMm.width)];
}
