import { FillRule, simplifyPathsD, unionD, type PathsD } from 'clipper2-ts';
import type { Mesh } from '../geometry/mesh';
import { ringOf } from '../geometry/paths';
import type { Point } from '../geometry/polygon';
import { turned } from '../geometry/rotation';

/** Digits that outlines keep, mm, and how far they may be off where they are thinned, mm. */
const DIGITS = 2;
const THIN_MM = 0.2;

/**
 * The outline of a turned solid as it is seen from far off: rings around its own origin, mm; inner ones run the other way.
 * Valid for closed surfaces. Leaves out: perspective.
 * Test: silhouette.test.ts, "of a turned block is its box seen from there".
 */
export function silhouette(mesh: Mesh, turn: readonly number[], view: 'above' | 'front'): Point[][] {
  const v = turned(mesh.vertices, turn as Parameters<typeof turned>[1]);
  const up = view === 'above' ? 1 : 2;
  const triangles: PathsD = [];
  for (let f = 0; f < mesh.faces.length; f += 3) {
    const corners = [0, 1, 2].map((k) => {
      const i = mesh.faces[f + k] * 3;
      return { x: v[i], y: v[i + up] };
    });
    const [a, b, c] = corners;
    // Of a closed surface what faces the eye covers what faces away.
    if ((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x) > 0) triangles.push(corners);
  }
  const whole = unionD(triangles, [], FillRule.NonZero, DIGITS);
  return simplifyPathsD(whole, THIN_MM).map(ringOf);
}
