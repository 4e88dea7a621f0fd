import type { Shape } from '../../core/commission/schema';
import { rotation, turned } from '../../core/geometry/rotation';
import type { Mesh } from '../../core/geometry/mesh';
import { meshForDrawing } from '../document/drawnMeshes';

/** From where a solid is looked at. */
export type View = 'front' | 'above';

/** A solid as it is drawn: paths around its own origin, mm, y downwards as on a screen. */
export interface Facets {
  /** Triangles that face the eye, by how much light falls on them: 0 darkest. */
  tones: string[];
  /** Edges where the surface turns away from the eye. */
  outline: string;
  /** Left, top, right, bottom. */
  box: [number, number, number, number];
}

/** Steps of light. */
export const TONES = 5;
/** Light comes from the upper left, a little from the front. */
const LIGHT = [-0.46, -0.5, 0.73];

const cache = new WeakMap<Mesh, Map<string, Facets>>();

/** The facets of a turned shape. Remembered by its surface, so that moving a piece costs nothing. */
export function facetsOf(
  shape: Shape,
  turnDeg: number,
  tiltDeg: readonly [number, number] | undefined,
  view: View,
): Facets {
  const key = `${view} ${turnDeg} ${tiltDeg?.join()}`;
  const mesh = meshForDrawing(shape);
  const known = cache.get(mesh) ?? new Map<string, Facets>();
  cache.set(mesh, known);
  if (known.size > 24) known.clear();
  const facets = known.get(key) ?? draw(mesh, turnDeg, tiltDeg, view);
  known.set(key, facets);
  return facets;
}

function draw(
  mesh: Mesh,
  turnDeg: number,
  tiltDeg: readonly [number, number] | undefined,
  view: View,
): Facets {
  const v = turned(mesh.vertices, rotation(turnDeg, tiltDeg));
  const { faces } = mesh;
  const down = view === 'front' ? 2 : 1;
  const at = (i: number) => `${v[i * 3].toFixed(1)} ${(-v[i * 3 + down]).toFixed(1)}`;
  const tones = Array.from({ length: TONES }, () => [] as { depth: number; d: string }[]);
  const count = v.length / 3;
  const facing = new Map<number, boolean>();
  for (let f = 0; f < faces.length; f += 3) {
    const [a, b, c] = [faces[f], faces[f + 1], faces[f + 2]];
    const n = normal(v, a, b, c);
    const seen = view === 'front' ? n[1] < 0 : n[2] > 0;
    for (const [p, q] of [
      [a, b],
      [b, c],
      [c, a],
    ])
      facing.set(p * count + q, seen);
    if (!seen) continue;
    const light = n[0] * LIGHT[0] + n[1] * LIGHT[1] + n[2] * LIGHT[2];
    const tone = Math.min(TONES - 1, Math.max(0, Math.floor(((light + 0.55) / 1.5) * TONES)));
    const depth = view === 'front' ? -v[a * 3 + 1] : v[a * 3 + 2];
    tones[tone].push({ depth, d: `M${at(a)}L${at(b)}L${at(c)}Z` });
  }
  let outline = '';
  for (const [edge, seen] of facing) {
    const [a, b] = [Math.floor(edge / count), edge % count];
    if (seen && facing.get(b * count + a) === false) outline += `M${at(a)}L${at(b)}`;
  }
  return {
    tones: tones.map((list) =>
      list
        .sort((p, q) => p.depth - q.depth)
        .map((t) => t.d)
        .join(''),
    ),
    outline,
    box: boxOf(v, down),
  };
}

function normal(v: Float64Array, a: number, b: number, c: number): [number, number, number] {
  const [ux, uy, uz] = [0, 1, 2].map((i) => v[b * 3 + i] - v[a * 3 + i]);
  const [wx, wy, wz] = [0, 1, 2].map((i) => v[c * 3 + i] - v[a * 3 + i]);
  const n = [uy * wz - uz * wy, uz * wx - ux * wz, ux * wy - uy * wx];
  const length = Math.hypot(...n) || 1;
  return [n[0] / length, n[1] / length, n[2] / length];
}

function boxOf(v: Float64Array, down: number): Facets['box'] {
  if (v.length === 0) return [0, 0, 0, 0];
  const box: Facets['box'] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let i = 0; i < v.length; i += 3) {
    box[0] = Math.min(box[0], v[i]);
    box[1] = Math.min(box[1], -v[i + down]);
    box[2] = Math.max(box[2], v[i]);
    box[3] = Math.max(box[3], -v[i + down]);
  }
  return box;
}
