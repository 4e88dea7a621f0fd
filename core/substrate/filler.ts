/** Filler that one mesh bag holds, L, so that it can still be shaped (common practice). */
export const BAG_L = 2.5;

/** Mesh bags for filler: 5.2 L take three. */
export function bagsFor(fillerL: number): number {
  return Math.ceil(fillerL / BAG_L - 1e-9);
}
