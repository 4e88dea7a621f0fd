import type { Mesh } from './mesh';

/** A surface with each triangle cut into four at the middles of its edges: the same surface, in finer pieces. */
export function divided({ vertices, faces }: Mesh): Mesh {
  const count = vertices.length / 3;
  const v = Array.from(vertices);
  const known = new Map<number, number>();
  const between = (a: number, b: number): number => {
    const key = Math.min(a, b) * count + Math.max(a, b);
    const old = known.get(key);
    if (old !== undefined) return old;
    for (let k = 0; k < 3; k++) v.push((vertices[a * 3 + k] + vertices[b * 3 + k]) / 2);
    known.set(key, v.length / 3 - 1);
    return v.length / 3 - 1;
  };
  const f = new Uint32Array(faces.length * 4);
  for (let i = 0; i < faces.length; i += 3) {
    const [a, b, c] = [faces[i], faces[i + 1], faces[i + 2]];
    const [ab, bc, ca] = [between(a, b), between(b, c), between(c, a)];
    f.set([a, ab, ca, ab, b, bc, ca, bc, c, ab, bc, ca], i * 4);
  }
  return { vertices: new Float64Array(v), faces: f };
}
