import { CANYON_MM, CLEAR_FRONT_MM, TALLEST_SHARE } from '../commission/limits';
import { forPlacing, type YardPiece } from '../catalogue/studio';
import type { Layer, Material, Piece, Shape, Vessel } from '../commission/schema';
import type { Point } from '../geometry/polygon';
import { rotation } from '../geometry/rotation';
import { seeded } from '../geometry/seeded';
import { extentOf, type Extent } from '../hardscape/extent';
import { volumeMm3Of } from '../hardscape/columns';
import { smooth, type PathLine } from '../substrate/path';
import { grainApart, grainAsItLies } from './facing';
import { inMm } from '../words/measure';
import { say, type Text } from '../words/text';
import { rounded } from '../units/quantity';

/** How far a turned shape reaches around its own origin, mm; where a scan is not at hand its drawn surface tells. */
export type ExtentOf = (shape: Shape, turnDeg: number) => Extent;

/** Styles for which a first arrangement can be asked. */
export const STYLES = [
  'three',
  'five',
  'triangle',
  'island',
  'valley',
  'path',
  'riverbed',
  'wood',
  'shallow',
] as const;
export type Style = (typeof STYLES)[number];

/** A first arrangement: pieces as they are set, hills of the bed where the style has some, and how it keeps the rules. */
export interface Start {
  style: Style;
  pieces: Piece[];
  mounds: NonNullable<Layer['mounds']>;
  /** A path or the bed of a river, where the style has one: to be filled with sand or gravel. */
  path?: Pick<PathLine, 'line' | 'widthMm'>;
  /** Each rule with what was measured of it; none is scored. */
  rules: Text[];
}

/** Rules of the trade that a start keeps (common practice). */
const SIDE_MM = 20;
/** Stones of one group share their grain within this, degrees. */
const GRAIN_DEG = 14;
/** Buried by this share of their height, so that the edge is under the grain. */
const BURIED = 0.14;
const TRIES = 240;
/** Wood of a shallow tank stands out of the water by so much at least, mm, and reaches at most so far, share of the height. */
const OUT_MM = 30;
const MOST_OUT = 1.8;

type Spot = readonly [x: number, y: number];
/** Where the pieces of a style go, as shares of length and width, the largest first. */
interface Places {
  spots: readonly Spot[];
  /** The first is wood. */
  wood?: boolean;
  /** Wood that stands out of the water: the one thing that may be above nine tenths. */
  above?: boolean;
  hills?: readonly (readonly [number, number, number, number])[];
  /** The line of a path, and its width at both ends as a share of the length. */
  path?: { line: readonly Spot[]; wide: readonly [number, number] };
}
const PLACES: Record<Style, Places> = {
  three: { spots: [[0.36, 0.6], [0.66, 0.5], [0.5, 0.3]] },
  five: { spots: [[0.64, 0.62], [0.36, 0.55], [0.76, 0.42], [0.5, 0.3], [0.24, 0.34]] },
  triangle: { spots: [[0.3, 0.64], [0.46, 0.56], [0.6, 0.46], [0.72, 0.36], [0.82, 0.28]] },
  island: { spots: [[0.42, 0.58], [0.55, 0.5], [0.33, 0.42], [0.48, 0.34], [0.62, 0.36]] },
  valley: { spots: [[0.26, 0.62], [0.76, 0.6], [0.14, 0.46], [0.86, 0.44], [0.36, 0.34], [0.66, 0.36], [0.22, 0.24]], hills: [[0.2, 0.8, 0.34, 0.2], [0.82, 0.84, 0.3, 0.15]] },
  path: { spots: [[0.3, 0.62], [0.76, 0.6], [0.22, 0.38], [0.74, 0.34], [0.86, 0.46]], hills: [[0.2, 0.8, 0.3, 0.14], [0.82, 0.82, 0.28, 0.1]], path: { line: [[0.5, 0], [0.45, 0.3], [0.55, 0.62], [0.51, 1]], wide: [0.13, 0.035] } },
  riverbed: { spots: [[0.34, 0.74], [0.72, 0.24], [0.16, 0.7], [0.84, 0.74], [0.52, 0.78], [0.5, 0.16], [0.9, 0.3]], path: { line: [[0, 0.36], [0.28, 0.32], [0.6, 0.5], [1, 0.5]], wide: [0.16, 0.1] } },
  wood: { spots: [[0.38, 0.56], [0.42, 0.46], [0.62, 0.5], [0.3, 0.32]], wood: true },
  shallow: { spots: [[0.36, 0.56], [0.64, 0.5], [0.48, 0.3], [0.22, 0.36], [0.78, 0.34]], wood: true, above: true },
}; // prettier-ignore

