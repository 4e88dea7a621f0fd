import type { Vessel } from '../commission/schema';
import type { Vector } from './ppfd';

/** A level strip of glass at the top: from one corner to the other, and its height, mm. */
export interface Plate {
  from: readonly [number, number];
  to: readonly [number, number];
  zMm: number;
}

/** What a strip of glass over the water lets through, with the scale and drops that gather on it (from memory: clean float glass nine tenths). */
export const THROUGH_GLASS = 0.8;

/** Rim and braces of a vessel, which are of glass. */
export function platesOf({
  innerMm: { length, width, height },
  rimMm = 0,
  braces = [],
}: Pick<Vessel, 'innerMm' | 'rimMm' | 'braces'>): Plate[] {
  const strip = (x0: number, y0: number, x1: number, y1: number): Plate => ({ from: [x0, y0], to: [x1, y1], zMm: height }); // prettier-ignore
  return [
    ...(rimMm > 0
      ? [
          strip(0, 0, length, rimMm),
          strip(0, width - rimMm, length, width),
          strip(0, rimMm, rimMm, width - rimMm),
          strip(length - rimMm, rimMm, length, width - rimMm),
        ]
      : []),
    ...braces.map(({ fromMm, toMm }) => strip(fromMm, rimMm, toMm, width - rimMm)),
  ];
}

/**
 * Share of a ray upwards that the strips let through, each of them the same share.
 * Valid for flat glass. Leaves out: what it sends back at a flat angle.
 * Test: plates.test.ts, "takes its share of what comes through it, by similar triangles".
 */
export function throughPlates(plates: readonly Plate[], from: Vector, to: Vector): number {
  let through = 1;
  for (const { from: lo, to: hi, zMm } of plates) {
    const share = (zMm - from[2]) / (to[2] - from[2]);
    if (share <= 0 || share >= 1) continue;
    const [x, y] = [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
    if (x >= lo[0] && x <= hi[0] && y >= lo[1] && y <= hi[1]) through *= THROUGH_GLASS;
  }
  return through;
}
