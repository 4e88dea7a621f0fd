/*
 * Limits and defaults of the trade that more than one place asks for, each stated once (common practice; what belongs to
 * one rule alone stands with that rule). What a brief means where it says nothing is in `usual.ts`.
 */

/** Kept clear behind the front pane for the cleaning blade, mm: at least, as it is drawn by itself, and at most. */
export const CLEAR_FRONT_MM = { least: 10, usual: 15, most: 20 } as const;

/** A main stone may reach this share of the tank's height. */
export const TALLEST_SHARE = 0.9;

/** A gap between two large stones reads as a canyon, and can be cleaned, from this width on, mm. */
export const CANYON_MM = 25;

/** Slope at which grain holds where its material does not say, degrees. */
export const USUAL_REPOSE_DEG = 32;

/** Depth a bed-rooting plant needs when its entry does not say, mm. */
export const USUAL_ROOT_DEPTH_MM = 50;

/** Sizes are nominal: a tank that is sold as 600 has 598 inside, share of a length by which it may be shorter. */
export const NOMINAL_SHARE = 0.02;

/** So much of grain over filler in bags hides the mesh, mm. */
export const OVER_BAGS_MM = 20;
