import { Vector3, type Camera } from 'three';
import type { Grown } from '../../../core/planted/grown';

/** A little beside a plug counts as on it: a carpet is pressed between two of its blades, mm. */
const BESIDE_MM = 6;

/** A planting that is met by a look through a spot of the picture, and how far from the eye, mm. */
export interface Met {
  id: string;
  farMm: number;
}

/**
 * The nearest plug that covers a spot of the picture: between its foot and its top, as wide as it has spread. Leaves are too
 * fine to be hit one by one.
 *
 * @param x spot from left to right, −1 to 1, and `y` from below to above
 */
export function plantUnder(
  plants: readonly Grown[],
  camera: Camera,
  [x, y]: readonly [number, number],
): Met | undefined {
  const right = new Vector3().setFromMatrixColumn(camera.matrixWorld, 0);
  let met: Met | undefined;
  for (const { id, spots, heightMm, radiusMm } of plants) {
    const wide = right.clone().multiplyScalar(radiusMm + BESIDE_MM);
    for (let i = 0; i < spots.length; i += 3) {
      const at = new Vector3(spots[i], spots[i + 2], -spots[i + 1]);
      const farMm = at.distanceTo(camera.position);
      if (met && farMm >= met.farMm) continue;
      const foot = at.clone().project(camera);
      const top = at
        .clone()
        .setY(at.y + heightMm)
        .project(camera);
      const side = at.clone().add(wide).project(camera);
      const half = Math.hypot(side.x - foot.x, side.y - foot.y);
      const [low, high] = [Math.min(foot.y, top.y) - half, Math.max(foot.y, top.y)];
      const middle = (foot.x + top.x) / 2;
      if (y >= low && y <= high && Math.abs(x - middle) <= half) met = { id, farMm };
    }
  }
  return met;
}
