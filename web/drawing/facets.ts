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
  const at = spots(v, down);
  const tones = Array.from({ length: TONES }, () => [] as { depth: number; d: string }[]);
  const seen = new Uint8Array(faces.length / 3);
  for (let f = 0; f < faces.length; f += 3) {
    const [a, b, c] = [faces[f], faces[f + 1], faces[f + 2]];
    const light = lightOn(v, a, b, c, view);
    if (light === undefined) continue;
    seen[f / 3] = 1;
    const tone = Math.min(TONES - 1, Math.max(0, Math.floor(((light + 0.55) / 1.5) * TONES)));
    const depth = view === 'front' ? -v[a * 3 + 1] : v[a * 3 + 2];
    tones[tone].push({ depth, d: `M${at(a)}L${at(b)}L${at(c)}Z` });
  }
  const beyond = neighbours(mesh);
  let outline = '';
  for (let e = 0; e < beyond.length; e++)
    if (beyond[e] >= 0 && seen[Math.floor(e / 3)] === 1 && seen[beyond[e]] === 0)
      outline += `M${at(faces[e])}L${at(faces[e % 3 === 2 ? e - 2 : e + 1])}`;
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

/** Corners as they are written, tenths of a millimetre: each is written once, however many triangles meet in it. */
function spots(v: Float64Array, down: number): (vertex: number) => string {
  const written: string[] = [];
  const tenths = (mm: number) => Math.round(mm * 10) / 10;
  return (i) => (written[i] ??= `${tenths(v[i * 3])} ${tenths(-v[i * 3 + down])}`);
}

/** How much light falls on a triangle, -1 to 1; undefined where it faces away from the eye. */
function lightOn(v: Float64Array, a: number, b: number, c: number, view: View): number | undefined {
  const [ax, ay, az] = [v[a * 3], v[a * 3 + 1], v[a * 3 + 2]];
  const [ux, uy, uz] = [v[b * 3] - ax, v[b * 3 + 1] - ay, v[b * 3 + 2] - az];
  const [wx, wy, wz] = [v[c * 3] - ax, v[c * 3 + 1] - ay, v[c * 3 + 2] - az];
  const [nx, ny, nz] = [uy * wz - uz * wy, uz * wx - ux * wz, ux * wy - uy * wx];
  if (view === 'front' ? ny >= 0 : nz <= 0) return undefined;
  return (nx * LIGHT[0] + ny * LIGHT[1] + nz * LIGHT[2]) / Math.sqrt(nx * nx + ny * ny + nz * nz);
}

/** Of each edge of each face, in their order, the face on its other side; -1 at a rim. Found once for a surface. */
function neighbours(mesh: Mesh): Int32Array {
  const there = across.get(mesh);
  if (there) return there;
  const { faces } = mesh;
  const corners = mesh.vertices.length / 3;
  const edge = (e: number, back = false) => {
    const [p, q] = [faces[e], faces[e % 3 === 2 ? e - 2 : e + 1]];
    return back ? q * corners + p : p * corners + q;
  };
  const faceAt = new Map<number, number>();
  for (let e = 0; e < faces.length; e++) faceAt.set(edge(e), Math.floor(e / 3));
  const found = Int32Array.from(faces, (_, e) => faceAt.get(edge(e, true)) ?? -1);
  across.set(mesh, found);
  return found;
}
const across = new WeakMap<Mesh, Int32Array>();

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
