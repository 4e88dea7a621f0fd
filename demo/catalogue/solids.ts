import type { Shape } from '../../core/commission/schema';

/*
 * Made-up stones and roots for the demo, as closed triangle meshes from a seed: rough enough to look at, and
 * measured like a scan would be.
 */

type Vector = [number, number, number];
type MeshShape = Extract<Shape, { kind: 'mesh' }>;

/** Repeatable numbers from 0 to 1 (mulberry32). */
export function seeded(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const tenths = (v: number) => Math.round(v * 10) / 10;

/** An icosphere: each of 20 triangles cut into four, as often as asked. */
function icosphere(cuts: number): { vertices: Vector[]; faces: Vector[] } {
  const t = (1 + Math.sqrt(5)) / 2;
  const vertices: Vector[] = [
    [-1, t, 0],
    [1, t, 0],
    [-1, -t, 0],
    [1, -t, 0],
    [0, -1, t],
    [0, 1, t],
    [0, -1, -t],
    [0, 1, -t],
    [t, 0, -1],
    [t, 0, 1],
    [-t, 0, -1],
    [-t, 0, 1],
  ];
  let faces: Vector[] = [
    [0, 11, 5],
    [0, 5, 1],
    [0, 1, 7],
    [0, 7, 10],
    [0, 10, 11],
    [1, 5, 9],
    [5, 11, 4],
    [11, 10, 2],
    [10, 7, 6],
    [7, 1, 8],
    [3, 9, 4],
    [3, 4, 2],
    [3, 2, 6],
    [3, 6, 8],
    [3, 8, 9],
    [4, 9, 5],
    [2, 4, 11],
    [6, 2, 10],
    [8, 6, 7],
    [9, 8, 1],
  ];
  for (let cut = 0; cut < cuts; cut++) {
    const middle = new Map<string, number>();
    const between = (a: number, b: number) => {
      const key = a < b ? `${a},${b}` : `${b},${a}`;
      const known = middle.get(key);
      if (known !== undefined) return known;
      vertices.push([0, 1, 2].map((i) => (vertices[a][i] + vertices[b][i]) / 2) as Vector);
      middle.set(key, vertices.length - 1);
      return vertices.length - 1;
    };
    faces = faces.flatMap(([a, b, c]): Vector[] => {
      const [ab, bc, ca] = [between(a, b), between(b, c), between(c, a)];
      return [
        [a, ab, ca],
        [b, bc, ab],
        [c, ca, bc],
        [ab, bc, ca],
      ];
    });
  }
  return {
    vertices: vertices.map((v) => {
      const length = Math.hypot(...v);
      return v.map((x) => x / length) as Vector;
    }),
    faces,
  };
}

export interface StoneLook {
  seed: number;
  sizeMm: Vector;
  /** How many flat faces are broken off, and how far the top narrows, 0 to 1. */
  breaks?: number;
  taper?: number;
}

/** A broken stone: a ball, roughened, cut by planes, narrowed upward, brought to its size. */
export function stone({ seed, sizeMm, breaks = 14, taper = 0.4 }: StoneLook): MeshShape {
  const random = seeded(seed);
  const { vertices, faces } = icosphere(2);
  const planes = Array.from({ length: breaks }, () => {
    const around = random() * 2 * Math.PI;
    // Mostly upright faces: slate breaks along its grain.
    const up = (random() - 0.4) * 1.1;
    const flat = Math.sqrt(Math.max(0, 1 - up * up));
    return { n: [Math.cos(around) * flat, Math.sin(around) * flat, up] as Vector, d: 0.4 + random() * 0.32 };
  });
  const shift = (random() - 0.5) * 0.7;
  const rough = vertices.map((v): Vector => {
    let p: Vector = v.map((x) => x * (1 + (random() - 0.5) * 0.07)) as Vector;
    for (const { n, d } of planes) {
      const out = p[0] * n[0] + p[1] * n[1] + p[2] * n[2] - d;
      if (out > 0) p = p.map((x, i) => x - out * n[i]) as Vector;
    }
    const height = Math.max(0, (p[2] + 1) / 2);
    // Broad below, drawn in towards the top.
    const narrow = 1 - taper * height ** 1.2;
    return [p[0] * narrow + shift * height * taper, p[1] * narrow, p[2]];
  });
  return fitted(rough, faces, sizeMm);
}

export interface Limb {
  /** Points along the middle, mm, with the thickness at each. */
  path: [number, number, number, number][];
}

/** A root of several limbs, each a tube of seven sides that wanders a little between its points. */
export function root(seed: number, limbs: readonly Limb[]): MeshShape {
  const random = seeded(seed);
  const vertices: Vector[] = [];
  const faces: Vector[] = [];
  for (const limb of limbs) addTube(vertices, faces, finer(limb.path, random));
  return { kind: 'mesh', vertices: vertices.map((v) => v.map(tenths) as Vector), faces };
}

/** More points along a limb, on a smooth curve through the given ones, each a little off it. */
function finer(path: Limb['path'], random: () => number): Limb['path'] {
  const out: Limb['path'] = [];
  for (let i = 0; i < path.length - 1; i++) {
    const [p0, p1, p2, p3] = [
      path[Math.max(0, i - 1)],
      path[i],
      path[i + 1],
      path[Math.min(path.length - 1, i + 2)],
    ];
    for (let s = 0; s < 4; s++) {
      const t = s / 4;
      // Catmull-Rom spline.
      const at = (k: number) =>
        0.5 *
        (2 * p1[k] +
          (p2[k] - p0[k]) * t +
          (2 * p0[k] - 5 * p1[k] + 4 * p2[k] - p3[k]) * t * t +
          (3 * p1[k] - p0[k] - 3 * p2[k] + p3[k]) * t ** 3);
      const off = (k: number) => at(k) + (random() - 0.5) * at(3) * 0.35;
      out.push([off(0), off(1), off(2), Math.max(1.5, at(3) * (0.88 + random() * 0.24))]);
    }
  }
  out.push(path[path.length - 1]);
  return out;
}

const SIDES = 7;

function addTube(vertices: Vector[], faces: Vector[], path: Limb['path']): void {
  const start = vertices.length;
  const last = path.length - 1;
  vertices.push(path[0].slice(0, 3) as Vector);
  path.forEach((p, i) => {
    const [a, b] = [path[Math.max(0, i - 1)], path[Math.min(last, i + 1)]];
    const along = unit([b[0] - a[0], b[1] - a[1], b[2] - a[2]]);
    const side = unit(cross(along, Math.abs(along[2]) > 0.9 ? [1, 0, 0] : [0, 0, 1]));
    const up = cross(side, along);
    for (let k = 0; k < SIDES; k++) {
      const angle = (2 * Math.PI * k) / SIDES;
      const [c, s] = [Math.cos(angle) * (p[3] / 2), Math.sin(angle) * (p[3] / 2)];
      vertices.push([0, 1, 2].map((j) => p[j] + c * side[j] + s * up[j]) as Vector);
    }
  });
  vertices.push(path[last].slice(0, 3) as Vector);
  const ring = (i: number, k: number) => start + 1 + i * SIDES + (k % SIDES);
  const end = vertices.length - 1;
  for (let k = 0; k < SIDES; k++) {
    faces.push([start, ring(0, k), ring(0, k + 1)]);
    for (let i = 0; i < last; i++) {
      faces.push(
        [ring(i, k), ring(i + 1, k), ring(i + 1, k + 1)],
        [ring(i, k), ring(i + 1, k + 1), ring(i, k + 1)],
      );
    }
    faces.push([end, ring(last, k + 1), ring(last, k)]);
  }
}

function cross(a: Vector, b: Vector): Vector {
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}

function unit(v: Vector): Vector {
  const length = Math.hypot(...v) || 1;
  return [v[0] / length, v[1] / length, v[2] / length];
}

/** Brought to a size, its middle at the origin. */
function fitted(vertices: Vector[], faces: Vector[], sizeMm: Vector): MeshShape {
  const lo = [0, 1, 2].map((i) => Math.min(...vertices.map((v) => v[i])));
  const hi = [0, 1, 2].map((i) => Math.max(...vertices.map((v) => v[i])));
  const fit = (v: Vector) =>
    v.map((x, i) => tenths(((x - lo[i]) / (hi[i] - lo[i]) - 0.5) * sizeMm[i])) as Vector;
  return { kind: 'mesh', vertices: vertices.map(fit), faces };
}
