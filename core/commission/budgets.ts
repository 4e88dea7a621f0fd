import { say, type Text } from '../words/text';
import { fault, type Fault } from './fault';

/*
 * How much of a thing one document may have in all, whatever each of its parts is allowed. Each figure is far
 * above what is ever built and low enough that reading, measuring and drawing stay within seconds. They are
 * counted before anything else is read, on whatever came in.
 */

/** Bytes of a file that is taken in at most; a document and its scans: eighty of 20,000 triangles have 29 MB. */
export const MAX_FILE_BYTES = 80 * 1024 * 1024;

export const BUDGETS = {
  /** Objects and lists within each other. */
  depth: 40,
  /** Values of any kind: figures, words, lists. */
  values: 3_000_000,
  /** Corners of the vessel and of all regions. */
  corners: 20_000,
  /** Corners of the regions of one option's layers: each is asked for at every cell of the floor. */
  layerCorners: 4_000,
  /** Heights of all sculpted surfaces. */
  heights: 1_000_000,
  /** Triangles of all meshes. */
  triangles: 400_000,
  /** Triangles of the scans of one option: what is measured whenever one of its plans is asked for. */
  scanned: 2_000_000,
  /** Layers of an option times its planted regions. */
  layersTimesPlantings: 2_000,
  /** The floor, so many times over, that the planted regions of one option may cover together, by the boxes around them. */
  plantedFloors: 25,
  /** Pieces of all options. */
  pieces: 3_000,
} as const;

type Fields = Record<string, unknown>;

/** The first budget that a document is over, by name. Nothing is assumed about what it is made of. */
export function budgetFaults(document: unknown): Fault[] {
  const size = sizeOf(document);
  if (size.depth > BUDGETS.depth) return [tooDeep(size.depthAt, BUDGETS.depth)];
  if (size.values > BUDGETS.values)
    return [
      over('(document)', say('over.values', { count: BUDGETS.values }), say('things.values'), BUDGETS.values),
    ];
  const { options, shelved, now, vessel } = fields(document);
  const all = [...list(options), ...list(shelved), now].map(fields);
  const corners = all.map(cornersOf);
  const faults = [
    atMost(
      '(document)',
      say('things.pieces'),
      BUDGETS.pieces,
      sum(all, (o) => list(o.pieces).length),
    ),
    atMost('(document)', say('things.triangles'), BUDGETS.triangles, sum(all, trianglesOf)),
    atMost('(document)', say('things.heights'), BUDGETS.heights, sum(all, heightsOf)),
    atMost('(document)', say('things.corners'), BUDGETS.corners,
      corners.reduce((n, c) => n + c.layers + c.plants, list(fields(vessel).corners).length)), // prettier-ignore
    ...all.map((o, i) =>
      atMost(
        place(i, options, shelved),
        say('things.scanned'),
        BUDGETS.scanned,
        sum(list(o.pieces), scannedOf),
      ),
    ),
    ...corners.map((c, i) =>
      atMost(place(i, options, shelved), say('things.layer.corners'), BUDGETS.layerCorners, c.layers),
    ),
    ...all.map((o, i) =>
      atMost(place(i, options, shelved), say('things.layers.times.regions'), BUDGETS.layersTimesPlantings,
        list(o.bed).length * list(o.plants).filter((p) => fields(p).region !== undefined).length)), // prettier-ignore
  ];
  return faults.flatMap((f) => f ?? []).slice(0, 1);
}

/** How much deeper than a document changes of it may be: their list, each of them, and where it is. */
const AROUND_CHANGES = 6;

/** Whether something from outside that is no document itself, such as changes of one, is nested too deep to be gone into. */
export function depthFault(value: unknown): Fault | undefined {
  const most = BUDGETS.depth + AROUND_CHANGES;
  const size = sizeOf(value, most);
  return size.depth > most ? tooDeep(size.depthAt, most) : undefined;
}

function tooDeep(at: string, most: number): Fault {
  return over(at || '(document)', say('over.depth', { count: most }), say('things.depth'), most);
}

function over(path: string, is: Text, things: Text, most: number): Fault {
  return fault(path, 'fault.over', { is, most, things });
}

function atMost(path: string, things: Text, most: number, has: number): Fault | undefined {
  return has > most ? fault(path, 'fault.has', { has, things, most }) : undefined;
}

function place(i: number, options: unknown, shelved: unknown): string {
  const [count, away] = [list(options).length, list(shelved).length];
  if (i < count) return `options[${i}]`;
  return i < count + away ? `shelved[${i - count}]` : 'now';
}

const fields = (value: unknown): Fields =>
  value !== null && typeof value === 'object' && !Array.isArray(value) ? (value as Fields) : {};
const list = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);
const sum = <T>(items: readonly T[], of: (item: T) => number) => items.reduce((n, item) => n + of(item), 0);

function cornersOf(option: Fields): { layers: number; plants: number } {
  const regions = (entries: unknown) => sum(list(entries), (e) => list(fields(e).region).length);
  return { layers: regions(option.bed), plants: regions(option.plants) };
}

function trianglesOf(option: Fields): number {
  return sum(list(option.pieces), (p) => list(fields(fields(p).shape).faces).length);
}

function scannedOf(piece: unknown): number {
  const { triangles } = fields(fields(piece).shape);
  return typeof triangles === 'number' ? triangles : 0;
}

function heightsOf(option: Fields): number {
  return sum(list(option.bed), (layer) => list(fields(fields(layer).top).mm).length);
}

/** Counts without calling itself: a document nested a million deep must not end the count. */
function sizeOf(
  document: unknown,
  mostDeep: number = BUDGETS.depth,
): { depth: number; depthAt: string; values: number } {
  const size = { depth: 0, depthAt: '', values: 0 };
  let level: { key: string; value: unknown }[] = [{ key: '', value: document }];
  while (level.length > 0 && size.depth <= mostDeep && size.values <= BUDGETS.values) {
    const next: typeof level = [];
    for (const { key, value } of level) {
      if (value === null || typeof value !== 'object') continue;
      for (const [k, inner] of Object.entries(value)) {
        size.values++;
        // Which field of the top it is in is enough to find it.
        if (inner !== null && typeof inner === 'object') next.push({ key: key || k, value: inner });
      }
      if (size.values > BUDGETS.values) break;
    }
    size.depth++;
    size.depthAt = next[0]?.key ?? size.depthAt;
    level = next;
  }
  return size;
}
