import { Beside } from './beside';
import type { Standing } from './settle';

/** Columns each way that are asked at most: enough to tell which of many a piece runs into most. */
const MOST_EACH_WAY = 32;

/**
 * Space that two standing pieces share between the floor and a height, mm³, read at most at 32 columns each way.
 * Valid for naming and ranking; litres come from all columns (`displace`). Example: two cubes of 100 mm, one moved by half
 * its length, share 0.5 L (`pairShare.test.ts`).
 */
export function pairShareMm3(own: Standing, other: Standing, heightMm: number): number {
  const { columns: col, zMm } = own;
  const step = Math.ceil(Math.max(col.columns, col.rows) / MOST_EACH_WAY);
  const { columnAt, rowAt, upMm, first, lo, hi } = new Beside(own, other);
  const [floor, rim] = [-zMm, heightMm - zMm];
  let mm = 0;
  for (let row = step >> 1; row < col.rows; row += step) {
    if (rowAt[row] < 0) continue;
    for (let column = step >> 1; column < col.columns; column += step) {
      if (columnAt[column] < 0) continue;
      const c = row * col.columns + column;
      const e = rowAt[row] + columnAt[column];
      for (let k = col.first[c]; k < col.first[c + 1]; k++)
        for (let i = first[e]; i < first[e + 1]; i++) {
          const top = Math.min(col.hi[k], hi[i] + upMm, rim);
          const foot = Math.max(col.lo[k], lo[i] + upMm, floor);
          if (top > foot) mm += top - foot;
        }
    }
  }
  return mm * step * step * col.columnMm2;
}
