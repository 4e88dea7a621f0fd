/** A plug for which less than this is missing is not bought: it is rounding, not area. */
const ROUNDING = 1e-6;

/**
 * Whole plugs for an area, mm², at a spacing: 0.03 m² at 25 mm take 48.
 * Valid for square spacing over the whole area. Leaves out: rows that end at an edge: half a spacing is lost or
 * won there.
 * Test: takeOff.test.ts, "counts whole plugs: 0.03 m² at 25 mm take 48, a shade more 49".
 */
export function plugsFor(areaMm2: number, spacingMm: number): number {
  return Math.max(0, Math.ceil(areaMm2 / spacingMm ** 2 - ROUNDING));
}
