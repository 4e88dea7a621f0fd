import { MeshoptSimplifier } from 'meshoptimizer';
import type { Mesh } from '../geometry/mesh';

/** Triangles of a mesh as it is drawn: on a screen, 600 of a stone and 20,000 look alike. */
const DRAWN_TRIANGLES = 600;
/** How far the drawn surface may be from the real one, as a share of the size; whichever comes first. */
const MOST_OFF = 0.02;

/**
 * A mesh with fewer triangles, for drawing alone: no figure is worked out from it. Corners are some of the
 * mesh's own (quadric error metrics, Garland and Heckbert 1997, as `meshoptimizer` has it).
 */
export async function drawnMesh(mesh: Mesh): Promise<Mesh> {
  if (mesh.faces.length / 3 <= DRAWN_TRIANGLES) return mesh;
  await MeshoptSimplifier.ready;
  const [fewer] = MeshoptSimplifier.simplify(
    mesh.faces,
    new Float32Array(mesh.vertices),
    3,
    DRAWN_TRIANGLES * 3,
    MOST_OFF,
  );
  return compact(mesh, fewer);
}

/** Leaves out the corners that no triangle has any more. */
function compact({ vertices }: Mesh, faces: Uint32Array): Mesh {
  const numbers = new Map<number, number>();
  const kept: number[] = [];
  const renumbered = faces.map((corner) => {
    const known = numbers.get(corner);
    if (known !== undefined) return known;
    kept.push(vertices[corner * 3], vertices[corner * 3 + 1], vertices[corner * 3 + 2]);
    numbers.set(corner, numbers.size);
    return numbers.size - 1;
  });
  return { vertices: new Float64Array(kept), faces: renumbered };
}
