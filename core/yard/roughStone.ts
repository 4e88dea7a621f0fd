import { divided } from '../geometry/divide';
import { meshVolume, type Mesh } from '../geometry/mesh';
import { seeded } from '../geometry/seeded';

/** A share of its box that a stone may fill: an octahedron has a sixth, a rough block four fifths. */
export const FILLS = { least: 0.2, usual: 0.5, most: 0.78 } as const;

/** Times a ball's triangles are divided, and how far its surface goes in and out, share of its radius. */
const DIVISIONS = 2;
const ROUGH = 0.09;
/** Exponents of the curve |x|ᵖ + |y|ᵖ + |z|ᵖ = 1 between which the fill is looked for. */
const [SPIKY, BLOCKY] = [0.75, 30];
const CLOSE = 1e-4;

/**
 * A plausible stone of three sizes that fills a share of its box: a superellipsoid whose exponent gives that share,
 * roughened, fitted into the sizes exactly. The same seed gives the same stone.
 * Valid for shares from 0.2 to 0.78. Leaves out: what the stone really looks like.
 * Test: yard.test.ts, "has the sizes and the litres that were asked for".
 */
export function roughStone(sizeMm: readonly [number, number, number], fill: number, seed: number): Mesh {
  const wanted = Math.min(Math.max(fill, FILLS.least), FILLS.most);
  const ball = dividedBall();
  const bumps = bumpsOf(ball.vertices.length / 3, seed, roughness(wanted));
  const box = sizeMm[0] * sizeMm[1] * sizeMm[2];
  let [low, high] = [SPIKY, BLOCKY];
  let mesh = shaped(ball, bumps, 2, sizeMm);
  for (let i = 0; i < 60 && high - low > 1e-3; i++) {
    const middle = (low + high) / 2;
    mesh = shaped(ball, bumps, middle, sizeMm);
    const share = meshVolume(mesh) / box;
    if (Math.abs(share - wanted) < CLOSE) break;
    if (share < wanted) low = middle;
    else high = middle;
  }
  return mesh;
}

/** A ball as a curve of an exponent, roughened and fitted into a box around its middle. */
function shaped(ball: Mesh, bumps: Float64Array, p: number, sizeMm: readonly number[]): Mesh {
  const v = new Float64Array(ball.vertices.length);
  const [lo, hi] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (let i = 0; i < v.length; i += 3) {
    const [x, y, z] = [ball.vertices[i], ball.vertices[i + 1], ball.vertices[i + 2]];
    const r = (Math.abs(x) ** p + Math.abs(y) ** p + Math.abs(z) ** p) ** (-1 / p) * bumps[i / 3];
    v.set([x * r, y * r, z * r], i);
    for (let k = 0; k < 3; k++) {
      lo[k] = Math.min(lo[k], v[i + k]);
      hi[k] = Math.max(hi[k], v[i + k]);
    }
  }
  for (let i = 0; i < v.length; i++) {
    const k = i % 3;
    v[i] = ((v[i] - (lo[k] + hi[k]) / 2) / (hi[k] - lo[k])) * sizeMm[k];
  }
  return { vertices: v, faces: ball.faces };
}

/** What fills its box has no room for bumps. */
function roughness(fill: number): number {
  return ROUGH * Math.min(1, Math.max(0.05, (0.82 - fill) / 0.35));
}

function bumpsOf(count: number, seed: number, rough: number): Float64Array {
  const random = seeded(seed);
  return Float64Array.from({ length: count }, () => 1 + (random() - 0.5) * 2 * rough);
}

/** An octahedron whose triangles are divided and brought out to the ball. */
function dividedBall(): Mesh {
  let ball: Mesh = {
    vertices: new Float64Array([1, 0, 0, -1, 0, 0, 0, 1, 0, 0, -1, 0, 0, 0, 1, 0, 0, -1]),
    faces: new Uint32Array([0, 2, 4, 2, 1, 4, 1, 3, 4, 3, 0, 4, 2, 0, 5, 1, 2, 5, 3, 1, 5, 0, 3, 5]),
  };
  for (let n = 0; n < DIVISIONS; n++) ball = divided(ball);
  const { vertices } = ball;
  for (let i = 0; i < vertices.length; i += 3) {
    const length = Math.hypot(vertices[i], vertices[i + 1], vertices[i + 2]);
    for (let k = 0; k < 3; k++) vertices[i + k] /= length;
  }
  return ball;
}
