import type { Standing } from '../hardscape/settle';
import type { Vector } from './ppfd';

/** What stops light, as small blocks of the room over the floor: 1 where something solid is. */
export interface Blocks {
  columns: number;
  rows: number;
  layers: number;
  mm: number;
  solid: Uint8Array;
  /** Of each tile of the floor, row by row, how many layers from the floor up reach to its highest solid block. */
  tops: Uint16Array;
  /** Nothing solid is above this, mm. */
  topMm: number;
}

/** A body with straight sides: gear, a fixed thing. */
export interface Body {
  at: readonly [number, number];
  zMm: number;
  sizeMm: readonly [number, number, number];
}

/** Sides of a block, mm: as fine as a shadow is soft anyway. */
const BLOCK_MM = 8;

/** Blocks along a side of a tile, as a power of two: over a tile in which nothing is so high a ray goes in one stride. */
const TILE = 3;
const tilesOf = (blocks: number): number => ((blocks - 1) >> TILE) + 1;

/** Pieces and bodies as blocks: a block is solid where its middle is. */
export function blocksOf(
  size: readonly [number, number, number],
  standing: readonly Standing[],
  bodies: readonly Body[] = [],
): Blocks {
  const mm = BLOCK_MM;
  const highest = Math.max(0, ...standing.map((s) => s.columns.extent.hi[2] + s.zMm), ...bodies.map((b) => b.zMm + b.sizeMm[2])); // prettier-ignore
  const [columns, rows, layers] = [size[0], size[1], highest].map((v) => Math.max(1, Math.ceil(v / mm)));
  const solid = new Uint8Array(columns * rows * layers);
  const tops = new Uint16Array(tilesOf(columns) * tilesOf(rows));
  const blocks: Blocks = { columns, rows, layers, mm, solid, tops, topMm: highest };
  for (const s of standing) fillPiece(blocks, s);
  for (const b of bodies) fillBody(blocks, b);
  for (let at = 0, k = 0; k < layers; k++)
    for (let j = 0; j < rows; j++)
      for (let i = 0; i < columns; i++) if (solid[at++] === 1) tops[tileAt(columns, i, j)] = k + 1;
  return blocks;
}

const tileAt = (columns: number, i: number, j: number): number =>
  (j >> TILE) * tilesOf(columns) + (i >> TILE);

function fillPiece(
  { columns, rows, layers, mm, solid }: Blocks,
  { columns: c, xMm, yMm, zMm }: Standing,
): void {
  const { lo, hi } = c.extent;
  const first = (v: number) => Math.max(0, Math.floor(v / mm));
  for (let j = first(yMm + lo[1]); j < rows && j * mm < yMm + hi[1]; j++)
    for (let i = first(xMm + lo[0]); i < columns && i * mm < xMm + hi[0]; i++) {
      const u = Math.round(((i + 0.5) * mm - xMm - c.x0) / c.dxMm);
      const w = Math.round(((j + 0.5) * mm - yMm - c.y0) / c.dyMm);
      if (u < 0 || w < 0 || u >= c.columns || w >= c.rows) continue;
      const cell = w * c.columns + u;
      for (let n = c.first[cell]; n < c.first[cell + 1]; n++) {
        const from = Math.max(0, Math.round((c.lo[n] + zMm) / mm));
        const to = Math.min(layers, Math.round((c.hi[n] + zMm) / mm));
        for (let k = from; k < to; k++) solid[(k * rows + j) * columns + i] = 1;
      }
    }
}

function fillBody({ columns, rows, layers, mm, solid }: Blocks, { at, zMm, sizeMm }: Body): void {
  const span = (from: number, size: number, most: number) =>
    [Math.max(0, Math.round(from / mm)), Math.min(most, Math.round((from + size) / mm))] as const;
  const [i0, i1] = span(at[0], sizeMm[0], columns);
  const [j0, j1] = span(at[1], sizeMm[1], rows);
  const [k0, k1] = span(zMm, sizeMm[2], layers);
  for (let k = k0; k < k1; k++)
    for (let j = j0; j < j1; j++) solid.fill(1, (k * rows + j) * columns + i0, (k * rows + j) * columns + i1);
}

/** A ray begins so far off the surface that it starts from, mm: what it starts on does not stand in its way. */
const OFF_MM = 1.6 * BLOCK_MM;

/**
 * Whether something solid stands between a spot and a source above it: block after block along the line.
 * Test: light.test.ts, "an umbra is as wide as similar triangles have it".
 * Valid for things larger than a block. Leaves out: what is outside of the tank.
 */
export function isShaded(blocks: Blocks, from: Vector, to: Vector): boolean {
  const { columns, rows, solid, tops, mm, topMm } = blocks;
  const dz = to[2] - from[2];
  if (from[2] >= topMm || dz <= 0) return false;
  const long = Math.hypot(to[0] - from[0], to[1] - from[1], dz);
  // Only as far up as something is.
  const end = Math.min(1, (topMm - from[2]) / dz) * long;
  const step = mm * 0.7;
  const [sx, sy, sz] = [
    ((to[0] - from[0]) / long) * step,
    ((to[1] - from[1]) / long) * step,
    (dz / long) * step,
  ];
  const most = Math.ceil(end / step);
  for (let n = Math.ceil(OFF_MM / step); n < most;) {
    const x = from[0] + sx * n;
    const y = from[1] + sy * n;
    if (x < 0 || y < 0) return false;
    const i = (x / mm) | 0;
    const j = (y / mm) | 0;
    const k = ((from[2] + sz * n) / mm) | 0;
    if (i >= columns || j >= rows) return false;
    if (tops[tileAt(columns, i, j)] <= k) n += Math.min(stepsIn(x, sx, mm), stepsIn(y, sy, mm));
    else if (solid[(k * rows + j) * columns + i] === 1) return true;
    else n++;
  }
  return false;
}

/** Steps from a place to the first one beyond its tile, one at least. */
function stepsIn(at: number, step: number, mm: number): number {
  if (step === 0) return Infinity;
  const side = mm * (1 << TILE);
  const from = Math.floor(at / side) * side;
  return Math.max(1, Math.ceil((step > 0 ? from + side - at : from - at) / step));
}
