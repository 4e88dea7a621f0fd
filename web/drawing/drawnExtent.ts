import type { Shape } from '../../core/commission/schema';
import type { Mesh } from '../../core/geometry/mesh';
import { rotation } from '../../core/geometry/rotation';
import { extentOf, extentOfMesh, type Extent } from '../../core/hardscape/extent';
import { meshForDrawing } from '../document/drawnMeshes';

/** How far each drawn surface reaches, by its turn: a surface does not change. */
const reaches = new WeakMap<Mesh, Map<number, Extent>>();

/** How far a turned shape reaches as it is drawn, mm; a scan that is not there yet reaches as far as its sizes. */
export function drawnExtent(shape: Shape, turnDeg: number): Extent {
  const mesh = meshForDrawing(shape);
  if (mesh.vertices.length === 0 && shape.kind === 'scan')
    return extentOf({ kind: 'box', sizeMm: shape.sizeMm }, rotation(turnDeg));
  const known = reaches.get(mesh) ?? new Map<number, Extent>();
  reaches.set(mesh, known);
  const extent = known.get(turnDeg) ?? extentOfMesh(mesh, rotation(turnDeg));
  known.set(turnDeg, extent);
  return extent;
}