/**
 * First arrangements from the yard’s own pieces, one for each style that they suffice for. They keep the trade’s rules:
 * an odd count, the main piece on a third and at most nine tenths high, the largest first, one grain, clear of the glass,
 * canyons kept, nothing mirrored. The same seed gives the same ones.
 * Paths are kept free. Valid for boxes and bows. Leaves out: what the eye says; each is a beginning to be changed.
 * Test: starts.test.ts, "keeps every rule that it says".
 */
export function starts(
  yard: readonly YardPiece[],
  kindOf: (material: string) => Material['kind'] | undefined,
  vessel: Vessel,
  bedMm: number,
  seed: number,
  extent: ExtentOf = (shape, turnDeg) => extentOf(shape, rotation(turnDeg)),
): Start[] {
  const stones = bySize(yard.filter((p) => kindOf(p.material) === 'stone'));
  const woods = bySize(yard.filter((p) => kindOf(p.material) === 'wood'));
  return STYLES.flatMap((style, i) => {
    const start = arranged(style, stones, woods, vessel, bedMm, seeded(seed * 31 + i * 7919 + 1), extent);
    return start ? [start] : [];
  });
}

function bySize(pieces: readonly YardPiece[]): YardPiece[] {
  return [...pieces].sort((a, b) => volumeMm3Of(b.shape) - volumeMm3Of(a.shape));
}

interface Placed {
  piece: Piece;
  /** What it covers of the floor, mm: left, front, right, back. */
  box: readonly [number, number, number, number];
  highMm: number;
}

function arranged(
  style: Style,
  stones: readonly YardPiece[],
  woods: readonly YardPiece[],
  vessel: Vessel,
  bedMm: number,
  random: () => number,
  extent: ExtentOf,
): Start | undefined {
  const { spots, wood, above, hills = [] } = PLACES[style];
  const { length, width, height } = vessel.innerMm;
  const flip = random() < 0.5;
  const path = pathOf(style, vessel, flip);
  const banks = path ? smooth(path.line) : [];
  let grain = random() * 360;
  const left = {
    stones: fitting(stones, vessel, bedMm, extent),
    woods: above ? reachingOut(woods, vessel, bedMm, extent) : fitting(woods, vessel, bedMm, extent),
  };
  const placed: Placed[] = [];
  for (const [i, spot] of spots.entries()) {
    const from = wood && i === 0 ? left.woods : left.stones;
    const found = setOne(from, spot, { vessel, bedMm, flip, grain, random, placed, extent, path, banks });
    if (!found) {
      if (i === 0) return undefined;
      continue;
    }
    from.splice(
      from.findIndex((p) => p.id === found.piece.id),
      1,
    );
    placed.push(found);
    if (i === 0 && found.piece.faceDeg !== undefined) grain = grainAsItLies(found.piece);
  }
  // One too many for an odd count goes again, the smallest.
  if (placed.length % 2 === 0) placed.pop();
  if (placed.length < 3) return undefined;
  const mounds = hills.map(([x, y, r, h]) => ({
    at: [Math.round((flip ? 1 - x : x) * length), Math.round(y * width)] as [number, number],
    radiusMm: Math.round(r * length),
    heightMm: Math.round(h * height),
  }));
  const rules = rulesOf(placed, vessel, bedMm, above);
  if (path) rules.push(say('start.path', { from: inMm(path.widthMm[0]), to: inMm(path.widthMm[1]) }));
  return { style, pieces: placed.map((p) => p.piece), mounds, ...(path ? { path } : {}), rules };
}

/** Pieces that stay below nine tenths of the height, the largest first. */
function fitting(
  pieces: readonly YardPiece[],
  { innerMm }: Vessel,
  bedMm: number,
  extent: ExtentOf,
): YardPiece[] {
  return pieces.filter((p) => {
    const { lo, hi } = extent(p.shape, 0);
    return bedMm + (hi[2] - lo[2]) * (1 - BURIED) <= TALLEST_SHARE * innerMm.height;
  });
}

/** Wood that stands out of the water and yet is not much higher than the tank: the highest first. */
function reachingOut(
  pieces: readonly YardPiece[],
  { innerMm, waterLineMm }: Vessel,
  bedMm: number,
  extent: ExtentOf,
): YardPiece[] {
  const topMm = (p: YardPiece) => {
    const { lo, hi } = extent(p.shape, 0);
    return bedMm + (hi[2] - lo[2]) * (1 - BURIED);
  };
  return pieces
    .filter((p) => topMm(p) > waterLineMm + OUT_MM && topMm(p) < innerMm.height * MOST_OUT)
    .sort((a, b) => topMm(b) - topMm(a));
}

/** The path of a style in a vessel, mm. */
function pathOf(style: Style, { innerMm }: Vessel, flip: boolean): Start['path'] {
  const { path } = PLACES[style];
  if (!path) return undefined;
  const line = path.line.map(([x, y]): [number, number] => [
    Math.round((flip ? 1 - x : x) * innerMm.length),
    Math.round(y * innerMm.width),
  ]);
  // It is never so wide that no room is left for its banks.
  const wide = path.wide.map((share) => Math.round(Math.min(share * innerMm.length, 0.3 * innerMm.width)));
  return { line, widthMm: wide as [number, number] };
}

