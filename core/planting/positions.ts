import { cellCoverage } from '../geometry/coverage';
import { polygonContains, type Polygon } from '../geometry/polygon';
import { seeded } from '../geometry/seeded';
import { floorShare, surfaceAt, type BedField } from '../substrate/bedField';
import { slopeFactors } from './region';

/** Where plugs go: x, y and z of each, mm, one after another. */
export type Spots = Float64Array;

/** Spots that are tried for each that is kept: more are more even and take longer. */
const TRIED = 3;

/**
 * So many plugs over a region along its surface, none near another: by taking away from many random spots the most
 * crowded until so many are left (C. Yuksel, "Sample Elimination for Generating Poisson Disk Sample Sets", Computer
 * Graphics Forum 34, 2015). The same seed gives the same spots.
 * Valid for height fields. Leaves out: what stands there where `taken` does not say it.
 * Test: positions.test.ts, "are as many as asked for, inside, and apart".
 *
 * @param taken share of each cell that is not free
 */
export function plugPositions(
  field: BedField,
  region: Polygon,
  count: number,
  seed: number,
  taken?: Float64Array,
): Spots {
  if (count <= 0) return new Float64Array(0);
  const random = seeded(seed);
  const { area, cells, upTo } = freeCells(field, region, taken);
  if (area <= 0) return new Float64Array(0);
  const tried = Math.max(count, Math.min(TRIED * count, count + 20_000));
  const v = new Float64Array(tried * 3);
  for (let i = 0; i < tried; i++) {
    let [x, y] = [0, 0];
    // A cell at the edge is only partly inside: tried again until it is.
    for (let n = 0; n < 24; n++) {
      const cell = cells[indexOf(upTo, random() * area)];
      x = ((cell % field.columns) + random()) * field.dxMm;
      y = (Math.floor(cell / field.columns) + random()) * field.dyMm;
      if (polygonContains(region, x, y)) break;
    }
    v.set([x, y, surfaceAt(field, x, y)], i * 3);
  }
  return thinned(v, count, area);
}

/** Whether a region has any place at all where something can be set, what stands there leaving it room above. */
export function hasRoom(field: BedField, region: Polygon, taken: Float64Array): boolean {
  return freeCells(field, region, taken).area > 0;
}

/** Cells of a region that are free, with their surface added up, mm². */
function freeCells(field: BedField, region: Polygon, taken?: Float64Array) {
  const share = cellCoverage(field, region);
  const cells: number[] = [];
  const upTo: number[] = [];
  const cellMm2 = field.dxMm * field.dyMm;
  let area = 0;
  for (let cell = 0; cell < share.length; cell++) {
    const free = share[cell] * floorShare(field, cell) * (1 - (taken?.[cell] ?? 0));
    if (free < 0.02) continue;
    area += free * cellMm2 * slopeFactors(field)[cell];
    cells.push(cell);
    upTo.push(area);
  }
  return { area, cells, upTo };
}

