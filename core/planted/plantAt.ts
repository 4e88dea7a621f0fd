import type { Grown } from './grown';

/**
 * What is planted at a spot of the view from the front: of all that reach over it the one that stands nearest, and how
 * far from the front its plug is.
 *
 * @param x mm from the left
 * @param z mm above the glass
 */
export function plantAt(
  grown: readonly Grown[],
  x: number,
  z: number,
): { id: string; yMm: number } | undefined {
  let found: { id: string; yMm: number } | undefined;
  for (const { id, spots, radiusMm, heightMm } of grown)
    for (let i = 0; i < spots.length; i += 3) {
      const covers = Math.abs(spots[i] - x) <= radiusMm && z >= spots[i + 2] && z <= spots[i + 2] + heightMm;
      if (covers && (!found || spots[i + 1] < found.yMm)) found = { id, yMm: spots[i + 1] };
    }
  return found;
}
