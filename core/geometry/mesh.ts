import { say, type Text } from '../words/text';

/** A closed surface of triangles, wound anticlockwise seen from outside. */
export interface Mesh {
  /** x, y, z of each corner, mm. */
  vertices: Float64Array;
  /** Three corner numbers a triangle. */
  faces: Uint32Array;
}

/** What is wrong with a surface that should enclose a solid, or undefined. */
export function meshFault(vertexCount: number, faces: ArrayLike<number>): Text | undefined {
  if (faces.length < 12) return say('mesh.few');
  const edges = edgeTable(faces.length);
  for (let f = 0; f < faces.length; f += 3) {
    for (let k = 0; k < 3; k++) {
      const a = faces[f + k];
      const b = faces[f + (k === 2 ? 0 : k + 1)];
      if (a >= vertexCount || b >= vertexCount)
        return say('mesh.corner', { triangle: f / 3, corner: Math.max(a, b), count: vertexCount });
      if (a === b) return say('mesh.corner.twice', { triangle: f / 3, corner: a });
      if (!edges.add(a, b)) return say('mesh.wound', { a, b });
    }
  }
  const open = edges.open();
  return open && say('mesh.open', { a: open[0], b: open[1] });
}

/** Ways in which an edge is run along: from its lower corner to the higher, and back. */
const [UP, DOWN] = [1, 2];

/**
 * Edges and the ways in which triangles run along them, in a table that is at least half empty: found at once, nothing
 * allocated. An edge stands by its lower corner, counted from 1, and its higher one.
 */
function edgeTable(most: number) {
  const size = 2 ** Math.ceil(Math.log2(most * 2));
  const [low, high, ways] = [new Uint32Array(size), new Uint32Array(size), new Uint8Array(size)];
  const placeOf = (a: number, b: number): number => {
    let at = (Math.imul(a, 0x9e3779b1) ^ Math.imul(b, 0x85ebca6b)) & (size - 1);
    while (low[at] !== 0 && (low[at] !== a + 1 || high[at] !== b)) at = (at + 1) & (size - 1);
    return at;
  };
  return {
    /** False when another already runs along it in this way. */
    add(a: number, b: number): boolean {
      const isUp = a < b;
      const at = isUp ? placeOf(a, b) : placeOf(b, a);
      const way = isUp ? UP : DOWN;
      if ((ways[at] & way) !== 0) return false;
      low[at] = (isUp ? a : b) + 1;
      high[at] = isUp ? b : a;
      ways[at] |= way;
      return true;
    },
    /** An edge along which triangles run only in one way, in that way; undefined where the surface is closed. */
    open(): [number, number] | undefined {
      let at = 0;
      while (at < size && ways[at] !== UP && ways[at] !== DOWN) at++;
      if (at === size) return undefined;
      const edge: [number, number] = [low[at] - 1, high[at]];
      return ways[at] === UP ? edge : [edge[1], edge[0]];
    },
  };
}

/** Least volume that a surface encloses, mm³: a grain of sand. */
const LEAST_MM3 = 1;

/** What keeps a surface from being the outside of a piece, or undefined; with what it must be. */
export function solidFault(mesh: Mesh): Text | undefined {
  const open = meshFault(mesh.vertices.length / 3, mesh.faces);
  if (open) return open;
  const mm3 = meshVolume(mesh);
  if (mm3 < 0) return say('mesh.inwards');
  return mm3 < LEAST_MM3 ? say('mesh.nothing', { least: LEAST_MM3 }) : undefined;
}

/**
 * Enclosed volume in mm³ as the sum of signed tetrahedra to the origin (the divergence theorem; any text on
 * vector calculus). Negative when the triangles face inwards; shells that overlap are counted twice.
 * Valid for closed surfaces of one shell. Leaves out: nothing, to rounding.
 * Test: mesh.test.ts, "measures a box".
 */
export function meshVolume(mesh: Mesh): number {
  const { vertices: v, faces } = mesh;
  let six = 0;
  for (let f = 0; f < faces.length; f += 3) {
    const a = faces[f] * 3;
    const b = faces[f + 1] * 3;
    const c = faces[f + 2] * 3;
    six +=
      v[a] * (v[b + 1] * v[c + 2] - v[b + 2] * v[c + 1]) +
      v[a + 1] * (v[b + 2] * v[c] - v[b] * v[c + 2]) +
      v[a + 2] * (v[b] * v[c + 1] - v[b + 1] * v[c]);
  }
  return six / 6;
}

/** How many separate shells the surface has: triangles that share a corner belong to one. */
export function shellCount(mesh: Mesh): number {
  const { faces } = mesh;
  const corners = mesh.vertices.length / 3;
  const parent = new Uint32Array(corners);
  for (let i = 0; i < corners; i++) parent[i] = i;
  const root = (i: number): number => {
    while (parent[i] !== i) i = parent[i] = parent[parent[i]];
    return i;
  };
  for (let f = 0; f < faces.length; f += 3) {
    const a = root(faces[f]);
    parent[root(faces[f + 1])] = a;
    parent[root(faces[f + 2])] = a;
  }
  const counted = new Uint8Array(corners);
  let shells = 0;
  for (let i = 0; i < faces.length; i++) {
    const at = root(faces[i]);
    if (!counted[at]) shells++;
    counted[at] = 1;
  }
  return shells;
}

/** Around the middle of its box, as pieces of the yard are kept. */
export function centred({ vertices, faces }: Mesh): Mesh {
  const v = Float64Array.from(vertices);
  for (let k = 0; k < 3; k++) {
    let [lo, hi] = [Infinity, -Infinity];
    for (let i = k; i < v.length; i += 3) {
      lo = Math.min(lo, v[i]);
      hi = Math.max(hi, v[i]);
    }
    for (let i = k; i < v.length; i += 3) v[i] -= (lo + hi) / 2;
  }
  return { vertices: v, faces };
}
