import type { Shape } from './schema';

type MeshShape = Extract<Shape, { kind: 'mesh' }>;

/** The corners of a mesh shape in one flat list, x, y, z in a row, mm. */
export function verticesOf(shape: MeshShape): Float64Array {
  const out = new Float64Array(shape.vertices.length * 3);
  shape.vertices.forEach(([x, y, z], i) => out.set([x, y, z], i * 3));
  return out;
}

/** Its triangles in one flat list, three corner numbers each. */
export function facesOf(shape: MeshShape): Uint32Array {
  const out = new Uint32Array(shape.faces.length * 3);
  shape.faces.forEach(([a, b, c], i) => out.set([a, b, c], i * 3));
  return out;
}
