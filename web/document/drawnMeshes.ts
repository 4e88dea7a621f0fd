import { shallowReactive } from 'vue';
import type { Option, Shape } from '../../core/commission/schema';
import { meshOfBytes } from '../../core/exchange/meshBlob';
import type { Mesh } from '../../core/geometry/mesh';
import { solidMesh } from '../../core/hardscape/solid';

/*
 * Surfaces as they are drawn. A scan is fetched with fewer triangles when it is drawn for the first time, and
 * whoever draws it draws again when it is there. No figure comes from these: those come from the worker.
 */

const drawn = shallowReactive(new Map<string, Mesh>());
const asked = new Set<string>();
/** The commission that is drawn: the server gives the scans of that one. */
let whose = '';
const NOTHING: Mesh = { vertices: new Float64Array(0), faces: new Uint32Array(0) };

/** The surface of a shape for drawing: of a scan nothing until it is there, its sizes as a block if it never comes. */
export function meshForDrawing(shape: Shape): Mesh {
  if (shape.kind !== 'scan') return solidMesh(shape);
  const mesh = drawn.get(shape.mesh);
  if (mesh) return mesh;
  if (!asked.has(shape.mesh)) {
    asked.add(shape.mesh);
    void fetched(shape.mesh).then(
      (mesh) => drawn.set(shape.mesh, mesh),
      () => drawn.set(shape.mesh, solidMesh({ kind: 'box', sizeMm: shape.sizeMm })),
    );
  }
  return NOTHING;
}

/** Asks for the scans of an option before anything is drawn of it: they come while its figures are worked out. */
export function fetchAhead(commission: string, { pieces }: Pick<Option, 'pieces'>): void {
  whose = commission;
  for (const { shape } of pieces) if (shape.kind === 'scan') meshForDrawing(shape);
}

async function fetched(name: string): Promise<Mesh> {
  const answer = await fetch(`/api/meshes/${name}/drawn?of=${encodeURIComponent(whose)}`);
  if (!answer.ok) throw new Error(`${answer.status}`);
  return meshOfBytes(new Uint8Array(await answer.arrayBuffer()));
}
