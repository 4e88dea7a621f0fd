import type { FlowLayer } from './tankFlow';

/** Open water at one height that a fish of some size cannot reach from the rest, or not leave. */
export interface ShutOff {
  zMm: number;
  /** Its roomiest spot, mm from the left and from the front. */
  at: [number, number];
  areaMm2: number;
  /** The widest way in, mm; 0 where there is none. */
  widestMm: number;
}

/** What is smaller than a square of so many times the fish is a gap, not a place, times its width. */
const LEAST_SIDES = 2;

/**
 * Open water that is shut off for a fish that needs so much width: stretches of water as wide as that everywhere, apart from
 * the largest of them. The way between them is as wide as its narrowest spot where that is widest (Kruskal’s bottleneck).
 * Valid for cells smaller than the fish; a width is right to about one of them. Leaves out: ways over and under at other heights.
 * Test: passages.test.ts, "a wall with a gap shuts off what lies behind it for fish that are wider".
 */
export function shutOff(layer: FlowLayer, needsMm: number): ShutOff[] {
  const { columns, rows, dxMm, dyMm, speed, zMm } = layer;
  const wide = widths(layer);
  const order = Array.from({ length: speed.length }, (_, c) => c)
    .filter((c) => wide[c] > 0)
    .sort((a, b) => wide[b] - wide[a]);
  const parent = new Int32Array(speed.length).fill(-1);
  const find = (c: number): number => {
    while (parent[c] !== c) c = parent[c] = parent[parent[c]];
    return c;
  };
  /** Stretches as wide as the fish everywhere, by their first cell: cells, roomiest spot. */
  const stretches: { root: number; cells: number; best: number; widestMm: number }[] = [];
  let begun = false;
  for (const c of order) {
    if (!begun && wide[c] < needsMm) {
      begun = true;
      for (const o of order) if (parent[o] === o) stretches.push({ root: o, cells: 0, best: o, widestMm: 0 });
      count();
    }
    parent[c] = c;
    const [i, j] = [c % columns, Math.floor(c / columns)];
    for (const [u, v] of [
      [i - 1, j],
      [i + 1, j],
      [i, j - 1],
      [i, j + 1],
    ]) {
      const o = v * columns + u;
      if (u < 0 || v < 0 || u >= columns || v >= rows || parent[o] < 0 || find(o) === find(c)) continue;
      parent[find(o)] = find(c);
      if (begun) meet(wide[c]);
    }
  }
  if (!begun || stretches.length === 0) return [];
  return rest()
    .filter((s) => s.cells * dxMm * dyMm >= (LEAST_SIDES * needsMm) ** 2)
    .map(({ best, cells, widestMm }) => ({
      zMm,
      at: [((best % columns) + 0.5) * dxMm, (Math.floor(best / columns) + 0.5) * dyMm],
      areaMm2: cells * dxMm * dyMm,
      widestMm,
    }));

  function count(): void {
    const of = new Map(stretches.map((s) => [s.root, s]));
    for (const o of order) {
      if (parent[o] < 0) continue;
      const s = of.get(find(o))!;
      s.cells++;
      if (wide[o] > wide[s.best]) s.best = o;
    }
    stretches.sort((a, b) => b.cells - a.cells);
  }
  /** Those that have just come to hang together with the largest have found their way in. */
  function meet(mm: number): void {
    // A fish that fits nowhere is shut off from nothing.
    if (stretches.length === 0) return;
    const main = find(stretches[0].root);
    for (const s of rest()) if (s.widestMm === 0 && find(s.root) === main) s.widestMm = mm;
  }
  function rest() {
    return stretches.slice(1);
  }
}

/** Width of the open water around each cell, mm: twice the way to the nearest that is not open; 0 where none is. */
function widths({ columns, rows, dxMm, dyMm, speed }: FlowLayer): Float64Array {
  const shut: [number, number][] = [];
  const isOpen = (i: number, j: number) => i >= 0 && j >= 0 && i < columns && j < rows && speed[j * columns + i] >= 0; // prettier-ignore
  for (let j = -1; j <= rows; j++)
    for (let i = -1; i <= columns; i++)
      // Only those beside open water can be the nearest.
      if (!isOpen(i, j) && (isOpen(i - 1, j) || isOpen(i + 1, j) || isOpen(i, j - 1) || isOpen(i, j + 1)))
        shut.push([i, j]);
  const far = new Float64Array(columns * rows);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      if (!isOpen(i, j)) continue;
      let least = Infinity;
      for (const [u, v] of shut) {
        // From the middle of this cell to the near side of that one.
        const x = Math.max(0, Math.abs(u - i) - 0.5) * dxMm;
        const y = Math.max(0, Math.abs(v - j) - 0.5) * dyMm;
        least = Math.min(least, x * x + y * y);
      }
      far[j * columns + i] = 2 * Math.sqrt(least);
    }
  return far;
}
