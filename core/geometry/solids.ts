import load from 'manifold-3d';
import type { Mesh } from './mesh';

type Corner = readonly [number, number, number];

/** Work on closed solids: hulls, unions, and cuts by a plane. Surfaces in and out are closed and wound outwards. */
export interface Solids {
  hull(points: readonly Corner[]): Mesh;
  union(meshes: readonly Mesh[]): Mesh;
  /** Both sides of a plane: first that which its normal looks to; a side that is empty has no triangles. */
  cut(mesh: Mesh, normal: Corner, offsetMm: number): [Mesh, Mesh];
}

let loaded: Promise<Solids> | undefined;

/** Loaded once, when first wanted: it is WebAssembly of a megabyte and has no place in a page. */
export function solids(): Promise<Solids> {
  return (loaded ??= opened());
}

async function opened(): Promise<Solids> {
  const library = await load();
  library.setup();
  const { Manifold, Mesh: Surface } = library;
  const taken = ({ vertices, faces }: Mesh) =>
    new Manifold(
      new Surface({
        numProp: 3,
        vertProperties: Float32Array.from(vertices),
        triVerts: Uint32Array.from(faces),
      }),
    );
  type Solid = ReturnType<typeof taken>;
  /** Back out, and what is held outside JavaScript let go. */
  const given = (solid: Solid): Mesh => {
    const { vertProperties, triVerts, numProp } = solid.getMesh();
    solid.delete();
    const count = vertProperties.length / numProp;
    const vertices = new Float64Array(count * 3);
    for (let i = 0; i < count; i++)
      for (let k = 0; k < 3; k++) vertices[i * 3 + k] = vertProperties[i * numProp + k];
    return { vertices, faces: Uint32Array.from(triVerts) };
  };
  return {
    hull: (points) => given(Manifold.hull(points.map((p) => [...p] as [number, number, number]))),
    union: (meshes) => {
      const parts = meshes.map(taken);
      const whole = Manifold.union(parts);
      for (const p of parts) p.delete();
      return given(whole);
    },
    cut: (mesh, normal, offsetMm) => {
      const whole = taken(mesh);
      const [a, b] = whole.splitByPlane([...normal], offsetMm);
      whole.delete();
      return [given(a), given(b)];
    },
  };
}
