import type { Vector } from './ppfd';

/** Leaves as small blocks of the room over the floor: which stand there, by number from 1, and how dense they are. */
export interface Canopy {
  columns: number;
  rows: number;
  layers: number;
  mm: number;
  owner: Uint8Array;
  /** What each lets fade of a ray, 1/mm, by number; nothing at 0. */
  fadesPerMm: number[];
  /** Nothing grows above this, mm. */
  topMm: number;
}

/** Plants of one kind that stand at some spots. */
export interface Leaves {
  spots: ArrayLike<number>;
  radiusMm: number;
  heightMm: number;
  /** Share of their ground that they cover. */
  cover: number;
}

const BLOCK_MM = 8;
/** Leaves that have closed let a tenth through at a depth of 300 mm: exp(−7.7 · 0.3) (common practice for dense stems). */
export const CLOSED_FADES_PER_M = 7.7;
const MOST_OWNERS = 254;

/** Leaves over a floor as blocks; where two kinds reach, the one that comes first has the place. */
export function canopyOf([length, width]: readonly [number, number], stands: readonly Leaves[]): Canopy {
  const mm = BLOCK_MM;
  const shown = stands.slice(0, MOST_OWNERS);
  const topMm = Math.max(0, ...shown.map(topOf));
  const [columns, rows, layers] = [length, width, topMm].map((v) => Math.max(1, Math.ceil(v / mm)));
  const canopy: Canopy = {
    columns,
    rows,
    layers,
    mm,
    owner: new Uint8Array(columns * rows * layers),
    fadesPerMm: [0, ...shown.map(({ cover }) => (CLOSED_FADES_PER_M * Math.min(1, cover)) / 1000)],
    topMm,
  };
  shown.forEach((stand, i) => fill(canopy, stand, i + 1));
  return canopy;
}

function topOf({ spots, heightMm }: Leaves): number {
  let top = 0;
  for (let i = 2; i < spots.length; i += 3) top = Math.max(top, spots[i] + heightMm);
  return top;
}

function fill({ columns, rows, layers, mm, owner }: Canopy, stand: Leaves, number: number): void {
  const { spots, radiusMm, heightMm } = stand;
  const r = Math.max(radiusMm, mm);
  const within = (v: number, most: number) => Math.min(most, Math.max(0, v));
  for (let s = 0; s < spots.length; s += 3) {
    const [x, y, z] = [spots[s], spots[s + 1], spots[s + 2]];
    const [k0, k1] = [within(Math.round(z / mm), layers), within(Math.round((z + heightMm) / mm), layers)];
    for (let j = within(Math.floor((y - r) / mm), rows); j < within(Math.ceil((y + r) / mm), rows); j++)
      for (
        let i = within(Math.floor((x - r) / mm), columns);
        i < within(Math.ceil((x + r) / mm), columns);
        i++
      ) {
        if (Math.hypot((i + 0.5) * mm - x, (j + 0.5) * mm - y) > r) continue;
        for (let k = k0; k < k1; k++) {
          const c = (k * rows + j) * columns + i;
          if (owner[c] === 0) owner[c] = number;
        }
      }
  }
}

/**
 * Share of a ray upwards that leaves let through: Beer and Lambert’s law along its way through them.
 * Valid for leaves that stand evenly. Leaves out: what they scatter; clumps with gaps.
 * Test: canopy.test.ts, "fades by its way through the leaves".
 *
 * @param own number of the plants that the ray starts from: they do not shade themselves
 * @param met adds up how much of the fading is each number’s, without a unit
 */
export function throughLeaves(canopy: Canopy, from: Vector, to: Vector, own = 0, met?: Float64Array): number {
  const { columns, rows, owner, mm, topMm, fadesPerMm } = canopy;
  const dz = to[2] - from[2];
  if (from[2] >= topMm || dz <= 0) return 1;
  const long = Math.hypot(to[0] - from[0], to[1] - from[1], dz);
  const end = Math.min(1, (topMm - from[2]) / dz) * long;
  const step = mm / 2;
  const [sx, sy, sz] = [0, 1, 2].map((k) => ((to[k] - from[k]) / long) * step);
  let [x, y, z] = [from[0] + sx / 2, from[1] + sy / 2, from[2] + sz / 2];
  let depth = 0;
  for (let d = step / 2; d < end; d += step, x += sx, y += sy, z += sz) {
    const [i, j] = [Math.floor(x / mm), Math.floor(y / mm)];
    if (i < 0 || j < 0 || i >= columns || j >= rows) break;
    const number = owner[(Math.floor(z / mm) * rows + j) * columns + i] ?? 0;
    if (number === 0 || number === own) continue;
    depth += fadesPerMm[number] * step;
    if (met) met[number] += fadesPerMm[number] * step;
  }
  return Math.exp(-depth);
}
