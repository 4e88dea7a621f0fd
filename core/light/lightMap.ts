import type { Standing } from '../hardscape/settle';
import type { BedField } from '../substrate/bedField';
import { cellGradient } from '../substrate/slope';
import { blocksOf, isShaded, type Blocks, type Body } from './blocks';
import type { Lamp } from './lamps';
import { ppfdFrom, sourcesOf, type Source, type Vector } from './ppfd';

/** Light on the bed: PPFD in the middle of each of its cells, µmol/m²/s, and what is needed to ask elsewhere or again. */
export interface LightMap {
  columns: number;
  rows: number;
  ppfd: Float32Array;
  /** PPFD at any spot of a surface with its normal. */
  at(spot: Vector, normal?: Vector): number;
}

/** What a map is made from. */
export interface Lit {
  field: BedField;
  lamps: readonly Lamp[];
  standing: readonly Standing[];
  bodies?: readonly Body[];
  sizeMm: readonly [number, number, number];
  waterMm: number;
  fadesPerM: number;
}

/** What is kept of the last map: a piece that moves changes only what it shaded or shades. */
export interface LightMemo {
  key?: string;
  field?: BedField;
  sources?: Source[];
  /** What each source gives each cell where nothing is in the way. */
  bare?: Float32Array;
  /** For each cell which sources are shaded, one bit a source. */
  shaded?: Uint32Array;
  standing?: readonly Standing[];
}

/** Spots of all lamps together: one bit each. */
const MOST_SOURCES = 27;

/**
 * Light of all lamps on the bed, with the shadows of pieces and gear.
 * Valid for sources as `ppfdFrom` has them. Leaves out: shadows of plants, braces and rims.
 * Test: light.test.ts, "a piece that moved changes the map as if it were made anew".
 */
export function lightMap(lit: Lit, memo: LightMemo = {}): LightMap {
  const { field, standing } = lit;
  const blocks = blocksOf(lit.sizeMm, standing, lit.bodies);
  const key = JSON.stringify([lit.lamps, lit.waterMm, lit.fadesPerM, lit.bodies, lit.sizeMm]);
  const known = memo.key === key && memo.field === field && memo.sources !== undefined;
  const sources = known ? memo.sources! : allSources(lit.lamps);
  const bare = known ? memo.bare! : bareLight(lit, sources);
  const changed = known ? changedBoxes(memo.standing!, standing) : undefined;
  const shaded = shadows(field, sources, blocks, changed && { boxes: changed, shaded: memo.shaded! });
  Object.assign(memo, { key, field, sources, bare, shaded, standing });
  const ppfd = new Float32Array(field.columns * field.rows);
  for (let cell = 0, i = 0; cell < ppfd.length; cell++)
    for (let s = 0; s < sources.length; s++, i++) if (!((shaded[cell] >>> s) & 1)) ppfd[cell] += bare[i];
  return {
    columns: field.columns,
    rows: field.rows,
    ppfd,
    at: (spot, normal = [0, 0, 1]) =>
      sources.reduce(
        (sum, source) =>
          isShaded(blocks, spot, source.at)
            ? sum
            : sum + ppfdFrom(source, spot, normal, lit.waterMm, lit.fadesPerM),
        0,
      ),
  };
}

function allSources(lamps: readonly Lamp[]): Source[] {
  const each = Math.max(1, Math.floor(MOST_SOURCES / Math.max(1, lamps.length)));
  return lamps.flatMap((lamp) => sourcesOf(lamp, each)).slice(0, 32);
}

function spotOf(field: BedField, cell: number): Vector {
  const [column, row] = [cell % field.columns, Math.floor(cell / field.columns)];
  return [(column + 0.5) * field.dxMm, (row + 0.5) * field.dyMm, field.surfaceMm[cell]];
}

function bareLight({ field, waterMm, fadesPerM }: Lit, sources: readonly Source[]): Float32Array {
  const cells = field.columns * field.rows;
  const bare = new Float32Array(cells * sources.length);
  for (let cell = 0, i = 0; cell < cells; cell++) {
    const [gx, gy] = cellGradient(field, cell % field.columns, Math.floor(cell / field.columns));
    const long = Math.sqrt(1 + gx * gx + gy * gy);
    const normal: Vector = [-gx / long, -gy / long, 1 / long];
    const spot = spotOf(field, cell);
    for (const source of sources) bare[i++] = ppfdFrom(source, spot, normal, waterMm, fadesPerM);
  }
  return bare;
}

type Box = readonly [lo: Vector, hi: Vector];

function shadows(
  field: BedField,
  sources: readonly Source[],
  blocks: Blocks,
  again?: { boxes: readonly Box[]; shaded: Uint32Array },
): Uint32Array {
  const cells = field.columns * field.rows;
  const shaded = again ? Uint32Array.from(again.shaded) : new Uint32Array(cells);
  if (again?.boxes.length === 0) return shaded;
  for (let cell = 0; cell < cells; cell++) {
    const spot = spotOf(field, cell);
    let bits = shaded[cell];
    for (let s = 0; s < sources.length; s++) {
      const to = sources[s].at;
      if (again && !again.boxes.some((b) => meets(spot, to, b))) continue;
      bits = isShaded(blocks, spot, to) ? bits | (1 << s) : bits & ~(1 << s);
    }
    shaded[cell] = bits >>> 0;
  }
  return shaded;
}

/** Where pieces were and are that have moved, come or gone, with a little around them. */
function changedBoxes(before: readonly Standing[], now: readonly Standing[]): Box[] {
  const place = (s: Standing) => `${s.piece.id} ${s.xMm} ${s.yMm} ${s.zMm}`;
  const were = new Map(before.map((s) => [place(s), s.columns]));
  const are = new Map(now.map((s) => [place(s), s.columns]));
  return [
    ...before.filter((s) => are.get(place(s)) !== s.columns),
    ...now.filter((s) => were.get(place(s)) !== s.columns),
  ].map(({ columns: { extent }, xMm, yMm, zMm }) => {
    const o = [xMm, yMm, zMm];
    const by = (v: readonly number[], mm: number) => v.map((x, k) => x + o[k] + mm) as unknown as Vector;
    return [by(extent.lo, -AROUND_MM), by(extent.hi, AROUND_MM)];
  });
}
const AROUND_MM = 9;

/** Whether a line goes through a box. */
function meets(from: Vector, to: Vector, [lo, hi]: Box): boolean {
  let [near, far] = [0, 1];
  for (let k = 0; k < 3; k++) {
    const d = to[k] - from[k];
    if (d === 0) {
      if (from[k] < lo[k] || from[k] > hi[k]) return false;
      continue;
    }
    const [a, b] = [(lo[k] - from[k]) / d, (hi[k] - from[k]) / d];
    near = Math.max(near, Math.min(a, b));
    far = Math.min(far, Math.max(a, b));
  }
  return near <= far;
}
