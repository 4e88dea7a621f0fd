import { shallowReactive } from 'vue';
import type { Option, Shape } from '../../core/commission/schema';
import type { Mesh } from '../../core/geometry/mesh';
import { solidMesh } from '../../core/hardscape/solid';
import { fetchMeshes } from '../workers/fetchMeshes';

type Scanned = Extract<Shape, { kind: 'scan' }>;

/*
 * Surfaces as they are drawn. A scan is fetched with fewer triangles when it is drawn for the first time, and
 * whoever draws it draws again when it is there. No figure comes from these: those come from the worker.
 */

const drawn = shallowReactive(new Map<string, Mesh>());
const asked = new Set<string>();
const wanted: Scanned[] = [];
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
    if (wanted.push(shape) === 1) queueMicrotask(() => void fetchWanted());
  }
  return NOTHING;
}

/** Asks for the scans of an option before anything is drawn of it: they come while its figures are worked out. */
export function fetchAhead(commission: string, { pieces }: Pick<Option, 'pieces'>): void {
  whose = commission;
  for (const { shape } of pieces) if (shape.kind === 'scan') meshForDrawing(shape);
}

/** All that were asked for in one go, in one request. */
async function fetchWanted(): Promise<void> {
  const these = wanted.splice(0);
  const meshes = await fetchMeshes(whose, 'drawn', these.map((s) => s.mesh)); // prettier-ignore
  for (const { mesh, sizeMm } of these)
    drawn.set(mesh, meshes.get(mesh) ?? solidMesh({ kind: 'box', sizeMm }));
}
