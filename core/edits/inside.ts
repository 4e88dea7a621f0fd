import type { Piece, Shape, Vessel } from '../commission/schema';
import { rotation } from '../geometry/rotation';
import { extentOf } from '../hardscape/extent';
import { isHeld } from '../hardscape/heldMeshes';

/**
 * How far pieces that are moved together can go of a way over the floor, mm: until the first touches a pane, by the box
 * around the inner outline. What stands outside already goes no further out; what is too large for the tank goes anywhere.
 */
export function insideGlass(
  { innerMm }: Pick<Vessel, 'innerMm'>,
  pieces: readonly Pick<Piece, 'at' | 'shape' | 'turnDeg' | 'tiltDeg'>[],
  [dx, dy]: readonly [number, number],
): [number, number] {
  const extents = pieces.map((p) => extentOf(known(p.shape), rotation(p.turnDeg, p.tiltDeg)));
  const along = (axis: 0 | 1, by: number, sizeMm: number) => {
    const low = Math.min(...pieces.map((p, i) => p.at[axis] + extents[i].lo[axis]));
    const high = Math.max(...pieces.map((p, i) => p.at[axis] + extents[i].hi[axis]));
    if (high - low > sizeMm) return by;
    const [back, on] = [Math.min(0, -low), Math.max(0, sizeMm - high)];
    return Math.min(on, Math.max(back, by));
  };
  return [along(0, dx, innerMm.length), along(1, dy, innerMm.width)];
}

/** A scan whose mesh is not at hand is as large as the box that it was measured in. */
function known(shape: Shape): Shape {
  return shape.kind === 'scan' && !isHeld(shape.mesh) ? { kind: 'box', sizeMm: shape.sizeMm } : shape;
}
