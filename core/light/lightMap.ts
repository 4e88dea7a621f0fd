import type { Standing } from '../hardscape/settle';
import type { BedField } from '../substrate/bedField';
import { cellGradient } from '../substrate/slope';
import { blocksOf, isShaded, type Blocks, type Body } from './blocks';
import type { Lamp } from './lamps';
import { imagesOf, mirrored, type Pane } from './panes';
import { throughPlates, type Plate } from './plates';
import { ppfdFrom, sourcesOf, type Source, type Vector } from './ppfd';

/** Light on the bed: PPFD in the middle of each of its cells, µmol/m²/s, and what is needed to ask elsewhere or again. */
export interface LightMap {
  columns: number;
  rows: number;
  ppfd: Float32Array;
  /** PPFD at any spot of a surface with its normal. */
  at(spot: Vector, normal?: Vector): number;
  /** Share of that on a level leaf which arrives where each ray from the lamps comes through for a share only, 0 to 1. */
  share(spot: Vector, through: (from: Vector, to: Vector) => number): number;
}

/** What a map is made from. */
export interface Lit {
  field: BedField;
  lamps: readonly Lamp[];
  standing: readonly Standing[];
  bodies?: readonly Body[];
  plates?: readonly Plate[];
  sizeMm: readonly [number, number, number];
  waterMm: number;
  fadesPerM: number;
  /** Upright panes that send light back, of a box without film on them. */
  panes?: readonly Pane[];
}

/** What is kept of the last map: a piece that moves changes only what it shaded or shades. */
export interface LightMemo {
  key?: string;
  field?: BedField;
  sources?: Source[];
  /** What each source gives each cell where nothing is in the way. */
  bare?: Float32Array;
  /** What panes send back to each cell where nothing is in the way. */
  back?: Float32Array;
  /** For each cell which sources are shaded, one bit a source. */
  shaded?: Uint32Array;
  standing?: readonly Standing[];
}

/** What looks straight up. */
const LEVEL: Vector = [0, 0, 1];
/** Spots of all lamps together: one bit each. */
const MOST_SOURCES = 21;

/**
 * Light of all lamps on the bed, with the shadows of pieces and gear.
 * Valid for sources as `ppfdFrom` has them. Leaves out: shadows of plants (`core/planted/shade.ts` has those); light
 * that goes from pane to pane.
 * Test: light.test.ts, "a piece that moved changes the map as if it were made anew".
 */
