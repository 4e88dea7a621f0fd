import type { Planting } from '../commission/schema';
import { polygonBounds, polygonContains, type Polygon } from '../geometry/polygon';
import { seeded } from '../geometry/seeded';
import { cellAt, onFloor, surfaceAt, type BedField } from '../substrate/bedField';
import { plugPositions, type Spots } from './positions';

/** How plugs of a region stand to each other. */
export type Arranged = Planting['set'];

/** Plugs of a group stand so far from its middle, share of their spacing (common practice: two fingers, not touching). */
const GROUP_SHARE = 0.3;
const IN_GROUP = { twos: 2, threes: 3 } as const;

/** Plugs of one group; one where they stand by themselves. */
export const plugsOfGroup = (set: Arranged): number =>
  set === 'twos' || set === 'threes' ? IN_GROUP[set] : 1;

/**
 * So many plugs of a region as they are told to stand: evenly scattered, in rows, in groups of two or three. Always as
 * many as asked for where the region has room.
 */
export function arrangedPositions(
  set: Arranged,
  field: BedField,
  region: Polygon,
  count: number,
  spacingMm: number,
  seed: number,
  taken?: Float64Array,
): Spots {
  if (set === 'rows') return inRows(field, region, count, spacingMm, taken);
  if (set === undefined) return plugPositions(field, region, count, seed, taken);
  return inGroups(field, region, count, spacingMm, plugsOfGroup(set), seed, taken);
}

/** Rounds in which the distance of rows is found. */
const ROUNDS = 40;

/**
 * Rows along the front, each shifted by half against the one before it, as far apart as gives so many plugs.
 * Valid for height fields. Leaves out: the slope between rows, which are even seen from above; what the last row has too
 * many, from its right end.
 * Test: arranged.test.ts, "rows are level with the front and staggered".
 */
function inRows(
  field: BedField,
  region: Polygon,
  count: number,
  spacingMm: number,
  taken?: Float64Array,
): Spots {
  if (count <= 0) return new Float64Array(0);
  let [low, high] = [spacingMm / 8, spacingMm * 4];
  for (let i = 0; i < ROUNDS && high - low > 0.01; i++) {
    const middle = (low + high) / 2;
    if (rowSpots(field, region, middle, taken).length >= count) low = middle;
    else high = middle;
  }
  const spots = rowSpots(field, region, low, taken).slice(0, count);
  return Float64Array.from(spots.flatMap(([x, y]) => [x, y, surfaceAt(field, x, y)]));
}

function rowSpots(field: BedField, region: Polygon, step: number, taken?: Float64Array): [number, number][] {
  const spots: [number, number][] = [];
  const [left, front, right, back] = polygonBounds(region);
  for (let row = 0, y = front + step / 2; y < back; row++, y += step)
    for (let x = left + step * (row % 2 === 0 ? 0.25 : 0.75); x < right; x += step)
      if (isFree(field, region, x, y, taken)) spots.push([x, y]);
  return spots;
}

const isFree = (field: BedField, region: Polygon, x: number, y: number, taken?: Float64Array) => polygonContains(region, x, y) && onFloor(field, x, y) && !(taken && taken[cellAt(field, x, y)] > 0.5); // prettier-ignore

/** Ways round that are tried for a plug of a group before it comes nearer to its middle. */
const TURNS = 16;

/**
 * Groups spread evenly, the plugs of each around its middle.
 * Test: arranged.test.ts, "groups of three stand together and apart from the next".
 */
function inGroups(
  field: BedField,
  region: Polygon,
  count: number,
  spacingMm: number,
  each: number,
  seed: number,
  taken?: Float64Array,
): Spots {
  const middles = plugPositions(field, region, Math.ceil(count / each), seed, taken);
  const random = seeded(seed + 1);
  const spots: number[] = [];
  for (let g = 0; g < middles.length && spots.length / 3 < count; g += 3) {
    const [cx, cy] = [middles[g], middles[g + 1]];
    const first = random() * 2 * Math.PI;
    for (let i = 0; i < each && spots.length / 3 < count; i++) {
      const [x, y] = besideMiddle(i);
      spots.push(x, y, surfaceAt(field, x, y));
    }
    function besideMiddle(i: number): [number, number] {
      for (let n = 0; n < TURNS; n++) {
        const a = first + (2 * Math.PI * i) / each + (n * 2.4) / each;
        const r = GROUP_SHARE * spacingMm * (1 - n / TURNS);
        const [x, y] = [cx + r * Math.cos(a), cy + r * Math.sin(a)];
        if (isFree(field, region, x, y, taken)) return [x, y];
      }
      return [cx, cy];
    }
  }
  return Float64Array.from(spots);
}

/**
 * The spacing at which plugs by themselves would close as late as these: groups of k leave √k times as much between
 * them, less how far their plugs stand from the middle.
 * Valid for groups spread evenly. Leaves out: that a group closes in itself first.
 * Test: arranged.test.ts, "groups close later than the same plugs scattered".
 */
export function closesLike(set: Arranged, spacingMm: number): number {
  const k = plugsOfGroup(set);
  return k === 1 ? spacingMm : spacingMm * (Math.sqrt(k) - GROUP_SHARE * Math.SQRT2 * 0.5);
}
