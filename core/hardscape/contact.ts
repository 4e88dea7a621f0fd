import type { Standing } from './settle';

/** What two pieces that are joined may be apart, mm: glue and fibre bridge no more (common practice). */
export const JOINABLE_MM = 5;

/** Gaps are measured up to this, mm: nobody asks how much wider one is that glue cannot bridge. */
export const WIDEST_GAP_MM = 2 * JOINABLE_MM;

/**
 * Gap between two standing pieces, mm: 0 where they touch or run into each other, at most `WIDEST_GAP_MM`.
 * Valid for solids cut into columns, to about one column of either (2 to 4 mm). Leaves out: faces that are rough.
 * Test: contact.test.ts, "is what a spacer between two blocks would measure".
 */
export function gapMm(a: Standing, b: Standing): number {
  const reach = WIDEST_GAP_MM;
  if (apart(a, b, reach)) return reach;
  const [p, q] = [a.columns, b.columns];
  // From the middle of one column to the middle of the next there is a column's width of stone between.
  const [widthX, widthY] = [(p.dxMm + q.dxMm) / 2, (p.dyMm + q.dyMm) / 2];
  const [aroundX, aroundY] = [Math.ceil((reach + widthX) / q.dxMm), Math.ceil((reach + widthY) / q.dyMm)];
  let least = Infinity;
  for (let row = 0, c = 0; row < p.rows; row++) {
    const y = a.yMm + p.y0 + row * p.dyMm;
    const middleRow = Math.round((y - b.yMm - q.y0) / q.dyMm);
    if (middleRow + aroundY < 0 || middleRow - aroundY >= q.rows) {
      c += p.columns;
      continue;
    }
    for (let column = 0; column < p.columns; column++, c++) {
      const [from, to] = [p.first[c], p.first[c + 1]];
      if (from === to) continue;
      const x = a.xMm + p.x0 + column * p.dxMm;
      const middle = Math.round((x - b.xMm - q.x0) / q.dxMm);
      for (let r = Math.max(0, middleRow - aroundY); r <= Math.min(q.rows - 1, middleRow + aroundY); r++) {
        const dy = clear(b.yMm + q.y0 + r * q.dyMm - y, widthY);
        for (let k = Math.max(0, middle - aroundX); k <= Math.min(q.columns - 1, middle + aroundX); k++) {
          const dx = clear(b.xMm + q.x0 + k * q.dxMm - x, widthX);
          const d = r * q.columns + k;
          for (let i = from; i < to; i++)
            for (let j = q.first[d]; j < q.first[d + 1]; j++) {
              const up = q.lo[j] + b.zMm - (p.hi[i] + a.zMm);
              const down = p.lo[i] + a.zMm - (q.hi[j] + b.zMm);
              const gap = Math.hypot(dx, dy, Math.max(0, up, down));
              if (gap < least) least = gap;
            }
        }
      }
      if (least === 0) return 0;
    }
  }
  return Math.min(least, reach);
}

/** What is left of a distance between middles once half a column of each is taken off. */
function clear(middles: number, width: number): number {
  return Math.max(0, Math.abs(middles) - width);
}

function apart(a: Standing, b: Standing, reach: number): boolean {
  const [p, q] = [a.columns.extent, b.columns.extent];
  const [m, n] = [[a.xMm, a.yMm, a.zMm], [b.xMm, b.yMm, b.zMm]]; // prettier-ignore
  return [0, 1, 2].some(
    (k) => m[k] + p.lo[k] - reach > n[k] + q.hi[k] || n[k] + q.lo[k] - reach > m[k] + p.hi[k],
  );
}
