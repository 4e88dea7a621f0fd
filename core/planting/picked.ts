import type { Joint } from '../commission/schema';
import { rotation, turned } from '../geometry/rotation';
import { topAt } from '../hardscape/pocket';
import type { Standing } from '../hardscape/settle';
import { solidMesh } from '../hardscape/solid';

type Spot = readonly [number, number, number];

/** A spot of the room as a piece has it before it is turned, whole millimetres: it goes along with the piece. */
export function toPiece({ piece, xMm, yMm, zMm }: Standing, [x, y, z]: Spot): [number, number, number] {
  const m = rotation(piece.turnDeg, piece.tiltDeg);
  const [a, b, c] = [x - xMm, y - yMm, z - zMm];
  // A turn is undone by its matrix read down instead of across.
  return [0, 1, 2].map((k) => Math.round(m[k] * a + m[3 + k] * b + m[6 + k] * c) || 0) as [number, number, number]; // prettier-ignore
}

/** Spots of a piece where they are in the room, x, y and z of each. */
export function inRoom({ piece, xMm, yMm, zMm }: Standing, at: readonly Spot[]): Float64Array {
  const spots = turned(Float64Array.from(at.flat()), rotation(piece.turnDeg, piece.tiltDeg));
  for (let i = 0; i < spots.length; i += 3) {
    spots[i] += xMm;
    spots[i + 1] += yMm;
    spots[i + 2] += zMm;
  }
  return spots;
}

/** Where a finger that comes straight down meets a piece; undefined beside it. */
export function touchedFromAbove(own: Standing, x: number, y: number): Spot | undefined {
  const z = topAt(own, x, y);
  return z === undefined ? undefined : [x, y, z];
}

/** Where a finger that comes from the front at a height meets a piece; undefined beside it. */
export function touchedFromFront(own: Standing, x: number, z: number): Spot | undefined {
  const { columns: c, xMm, yMm, zMm } = own;
  const u = Math.round((x - xMm - c.x0) / c.dxMm);
  if (u < 0 || u >= c.columns) return undefined;
  for (let row = 0; row < c.rows; row++) {
    const cell = row * c.columns + u;
    for (let n = c.first[cell]; n < c.first[cell + 1]; n++)
      if (z >= c.lo[n] + zMm && z <= c.hi[n] + zMm) return [x, yMm + c.y0 + (row - 0.5) * c.dyMm, z];
  }
  return undefined;
}

/** A spot on a piece as a planting keeps it. */
export interface Touched {
  piece: string;
  at: [number, number, number];
}

/** The piece that a finger meets first: from above at (x, y), from the front at (x, z). */
export function touched(
  standing: readonly Standing[],
  from: 'above' | 'front',
  u: number,
  v: number,
): Touched | undefined {
  const meets = standing.flatMap((own) => {
    const spot = from === 'above' ? touchedFromAbove(own, u, v) : touchedFromFront(own, u, v);
    return spot ? [{ own, spot }] : [];
  });
  const nearest = (spot: Spot) => (from === 'above' ? -spot[2] : spot[1]);
  const [first] = meets.sort((a, b) => nearest(a.spot) - nearest(b.spot));
  return first && { piece: first.own.piece.id, at: toPiece(first.own, first.spot) };
}

/** A look that ends so near to a piece has met it, mm: pieces are drawn a little rougher than they are. */
const MEETS_MM = 12;

/** The piece at a spot of the room, as a look from a seat meets it. */
export function touchedAt(standing: readonly Standing[], spot: Spot): Touched | undefined {
  const near = standing.map((own) => ({ own, far: awayFrom(own, ...spot) })).sort((a, b) => a.far - b.far)[0];
  return near && near.far <= MEETS_MM ? { piece: near.own.piece.id, at: toPiece(near.own, spot) } : undefined;
}

