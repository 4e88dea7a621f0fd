import type { Vessel } from '../commission/schema';
import type { Vector } from './ppfd';

/** A level strip at the top: from one corner to the other, its height, mm, and the share of light that it lets through. */
export interface Plate {
  from: readonly [number, number];
  to: readonly [number, number];
  zMm: number;
  through: number;
}

/** What a strip of glass over the water lets through, with the scale and drops that gather on it (from memory: clean float glass nine tenths). */
export const THROUGH_GLASS = 0.8;

/** Rim and braces of a vessel: of glass, or of plastic that lets nothing through. */
export function platesOf({
  innerMm: { length, width, height },
  rimMm = 0,
  rimOpaque,
  braces = [],
}: Pick<Vessel, 'innerMm' | 'rimMm' | 'rimOpaque' | 'braces'>): Plate[] {
  const strip = (x0: number, y0: number, x1: number, y1: number, opaque = rimOpaque): Plate => ({ from: [x0, y0], to: [x1, y1], zMm: height, through: opaque ? 0 : THROUGH_GLASS }); // prettier-ignore
  return [
    ...(rimMm > 0
      ? [
          strip(0, 0, length, rimMm),
          strip(0, width - rimMm, length, width),
          strip(0, rimMm, rimMm, width - rimMm),
          strip(length - rimMm, rimMm, length, width - rimMm),
        ]
      : []),
    ...braces.map(({ fromMm, toMm, opaque = false }) => strip(fromMm, rimMm, toMm, width - rimMm, opaque)),
  ];
}

/**
 * Share of a ray upwards that the strips let through, each of them its own share.
 * Valid for flat strips. Leaves out: what it sends back at a flat angle.
 * Test: plates.test.ts, "takes its share of what comes through it, by similar triangles".
 */
export function throughPlates(plates: readonly Plate[], from: Vector, to: Vector): number {
  let through = 1;
  for (const { from: lo, to: hi, zMm, through: lets } of plates) {
    const share = (zMm - from[2]) / (to[2] - from[2]);
    if (share <= 0 || share >= 1) continue;
    const [x, y] = [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
    if (x >= lo[0] && x <= hi[0] && y >= lo[1] && y <= hi[1]) through *= lets;
  }
  return through;
}
