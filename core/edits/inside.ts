import type { Piece, Shape, Vessel } from '../commission/schema';
import type { Mesh } from '../geometry/mesh';
import { rotation } from '../geometry/rotation';
import { extentOf, extentOfMesh, type Extent } from '../hardscape/extent';
import { solidMesh } from '../hardscape/solid';

/** Left to the pane, mm: places are whole millimetres, and rounded none goes through. */
const ROOM_MM = 1;

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
  surface: (shape: Shape) => Mesh = solidMesh,
): [number, number] {
  const extents = pieces.map((p) => extentAt(p, surface));
  const along = (axis: 0 | 1, by: number, sizeMm: number) => {
    const low = Math.min(...pieces.map((p, i) => p.at[axis] + extents[i].lo[axis]));
    const high = Math.max(...pieces.map((p, i) => p.at[axis] + extents[i].hi[axis]));
    if (high - low > sizeMm) return by;
    const [back, on] = [Math.min(0, ROOM_MM - low), Math.max(0, sizeMm - ROOM_MM - high)];
    return Math.min(on, Math.max(back, by));
  };
  return [along(0, dx, innerMm.length), along(1, dy, innerMm.width)];
}

const POINT: Extent = { lo: [0, 0, 0], hi: [0, 0, 0] };

function extentAt({ shape, turnDeg, tiltDeg }: Placed, surface: (shape: Shape) => Mesh): Extent {
  const turn = rotation(turnDeg, tiltDeg);
  if (shape.kind !== 'scan') return extentOf(shape, turn);
  const mesh = surface(shape);
  return mesh.vertices.length > 0 ? extentOfMesh(mesh, turn) : POINT;
}
