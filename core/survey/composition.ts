import type { Vessel } from '../commission/schema';
import type { Columns } from '../hardscape/columns';
import { highestMm, type Standing } from '../hardscape/settle';

/** What is noticed of a composition: figures to look at, never a score. */
export interface Composition {
  stones: number;
  /** Height of the tallest stone against the vessel's, share; 0 without stones. */
  tallestShare: number;
  /** Floor that no piece covers seen from above, share of the whole. */
  openShare: number;
  /** Volume left of the middle against that right of it, the smaller over the larger: 1 is the same on both. */
  evenness: number;
}

const areas = new WeakMap<Columns, number>();

/** Floor under a piece seen from above, mm². */
function coveredMm2(columns: Columns): number {
  const known = areas.get(columns);
  if (known !== undefined) return known;
  let count = 0;
  for (let c = 0; c < columns.columns * columns.rows; c++)
    if (columns.first[c] < columns.first[c + 1]) count++;
  const mm2 = count * columns.dxMm * columns.dyMm;
  areas.set(columns, mm2);
  return mm2;
}

/** What stands there as a composition; what overlaps seen from above counts twice towards what is covered. */
export function compositionOf(
  standing: readonly Standing[],
  isStone: (s: Standing) => boolean,
  { innerMm }: Vessel,
): Composition {
  const stones = standing.filter(isStone);
  const covered = standing.reduce((sum, s) => sum + coveredMm2(s.columns), 0);
  const [left, right] = [true, false].map((side) =>
    standing
      .filter((s) => s.xMm < innerMm.length / 2 === side)
      .reduce((sum, s) => sum + s.columns.volumeMm3, 0),
  );
  return {
    stones: stones.length,
    tallestShare: stones.length ? Math.max(...stones.map(highestMm)) / innerMm.height : 0,
    openShare: Math.max(0, 1 - covered / (innerMm.length * innerMm.width)),
    evenness: Math.max(left, right) > 0 ? Math.min(left, right) / Math.max(left, right) : 0,
  };
}
