import type { Mesh } from '../geometry/mesh';
import type { BedField } from './bedField';

/** Cells of the surface at most: a larger floor is taken in larger steps. */
const MOST_CELLS = 12_000;

/**
 * The bed as a closed solid around the vessel's front left corner, mm: its surface, the glass under it, and its sides.
 * Beside a pane that is not straight only cells whose corners all lie inside are in it.
 * Valid for height fields. Leaves out: what stands in the bed, steps within a cell.
 * Test: bedMesh.test.ts, "encloses what was poured".
 *
 * @returns undefined where there is no bed
 */
export function bedMesh(field: BedField): Mesh | undefined {
  const { columns, rows, dxMm, dyMm, cornerMm } = field;
  const every = Math.max(1, Math.ceil(Math.sqrt((columns * rows) / MOST_CELLS)));
  const xs = stepsOf(columns, every);
  const ys = stepsOf(rows, every);
  const [w, count] = [xs.length, xs.length * ys.length];
  const cornerOf = (i: number) => ys[Math.floor(i / w)] * (columns + 1) + xs[i % w];
  const vertices = new Float64Array(count * 6);
  for (let i = 0; i < count; i++) {
    const [x, y] = [xs[i % w] * dxMm, ys[Math.floor(i / w)] * dyMm];
    vertices.set([x, y, cornerMm[cornerOf(i)]], i * 3);
    vertices.set([x, y, 0], (count + i) * 3);
  }
  const isIn = (c: number, r: number): boolean => {
    if (c < 0 || r < 0 || c >= w - 1 || r >= ys.length - 1) return false;
    const corners = [r * w + c, r * w + c + 1, (r + 1) * w + c, (r + 1) * w + c + 1].map(cornerOf);
    // Where the glass is bare there is nothing to enclose.
    return corners.every((k) => field.floor?.corner[k] !== 0) && corners.some((k) => cornerMm[k] > 0);
  };
  const faces: number[] = [];
  const wall = (a: number, b: number) => faces.push(a, count + a, b, b, count + a, count + b);
  for (let r = 0; r < ys.length - 1; r++)
    for (let c = 0; c < w - 1; c++) {
      if (!isIn(c, r)) continue;
      const [a, b, d, e] = [r * w + c, r * w + c + 1, (r + 1) * w + c, (r + 1) * w + c + 1];
      faces.push(a, b, d, b, e, d, count + a, count + d, count + b, count + b, count + d, count + e);
      if (!isIn(c, r - 1)) wall(a, b);
      if (!isIn(c, r + 1)) wall(e, d);
      if (!isIn(c - 1, r)) wall(d, a);
      if (!isIn(c + 1, r)) wall(b, e);
    }
  if (faces.length === 0) return undefined;
  return { vertices, faces: Uint32Array.from(faces) };
}

/** Every so manieth corner, the last always. */
function stepsOf(cells: number, every: number): number[] {
  const steps = Array.from({ length: Math.ceil(cells / every) }, (_, i) => i * every);
  return [...steps, cells];
}
