import { MeshoptSimplifier } from 'meshoptimizer';
import { meshFault, type Mesh } from '../../core/geometry/mesh';
import type { Text } from '../../core/words/text';

/** A surface, and what keeps it from being closed. */
export interface Welded {
  mesh: Mesh;
  fault: Text | undefined;
}

/** Corners nearer than this are one, in units of the file’s own size. */
const SAME = 1e-5;

/**
 * Triangles with the corners that they share: those that are written the same wherever they meet, as scanners write
 * them; where holes are left, those that are nearly the same. `positions` are x, y, z of each corner, `faces` its
 * triangles, or nothing where every three corners are one.
 */
export async function welded(positions: Float32Array, faces?: Uint32Array): Promise<Welded> {
  await MeshoptSimplifier.ready;
  const first = judged(sharing(positions, faces, MeshoptSimplifier.generatePositionRemap(positions, 3)));
  if (!first.fault) return first;
  const grid = SAME * Math.max(longestOf(positions), Number.MIN_VALUE);
  const rounded = positions.map((x) => Math.round(x / grid));
  return judged(sharing(positions, faces, MeshoptSimplifier.generatePositionRemap(rounded, 3)));
}

const judged = (mesh: Mesh): Welded => ({ mesh, fault: meshFault(mesh.vertices.length / 3, mesh.faces) });

/** Each corner becomes the one that it is named after in `same`; what no triangle has is left out. */
function sharing(positions: Float32Array, faces: Uint32Array | undefined, same: Uint32Array): Mesh {
  const count = faces?.length ?? same.length - (same.length % 3);
  const number = new Int32Array(same.length).fill(-1);
  const vertices = new Float64Array(positions.length);
  const kept = new Uint32Array(count);
  let [corners, written] = [0, 0];
  const cornerOf = (i: number): number => {
    const own = same[i];
    if (number[own] < 0) {
      for (let k = 0; k < 3; k++) vertices[corners * 3 + k] = positions[own * 3 + k];
      number[own] = corners++;
    }
    return number[own];
  };
  for (let f = 0; f < count; f += 3) {
    const [i, j, k] = faces ? [faces[f], faces[f + 1], faces[f + 2]] : [f, f + 1, f + 2];
    // Triangles of which two corners became one are none.
    if (same[i] === same[j] || same[j] === same[k] || same[k] === same[i]) continue;
    kept[written] = cornerOf(i);
    kept[written + 1] = cornerOf(j);
    kept[written + 2] = cornerOf(k);
    written += 3;
  }
  return { vertices: vertices.slice(0, corners * 3), faces: kept.slice(0, written) };
}

/** The longest side of the box around them. */
function longestOf(positions: Float32Array): number {
  let longest = 0;
  for (let axis = 0; axis < 3; axis++) {
    let [lo, hi] = [Infinity, -Infinity];
    for (let i = axis; i < positions.length; i += 3) {
      if (positions[i] < lo) lo = positions[i];
      if (positions[i] > hi) hi = positions[i];
    }
    longest = Math.max(longest, hi - lo);
  }
  return longest;
}
