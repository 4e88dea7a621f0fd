import type { Shape } from '../../core/commission/schema';
import { rotation, turned } from '../../core/geometry/rotation';
import type { Mesh } from '../../core/geometry/mesh';
import { meshForDrawing } from '../document/drawnMeshes';

/**
 * Where an upright plane at `xMm` (from the shape's own origin) cuts a turned solid: closed rings of y, z in
 * mm. Each triangle that crosses the plane gives one step from edge to edge; the steps are strung together.
 */
export function sliceAt(
  shape: Shape,
  turnDeg: number,
  tiltDeg: readonly [number, number] | undefined,
  xMm: number,
): Ring[] {
  const key = `${turnDeg} ${tiltDeg?.join(' ')} ${xMm}`;
  const mesh = meshForDrawing(shape);
  // Two pieces may have one surface: what is kept is of each shape, and of the surface it had then.
  const known = cuts.get(shape);
  if (known?.mesh === mesh && known.key === key) return known.rings;
  const rings = cutAt(mesh, turnDeg, tiltDeg, xMm);
  cuts.set(shape, { mesh, key, rings });
  return rings;
}

type Ring = [number, number][];

/** Each shape as it was last cut: a piece that neither moved nor was cut elsewhere is not cut again. */
const cuts = new WeakMap<Shape, { mesh: Mesh; key: string; rings: Ring[] }>();

function cutAt(
  { vertices, faces }: Mesh,
  turnDeg: number,
  tiltDeg: readonly [number, number] | undefined,
  xMm: number,
): Ring[] {
  const v = turned(vertices, rotation(turnDeg, tiltDeg));
  const count = v.length / 3;
  const next = new Map<number, { to: number; point: [number, number] }>();
  for (let f = 0; f < faces.length; f += 3) {
    const corners = [faces[f], faces[f + 1], faces[f + 2]];
    let enter: number | undefined;
    let leave: number | undefined;
    for (let k = 0; k < 3; k++) {
      const [a, b] = [corners[k], corners[(k + 1) % 3]];
      const [da, db] = [v[a * 3] - xMm, v[b * 3] - xMm];
      const name = Math.min(a, b) * count + Math.max(a, b);
      // A corner exactly in the plane counts as lying to its right.
      if (da < 0 && db >= 0) enter = name;
      if (da >= 0 && db < 0) leave = name;
    }
    if (enter !== undefined && leave !== undefined)
      next.set(enter, { to: leave, point: crossing(v, enter, count, xMm) });
  }
  return strung(next);
}

function crossing(v: Float64Array, name: number, count: number, x: number): [number, number] {
  const [a, b] = [Math.floor(name / count) * 3, (name % count) * 3];
  const t = (x - v[a]) / (v[b] - v[a]);
  return [v[a + 1] + t * (v[b + 1] - v[a + 1]), v[a + 2] + t * (v[b + 2] - v[a + 2])];
}

function strung(next: Map<number, { to: number; point: [number, number] }>): [number, number][][] {
  const rings: [number, number][][] = [];
  while (next.size > 0) {
    let [name] = next.keys();
    const ring: [number, number][] = [];
    for (let step = next.get(name); step; step = next.get(name)) {
      next.delete(name);
      ring.push(step.point);
      name = step.to;
    }
    if (ring.length > 2) rings.push(ring);
  }
  return rings;
}