/** The first entry of a rising list that is not below a value. */
function indexOf(upTo: readonly number[], value: number): number {
  let [low, high] = [0, upTo.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (upTo[middle] < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The most crowded are taken away until so many are left. */
function thinned(v: Float64Array, count: number, area: number): Spots {
  const n = v.length / 3;
  // Farther than this none of so many could be apart; twice of it is as far as they count.
  const reach = 2 * Math.sqrt(area / (2 * Math.sqrt(3) * count));
  const near = neighboursWithin(v, reach);
  const weight = new Float64Array(n);
  for (let i = 0; i < n; i++)
    for (let k = near.first[i]; k < near.first[i + 1]; k++) weight[i] += near.weight[k];
  const heap = heapOf(weight);
  for (let left = n; left > count; left--) {
    const i = heap.take();
    for (let k = near.first[i]; k < near.first[i + 1]; k++) heap.lower(near.to[k], near.weight[k]);
  }
  const kept = heap.left();
  const spots = new Float64Array(kept.length * 3);
  kept.forEach((i, n) => spots.set(v.subarray(i * 3, i * 3 + 3), n * 3));
  return spots;
}

/** For each spot those within reach along the surface, and how much they crowd it. */
function neighboursWithin(v: Float64Array, reach: number) {
  const n = v.length / 3;
  const key = (x: number, y: number) => Math.floor(x / reach) * 65_536 + Math.floor(y / reach);
  const at = new Map<number, number[]>();
  for (let i = 0; i < n; i++) {
    const k = key(v[i * 3], v[i * 3 + 1]);
    const list = at.get(k);
    if (list) list.push(i);
    else at.set(k, [i]);
  }
  const first = new Uint32Array(n + 1);
  const to: number[] = [];
  const weight: number[] = [];
  for (let i = 0; i < n; i++) {
    const [x, y, z] = [v[i * 3], v[i * 3 + 1], v[i * 3 + 2]];
    for (let dx = -reach; dx <= reach; dx += reach)
      for (let dy = -reach; dy <= reach; dy += reach)
        for (const j of at.get(key(x + dx, y + dy)) ?? []) {
          if (j === i) continue;
          const [a, b, c] = [v[j * 3] - x, v[j * 3 + 1] - y, v[j * 3 + 2] - z];
          const d2 = a * a + b * b + c * c;
          if (d2 >= reach * reach) continue;
          to.push(j);
          // To the eighth power, as in the source: the nearest count most.
          const near2 = (1 - Math.sqrt(d2) / reach) ** 2;
          weight.push(near2 * near2 * near2 * near2);
        }
    first[i + 1] = to.length;
  }
  return { first, to: Uint32Array.from(to), weight: Float64Array.from(weight) };
}

/** A heap with the heaviest on top, whose weights become less. */
function heapOf(weight: Float64Array) {
  let size = weight.length;
  const order = Uint32Array.from({ length: size }, (_, i) => i);
  const place = Uint32Array.from(order);
  const swap = (a: number, b: number) => {
    [order[a], order[b]] = [order[b], order[a]];
    place[order[a]] = a;
    place[order[b]] = b;
  };
  const sink = (from: number) => {
    for (let at = from; ;) {
      let most = at;
      for (const child of [2 * at + 1, 2 * at + 2])
        if (child < size && weight[order[child]] > weight[order[most]]) most = child;
      if (most === at) return;
      swap(at, most);
      at = most;
    }
  };
  for (let i = (size >> 1) - 1; i >= 0; i--) sink(i);
  return {
    /** Takes the heaviest away. */
    take(): number {
      const top = order[0];
      swap(0, --size);
      sink(0);
      return top;
    },
    lower(i: number, by: number): void {
      if (place[i] >= size) return;
      weight[i] -= by;
      sink(place[i]);
    },
    left: () => order.subarray(0, size).slice().sort(),
  };
}

/**
 * Plugs in the order in which they are planted: rows from the front as deep as the spacing, each the other way along, so
 * that no hand goes over what stands already. Plugs of one group, which follow each other, are planted together.
 *
 * @param each plugs of a group
 */
export function inPlantingOrder(spots: Spots, spacingMm: number, each = 1): Spots {
  const deep = Math.max(1, spacingMm * Math.sqrt(each));
  const groups: { from: number; to: number; x: number; row: number }[] = [];
  for (let from = 0; from < spots.length; from += 3 * each) {
    const to = Math.min(spots.length, from + 3 * each);
    let [x, y] = [0, 0];
    for (let i = from; i < to; i += 3) [x, y] = [x + spots[i], y + spots[i + 1]];
    const n = (to - from) / 3;
    groups.push({ from, to, x: x / n, row: Math.floor(y / n / deep) });
  }
  groups.sort((a, b) => a.row - b.row || (a.x - b.x) * (a.row % 2 === 0 ? 1 : -1));
  const sorted = new Float64Array(spots.length);
  let at = 0;
  for (const { from, to } of groups) {
    sorted.set(spots.subarray(from, to), at);
    at += to - from;
  }
  return sorted;
}
