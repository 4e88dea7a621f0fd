import { seeded } from '../geometry/seeded';
import { rotation, turned } from '../geometry/rotation';
import { solidMesh } from '../hardscape/solid';
import type { Standing } from '../hardscape/settle';
import { onFloor, surfaceAt, type BedField } from '../substrate/bedField';
import { inRoom, normalsAt } from './picked';
import type { Spots } from './positions';

/** Spots on a piece, with the way its surface looks at each. */
export interface SurfaceSpots {
  spots: Spots;
  normals: Float64Array;
}

/** Faces that look down hold nothing; the more a face looks up the likelier it is chosen. */
const LEAST_UP = 0.15;
/** Candidates for each spot, of which the one farthest from the others is taken (Mitchell 1991, from memory). */
const CANDIDATES = 12;

/**
 * Where epiphytes and mosses go on a piece: on faces that look up, above the bed, between two heights, apart from each other.
 * The same seed gives the same spots; fewer where the piece has no such face.
 *
 * @param betweenMm lowest and highest that they may sit: below the water line, or for what grows in air above it
 * @param at spots that were chosen one by one, as the piece has them: these come first, wherever they are
 */
export function spotsOnPiece(
  own: Standing,
  field: BedField,
  count: number,
  seed: number,
  [lowMm, highMm]: readonly [number, number] = [0, Infinity],
  at: readonly (readonly [number, number, number])[] = [],
): SurfaceSpots {
  const { piece, xMm, yMm, zMm } = own;
  const { vertices, faces } = solidMesh(piece.shape);
  const v = turned(vertices, rotation(piece.turnDeg, piece.tiltDeg));
  const chosen: { face: number; upTo: number; normal: [number, number, number] }[] = [];
  let area = 0;
  for (let f = 0; f < faces.length; f += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => v.subarray(faces[f + k] * 3, faces[f + k] * 3 + 3));
    const u = [0, 1, 2].map((k) => b[k] - a[k]);
    const w = [0, 1, 2].map((k) => c[k] - a[k]);
    const n = [u[1] * w[2] - u[2] * w[1], u[2] * w[0] - u[0] * w[2], u[0] * w[1] - u[1] * w[0]];
    const long = Math.hypot(...n) || 1;
    if (n[2] / long < LEAST_UP) continue;
    area += (long / 2) * (n[2] / long);
    chosen.push({ face: f, upTo: area, normal: n.map((x) => x / long) as [number, number, number] });
  }
  const random = seeded(seed);
  const draw = () => {
    const at = random() * area;
    const { face, normal } = chosen.find((t) => t.upTo >= at) ?? chosen[chosen.length - 1];
    let [s, t] = [random(), random()];
    if (s + t > 1) [s, t] = [1 - s, 1 - t];
    const [a, b, c] = [0, 1, 2].map((k) => v.subarray(faces[face + k] * 3, faces[face + k] * 3 + 3));
    const spot = [0, 1, 2].map((k) => a[k] + s * (b[k] - a[k]) + t * (c[k] - a[k]) + [xMm, yMm, zMm][k]);
    const free =
      spot[2] >= lowMm &&
      spot[2] <= highMm &&
      onFloor(field, spot[0], spot[1]) &&
      spot[2] > surfaceAt(field, spot[0], spot[1]) + 4;
    return free ? { spot, normal } : undefined;
  };
  const kept = pickedSpots(own, at.slice(0, count));
  while (chosen.length > 0 && kept.length < count) {
    let best: { spot: number[]; normal: number[]; far: number } | undefined;
    for (let k = 0; k < CANDIDATES; k++) {
      const found = draw();
      if (!found) continue;
      const far = Math.min(
        Infinity,
        ...kept.map((o) => Math.hypot(...o.spot.map((x, i) => x - found.spot[i]))),
      );
      if (!best || far > best.far) best = { ...found, far };
    }
    if (!best) break;
    kept.push(best);
  }
  return {
    spots: Float64Array.from(kept.flatMap((k) => k.spot)),
    normals: Float64Array.from(kept.flatMap((k) => k.normal)),
  };
}

function pickedSpots(own: Standing, at: readonly (readonly [number, number, number])[]) {
  const spots = inRoom(own, at);
  const normals = at.length > 0 ? normalsAt(own, spots) : spots;
  return at.map((_, i): { spot: number[]; normal: number[] } => ({
    spot: [...spots.subarray(i * 3, i * 3 + 3)],
    normal: [...normals.subarray(i * 3, i * 3 + 3)],
  }));
}