/** Which way the surface of a piece looks at some spots of the room: as its nearest face does. */
export function normalsAt({ piece, xMm, yMm, zMm }: Standing, spots: Float64Array): Float64Array {
  const { vertices, faces } = solidMesh(piece.shape);
  const v = turned(vertices, rotation(piece.turnDeg, piece.tiltDeg));
  const best = new Float64Array(spots.length / 3).fill(Infinity);
  const normals = new Float64Array(spots.length);
  for (let f = 0; f < faces.length; f += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => v.subarray(faces[f + k] * 3, faces[f + k] * 3 + 3));
    const [u, w] = [b, c].map((p) => p.map((x, k) => x - a[k]));
    const n = [u[1] * w[2] - u[2] * w[1], u[2] * w[0] - u[0] * w[2], u[0] * w[1] - u[1] * w[0]];
    const long = Math.hypot(...n) || 1;
    for (let s = 0; s < best.length; s++) {
      const d = [0, 1, 2].map((k) => spots[s * 3 + k] - [xMm, yMm, zMm][k] - (a[k] + b[k] + c[k]) / 3);
      // Near the face, and in its plane.
      const far = Math.hypot(...d) + (2 * Math.abs(d[0] * n[0] + d[1] * n[1] + d[2] * n[2])) / long;
      if (far >= best[s]) continue;
      best[s] = far;
      normals.set(
        n.map((x) => x / long),
        s * 3,
      );
    }
  }
  return normals;
}

/** A joint as a place to hide: on which piece, and where. */
export interface Hide {
  joint: string;
  on: string;
  at: [number, number, number];
}

/**
 * Glued joints that a plant can hide: the upper side of the lower piece where the other comes nearest to it.
 * Valid for pieces cut into columns, to about one of them. Leaves out: joints of pieces that do not stand.
 * Test: picked.test.ts, "are offered where two pieces meet".
 */
export function jointsToHide(joints: readonly Joint[], standing: readonly Standing[]): Hide[] {
  const byId = new Map(standing.map((s) => [s.piece.id, s]));
  return joints.flatMap(({ id, pieces, method }): Hide[] => {
    if (method === 'wedge') return [];
    const all = pieces.flatMap((p) => byId.get(p) ?? []);
    return all.slice(1).flatMap((other): Hide[] => {
      const near = nearestTop(all[0], other);
      return near ? [{ joint: id, on: near.on.piece.id, at: toPiece(near.on, near.spot) }] : [];
    });
  });
}

/** The top of one of two pieces that is nearest to the other from outside: where a joint is seen. */
function nearestTop(a: Standing, b: Standing): { on: Standing; spot: Spot } | undefined {
  let best: { on: Standing; spot: Spot; far: number } | undefined;
  for (const [own, other] of [
    [a, b],
    [b, a],
  ]) {
    const { columns: c, xMm, yMm } = own;
    const stepX = Math.max(1, Math.floor(c.columns / 40));
    const stepY = Math.max(1, Math.floor(c.rows / 40));
    for (let row = 0; row < c.rows; row += stepY)
      for (let column = 0; column < c.columns; column += stepX) {
        const [x, y] = [xMm + c.x0 + column * c.dxMm, yMm + c.y0 + row * c.dyMm];
        const z = topAt(own, x, y);
        const above = topAt(other, x, y);
        // Under the other piece nobody reaches it.
        if (z === undefined || (above !== undefined && above >= z)) continue;
        const far = awayFrom(other, x, y, z);
        if (!best || far < best.far) best = { on: own, spot: [x, y, z], far };
      }
  }
  return best;
}

/** Columns farther off than this are not asked, mm. */
const REACH_MM = 40;

/** How far a spot is from a piece, as far as its columns around it tell, mm. */
function awayFrom({ columns: c, xMm, yMm, zMm }: Standing, x: number, y: number, z: number): number {
  let least = Infinity;
  const [u0, w0] = [Math.round((x - xMm - c.x0) / c.dxMm), Math.round((y - yMm - c.y0) / c.dyMm)];
  const reach = Math.ceil(REACH_MM / Math.min(c.dxMm, c.dyMm));
  for (let w = Math.max(0, w0 - reach); w <= Math.min(c.rows - 1, w0 + reach); w++)
    for (let u = Math.max(0, u0 - reach); u <= Math.min(c.columns - 1, u0 + reach); u++) {
      const cell = w * c.columns + u;
      const beside = Math.hypot((u - u0) * c.dxMm, (w - w0) * c.dyMm);
      if (beside >= least) continue;
      for (let n = c.first[cell]; n < c.first[cell + 1]; n++)
        least = Math.min(least, Math.hypot(beside, Math.max(0, c.lo[n] + zMm - z, z - c.hi[n] - zMm)));
    }
  return least;
}
