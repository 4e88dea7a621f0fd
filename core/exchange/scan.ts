import type { Scan } from '../commission/schema';
import { solidFault, type Mesh } from '../geometry/mesh';
import { rotation } from '../geometry/rotation';
import { columnsOf } from '../hardscape/columns';
import { extentOf } from '../hardscape/extent';
import { exactVolumeMm3 } from '../hardscape/solid';
import { holdMesh } from '../hardscape/heldMeshes';
import { MM3_PER_L } from '../units/volume';
import { inMm } from '../words/measure';
import { say, type Text } from '../words/text';
import { meshName, meshOfBytes, NotAMesh } from './meshBlob';

/** Triangles of one scan at most, and how far a corner may lie from its middle; as in the document's schema. */
const MOST_TRIANGLES = 400_000;
const FARTHEST_MM = 10_000;

/** What a document says of a mesh that is kept beside it. */
export type ScanFigures = Pick<Scan, 'triangles' | 'sizeMm' | 'volumeL'>;

/**
 * Reads the bytes of a mesh from outside, measures it and holds it.
 *
 * @throws NotAMesh when it encloses no solid, with what is wrong
 */
export function takenIn(bytes: Uint8Array): Scan {
  const mesh = meshOfBytes(bytes);
  const fault = faultOf(mesh);
  if (fault) throw new NotAMesh(fault);
  const name = meshName(bytes);
  holdMesh(name, mesh);
  return { kind: 'scan', mesh: name, ...figuresOf(name, mesh) };
}

function faultOf(mesh: Mesh): Text | undefined {
  const triangles = mesh.faces.length / 3;
  if (triangles > MOST_TRIANGLES) return say('mesh.many', { count: triangles, most: MOST_TRIANGLES });
  if (mesh.vertices.some((mm) => !(Math.abs(mm) <= FARTHEST_MM)))
    return say('mesh.far', { most: inMm(FARTHEST_MM) });
  return solidFault(mesh);
}

/** Litres of a mesh of one shell by its surface; of several, which may run into each other, by columns. */
function figuresOf(name: string, mesh: Mesh): ScanFigures {
  const triangles = mesh.faces.length / 3;
  const stub: Scan = { kind: 'scan', mesh: name, triangles, sizeMm: [0, 0, 0], volumeL: 0 };
  const { lo, hi } = extentOf(stub, rotation(0));
  const sizeMm: Scan['sizeMm'] = [hi[0] - lo[0], hi[1] - lo[1], hi[2] - lo[2]];
  const mm3 = exactVolumeMm3(stub) ?? columnsOf({ ...stub, sizeMm }, 0).volumeMm3;
  return { triangles, sizeMm, volumeL: mm3 / MM3_PER_L };
}
