/** The international avoirdupois pound, exact by definition. */
export const KG_PER_POUND = 0.45359237;

/** Standard gravity, m/s², exact by definition (3rd General Conference on Weights and Measures). */
export const STANDARD_GRAVITY = 9.80665;

/** Kilograms to pounds: 1 kg is 2.2046 lb. */
export function poundsFromKg(massKg: number): number {
  return massKg / KG_PER_POUND;
}

/**
 * Weight of a mass in kilonewtons: 100 kg weigh 0.981 kN.
 * Valid for anywhere on the ground. Leaves out: how gravity differs from place to place, 0.5 %.
 * Test: units.test.ts, "weighs a mass at standard gravity".
 */
export function kilonewtonsFromKg(massKg: number): number {
  return (massKg * STANDARD_GRAVITY) / 1000;
}
