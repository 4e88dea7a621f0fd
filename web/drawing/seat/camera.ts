import { PerspectiveCamera, Vector3 } from 'three';
import type { Vessel } from '../../../core/commission/schema';
import type { Spot } from './place';

/** Widest angle from bottom to top of a picture, degrees: wider than that nothing looks as it does. */
const WIDEST_DEG = 75;
/** Room that a photograph has around the tank, against its half. */
const MARGIN = 0.09;
/** Turns in which it comes to look at the middle of what is seen: each leaves a small part of what was missing. */
const TURNS = 8;

/**
 * A camera at an eye, in the axes of the document, that has the whole tank in the middle of its picture and little else;
 * `aspect` is how wide the picture is against its height.
 */
export function cameraFrom(vessel: Vessel, [x, y, z]: Spot, aspect: number, fromAbove = false) {
  const camera = new PerspectiveCamera(WIDEST_DEG, aspect, 10, 60_000);
  camera.position.set(x, z, -y);
  if (fromAbove) camera.up.set(0, 0, -1);
  const corners = cornersOf(vessel);
  const at = corners.reduce((sum, c) => sum.add(c), new Vector3()).divideScalar(corners.length);
  for (let turn = 0; turn < TURNS; turn++) {
    camera.lookAt(at);
    camera.updateMatrixWorld();
    const { left, right, bottom, top } = boundsOf(corners, camera);
    // The middle of what is seen, one away from the eye, is what it looks at next.
    at.set((left + right) / 2, (bottom + top) / 2, -1).applyMatrix4(camera.matrixWorld);
  }
  const { right, top } = boundsOf(corners, camera);
  const half = Math.max(top, right / aspect) * (1 + MARGIN);
  camera.fov = Math.min(WIDEST_DEG, (2 * Math.atan(half) * 180) / Math.PI);
  camera.updateProjectionMatrix();
  return camera;
}

/** The corners of the glass in the axes of the scene. */
function cornersOf({ innerMm: { length, width, height }, glassMm }: Vessel): Vector3[] {
  const g = glassMm;
  return [-g, length + g].flatMap((x) => [-g, height].flatMap((y) => [g, -width - g].map((z) => new Vector3(x, y, z)))); // prettier-ignore
}

/** How far spots are from the middle of a picture to each side, against their distance from the eye. */
function boundsOf(spots: readonly Vector3[], camera: PerspectiveCamera) {
  const seen = spots.map((s) => s.clone().applyMatrix4(camera.matrixWorldInverse));
  const [across, up] = [seen.map((s) => s.x / Math.max(1, -s.z)), seen.map((s) => s.y / Math.max(1, -s.z))];
  return { left: Math.min(...across), right: Math.max(...across), bottom: Math.min(...up), top: Math.max(...up) };
} // prettier-ignore
