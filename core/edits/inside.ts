import type { Piece, Shape, Vessel } from '../commission/schema';
import type { Mesh } from '../geometry/mesh';
import { rotation } from '../geometry/rotation';
import { extentOf, extentOfMesh, type Extent } from '../hardscape/extent';
import { solidMesh } from '../hardscape/solid';

/** Left to the pane, mm: places are whole millimetres, and rounded none goes through. */
const ROOM_MM = 1;

/** The surface of a shape, as it is at hand. */
export type SurfaceOf = (shape: Shape) => Mesh;

type Placed = Pick<Piece, 'at' | 'shape' | 'turnDeg' | 'tiltDeg'>;

/**
 * How far pieces that are moved together can go of a way over the floor, mm: until the first touches a pane, by the box
 * around the inner outline. What stands outside already goes no further out; what is too large for the tank goes anywhere.
 * @param surface the surface of a scan as it is at hand; without corners only its place is kept inside.
 */
export function insideGlass(
  { innerMm }: Pick<Vessel, 'innerMm'>,
  pieces: readonly Placed[],
  [dx, dy]: readonly [number, number],
  surface: SurfaceOf = solidMesh,
): [number, number] {
  const extents = pieces.map((p) => extentAt(p, surface));
  const along = (axis: 0 | 1, by: number, sizeMm: number) => {
    const low = Math.min(...pieces.map((p, i) => p.at[axis] + extents[i].lo[axis]));
    const high = Math.max(...pieces.map((p, i) => p.at[axis] + extents[i].hi[axis]));
    return high - low > sizeMm ? by : wayWithin(by, low - ROOM_MM, high + ROOM_MM, sizeMm);
  };
  return [along(0, dx, innerMm.length), along(1, dy, innerMm.width)];
}

/** So much of a way, mm, that what lies between two places stays within 0 and a size; outside it goes no further out. */
export function wayWithin(byMm: number, lowMm: number, highMm: number, sizeMm: number): number {
  return Math.min(Math.max(byMm, Math.min(0, -lowMm)), Math.max(0, sizeMm - highMm));
}

const POINT: Extent = { lo: [0, 0, 0], hi: [0, 0, 0] };

function extentAt({ shape, turnDeg, tiltDeg }: Placed, surface: SurfaceOf): Extent {
  const turn = rotation(turnDeg, tiltDeg);
  if (shape.kind !== 'scan') return extentOf(shape, turn);
  const mesh = surface(shape);
  return mesh.vertices.length > 0 ? extentOfMesh(mesh, turn) : POINT;
}