export function lightMap(lit: Lit, memo: LightMemo = {}): LightMap {
  const { field, standing } = lit;
  const blocks = blocksOf(lit.sizeMm, standing, lit.bodies);
  const key = JSON.stringify([
    lit.lamps,
    lit.waterMm,
    lit.fadesPerM,
    lit.bodies,
    lit.plates,
    lit.sizeMm,
    lit.panes,
  ]);
  const known = memo.key === key && memo.field === field && memo.sources !== undefined;
  const sources = known ? memo.sources! : allSources(lit.lamps);
  const bare = known ? memo.bare! : bareLight(lit, sources);
  const back = known ? memo.back! : lightBack(lit);
  const images = imagesOf(few(lit.lamps), lit.panes ?? []);
  const changed = known ? changedBoxes(memo.standing!, standing) : undefined;
  const shaded = shadows(field, sources, blocks, changed && { boxes: changed, shaded: memo.shaded! });
  Object.assign(memo, { key, field, sources, bare, back, shaded, standing });
  const ppfd = new Float32Array(field.columns * field.rows);
  for (let cell = 0, i = 0; cell < ppfd.length; cell++) {
    let [open, whole] = [0, 0];
    for (let s = 0; s < sources.length; s++, i++) {
      whole += bare[i];
      if (!((shaded[cell] >>> s) & 1)) open += bare[i];
    }
    // What panes send back is taken to be shaded as what comes straight.
    ppfd[cell] = open + (whole > 0 ? (back[cell] * open) / whole : 0);
  }
  return {
    columns: field.columns,
    rows: field.rows,
    ppfd,
    at: (spot, normal = LEVEL) => {
      let [open, whole] = [0, 0];
      for (const source of sources) {
        const gives = litBy(lit, source, spot, normal);
        whole += gives;
        if (gives > 0 && !isShaded(blocks, spot, source.at)) open += gives;
      }
      if (open === 0) return 0;
      return open + (mirrored(images, spot, normal, lit.waterMm, lit.fadesPerM) * open) / whole;
    },
    share: (spot, through) => {
      let [open, arrives] = [0, 0];
      for (const source of sources) {
        const gives = litBy(lit, source, spot, LEVEL);
        if (gives <= 0 || isShaded(blocks, spot, source.at)) continue;
        open += gives;
        arrives += gives * through(spot, source.at);
      }
      return open > 0 ? arrives / open : 1;
    },
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

/** What one source gives a spot where no piece is in the way. */
function litBy(
  { waterMm, fadesPerM, plates = [] }: Lit,
  source: Source,
  spot: Vector,
  normal: Vector,
): number {
  const gives = ppfdFrom(source, spot, normal, waterMm, fadesPerM);
  return plates.length > 0 && gives > 0 ? gives * throughPlates(plates, spot, source.at) : gives;
}

function bareLight(lit: Lit, sources: readonly Source[]): Float32Array {
  const { field } = lit;
  const cells = field.columns * field.rows;
  const bare = new Float32Array(cells * sources.length);
  for (let cell = 0, i = 0; cell < cells; cell++) {
    const [gx, gy] = cellGradient(field, cell % field.columns, Math.floor(cell / field.columns));
    const long = Math.sqrt(1 + gx * gx + gy * gy);
    const normal: Vector = [-gx / long, -gy / long, 1 / long];
    const spot = spotOf(field, cell);
    for (const source of sources) bare[i++] = litBy(lit, source, spot, normal);
  }
  return bare;
}

/** Spots of a lamp for what comes by the panes: fewer do. */
const few = (lamps: readonly Lamp[]) => lamps.flatMap((lamp) => sourcesOf(lamp, 3));

/** It changes slowly over the floor: asked for every second cell each way. */
function lightBack({ field, lamps, panes = [], waterMm, fadesPerM }: Lit): Float32Array {
  const { columns, rows } = field;
  const back = new Float32Array(columns * rows);
  if (panes.length === 0) return back;
  const images = imagesOf(few(lamps), panes);
  for (let row = 0; row < rows; row += 2)
    for (let column = 0; column < columns; column += 2) {
      const cell = row * columns + column;
      const found = mirrored(images, spotOf(field, cell), [0, 0, 1], waterMm, fadesPerM);
      for (const at of [cell, cell + 1, cell + columns, cell + columns + 1])
        if (at < back.length && (at % columns) - column < 2) back[at] = found;
    }
  return back;
}

type Box = readonly [lo: Vector, hi: Vector];

/** Which sources are shaded from each cell; where only some boxes changed, asked again where their shadows may fall. */
function shadows(
  field: BedField,
  sources: readonly Source[],
  blocks: Blocks,
  again?: { boxes: readonly Box[]; shaded: Uint32Array },
): Uint32Array {
  const { columns, rows } = field;
  const shaded = again ? Uint32Array.from(again.shaded) : new Uint32Array(columns * rows);
  sources.forEach((source, s) => {
    const bit = 1 << s;
    const ask = (c0: number, r0: number, c1: number, r1: number) => {
      for (let row = r0; row <= r1; row++)
        for (let column = c0; column <= c1; column++) {
          const cell = row * columns + column;
          const isDark = isShaded(blocks, spotOf(field, cell), source.at);
          shaded[cell] = (isDark ? shaded[cell] | bit : shaded[cell] & ~bit) >>> 0;
        }
    };
    if (!again) return ask(0, 0, columns - 1, rows - 1);
    for (const box of again.boxes) ask(...shadowOf(box, source.at, field));
  });
  return shaded;
}

/** The cells on which a box may throw its shadow: around its own floor and its top as seen from the source on the glass. */
function shadowOf(
  [lo, hi]: Box,
  from: Vector,
  field: BedField,
): [c0: number, r0: number, c1: number, r1: number] {
  const top = Math.min(hi[2], from[2] - 1);
  const k = from[2] / (from[2] - top);
  const reach = (axis: 0 | 1) => {
    const ends = [lo[axis], hi[axis]].flatMap((v) => [v, from[axis] + (v - from[axis]) * k]);
    return [Math.min(...ends), Math.max(...ends)] as const;
  };
  const [x, y] = [reach(0), reach(1)];
  const within = (mm: number, step: number, most: number) =>
    Math.min(Math.max(Math.floor(mm / step), 0), most - 1);
  return [within(x[0], field.dxMm, field.columns), within(y[0], field.dyMm, field.rows), within(x[1], field.dxMm, field.columns), within(y[1], field.dyMm, field.rows)]; // prettier-ignore
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
