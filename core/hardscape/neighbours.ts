import Flatbush from 'flatbush';
import type { Standing } from './settle';

/** Pieces from which on an index of their boxes is worth making. */
const MANY = 12;

/** For each standing piece the ones listed before it whose upright boxes share space with its own, in the order of the list. */
export function earlierNeighbours(all: readonly Standing[]): Standing[][] {
  return neighboursWhere(all, 0, (j, i) => j < i);
}

/** For each standing piece all others whose upright boxes are nearer to its own than that, in the order of the list. */
export function neighboursWithin(all: readonly Standing[], reachMm: number): Standing[][] {
  return neighboursWhere(all, reachMm, (j, i) => j !== i);
}

/**
 * With many pieces their floor boxes are asked of an index (a packed Hilbert R-tree), so that the time grows with
 * the pieces and not with their pairs.
 */
function neighboursWhere(all: readonly Standing[], reachMm: number, isAsked: (j: number, i: number) => boolean): Standing[][] {
  const near = (s: Standing, i: number) => (e: Standing, j: number) => isAsked(j, i) && mayOverlap(e, s, reachMm);
  if (all.length < MANY) return all.map((s, i) => all.filter(near(s, i)));
  const index = new Flatbush(all.length);
  for (const { xMm, yMm, columns } of all) {
    const { lo, hi } = columns.extent;
    index.add(xMm + lo[0], yMm + lo[1], xMm + hi[0], yMm + hi[1]);
  }
  index.finish();
  return all.map((s, i) => {
    const { lo, hi } = s.columns.extent;
    const isNear = near(s, i);
    const [left, front] = [s.xMm + lo[0] - reachMm, s.yMm + lo[1] - reachMm];
    return index
      .search(left, front, s.xMm + hi[0] + reachMm, s.yMm + hi[1] + reachMm, (j) => isNear(all[j], j))
      .sort((a, b) => a - b)
      .map((j) => all[j]);
  });
} // prettier-ignore

/** True when the upright boxes around two standing pieces have space in common, or are nearer than `reachMm`. */
export function mayOverlap(a: Standing, b: Standing, reachMm = 0): boolean {
  const p = a.columns.extent;
  const q = b.columns.extent;
  return (
    a.xMm + p.lo[0] < b.xMm + q.hi[0] + reachMm &&
    b.xMm + q.lo[0] < a.xMm + p.hi[0] + reachMm &&
    a.yMm + p.lo[1] < b.yMm + q.hi[1] + reachMm &&
    b.yMm + q.lo[1] < a.yMm + p.hi[1] + reachMm &&
    a.zMm + p.lo[2] < b.zMm + q.hi[2] + reachMm &&
    b.zMm + q.lo[2] < a.zMm + p.hi[2] + reachMm
  );
}