interface Setting {
  vessel: Vessel;
  bedMm: number;
  flip: boolean;
  grain: number;
  random: () => number;
  placed: readonly Placed[];
  extent: ExtentOf;
  path: Start['path'];
  /** The path as it curves, mm. */
  banks: readonly Point[];
}

/** The largest piece that finds room near a spot, with its grain near that of the others. */
function setOne(from: readonly YardPiece[], [sx, sy]: Spot, s: Setting): Placed | undefined {
  const { length, width } = s.vessel.innerMm;
  for (const source of from) {
    for (let n = 0; n < TRIES; n++) {
      const spread = 0.02 + (n / TRIES) * 0.16;
      const x = ((s.flip ? 1 - sx : sx) + (s.random() - 0.5) * 2 * spread * (s.placed.length === 0 ? 0.25 : 1)) * length; // prettier-ignore
      const y = (sy + (s.random() - 0.5) * 2 * spread) * width;
      const turnDeg = turnOf(source, s);
      const { lo, hi } = s.extent(source.shape, turnDeg);
      const box = [x + lo[0], y + lo[1], x + hi[0], y + hi[1]] as const;
      if (!isClear(box, s)) continue;
      const tall = hi[2] - lo[2];
      const buryMm = Math.round(tall * BURIED);
      const piece: Piece = {
        ...forPlacing(source),
        at: [Math.round(x), Math.round(y)],
        turnDeg,
        stand: { kind: 'bed', buryMm },
        ...(source.client ? { origin: 'client' as const } : { owned: true }),
      };
      return { piece, box, highMm: s.bedMm + tall - buryMm };
    }
  }
  return undefined;
}

/** The main piece shows its best face where that is known; the others have its grain, within a few degrees. */
function turnOf({ faceDeg, grainDeg = 0 }: YardPiece, { grain, random, placed }: Setting): number {
  const off = (random() - 0.5) * 2 * GRAIN_DEG;
  const along = placed.length === 0 && faceDeg !== undefined ? faceDeg : grain - grainDeg;
  return Math.round((along + off + 720) % 360);
}

/** Clear of the panes, and of the others either touching nothing or leaving a finger’s width. */
function isClear([l, f, r, b]: Placed['box'], { vessel, placed, path, banks }: Setting): boolean {
  const { length, width } = vessel.innerMm;
  if (l < SIDE_MM || f < CLEAR_FRONT_MM.usual || r > length - SIDE_MM || b > width - SIDE_MM) return false;
  const along = (i: number) => i / Math.max(1, banks.length - 1);
  const half = (i: number) => (path!.widthMm[0] + (path!.widthMm[1] - path!.widthMm[0]) * along(i)) / 2;
  const offPath = ([x, y]: Point, i: number) =>
    Math.hypot(Math.max(l - x, 0, x - r), Math.max(f - y, 0, y - b)) >= half(i);
  if (!banks.every(offPath)) return false;
  return placed.every(({ box }) => {
    const apart = Math.max(box[0] - r, l - box[2], box[1] - b, f - box[3]);
    return apart >= CANYON_MM;
  });
}

/** Each rule with what was measured. */
function rulesOf(
  placed: readonly Placed[],
  { innerMm, waterLineMm }: Vessel,
  bedMm: number,
  above = false,
): Text[] {
  const [main] = placed;
  const clear = Math.min(...placed.map((p) => p.box[1]));
  const share = main.piece.at[0] / innerMm.length;
  const massOn = (side: boolean) =>
    placed.filter((p) => p.piece.at[0] < innerMm.length / 2 === side).reduce((sum, p) => sum + volumeMm3Of(p.piece.shape), 0); // prettier-ignore
  const [a, b] = [massOn(true), massOn(false)];
  const heights = Math.max(...placed.map((p) => p.highMm));
  return [
    say('start.count', { count: placed.length }),
    say('start.third', { piece: main.piece.id, percent: rounded(share * 100, 0) }),
    above
      ? say('start.above', { piece: main.piece.id, out: inMm(rounded(main.highMm - waterLineMm, 0)) })
      : say('start.height', { percent: rounded((heights / innerMm.height) * 100, 0), bed: inMm(bedMm) }),
    say('start.clear', { front: inMm(clear), canyon: inMm(CANYON_MM) }),
    say('start.grain', { deg: rounded(Math.max(...placed.map((p) => grainApart(grainAsItLies(p.piece), grainAsItLies(main.piece)))), 0) }), // prettier-ignore
    say('start.sides', { percent: rounded((100 * Math.min(a, b)) / Math.max(a, b, 1), 0) }),
  ];
}
