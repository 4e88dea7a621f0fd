/** Filler that one mesh bag holds, L, so that it can still be shaped (common practice). */
export const BAG_L = 2.5;

/** Mesh bags for filler: 5.2 L take three. */
export function bagsFor(fillerL: number): number {
  return Math.ceil(fillerL / BAG_L - 1e-9);
}

/** Filler is kept this far off the glass, so that it is not seen, mm (common practice: 10 to 20). */
export const OFF_GLASS_MM = 10;
