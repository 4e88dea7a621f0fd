/** Fresh water, kg/L: 1.000, within 0.3 % from 4 to 25 °C and on the careful side for what may float. */
export const FRESH_WATER_KG_PER_L = 1;

/**
 * Upward pull of something lighter than water, kgf; downward pull of something heavier is negative.
 * Valid for fresh water, 4 to 25 °C. Leaves out: air in bark and holes, gas that algae make.
 * Test: hardscape.test.ts, "lift and hold: 2 L of branch at 0.70 kg/L lift 0.60 kgf and need 0.96 kg of stone at
 * 2.65".
 */
export function liftKgf(underWaterL: number, densityKgPerL: number): number {
  return (FRESH_WATER_KG_PER_L - densityKgPerL) * underWaterL;
}

/**
 * Upward pull of a piece of which only a part is under water, kgf: the water it displaces less its whole mass.
 * 6 kg of root with 3.7 L of it under water pull down by 2.3 kgf: the part in the air weighs on the rest.
 * Valid for fresh water, 4 to 25 °C. Leaves out: suction in the bed.
 * Test: hardscape.test.ts, "a root half out of the water weighs more than it lifts".
 */
export function netLiftKgf(underWaterL: number, massKg: number): number {
  return FRESH_WATER_KG_PER_L * underWaterL - massKg;
}

/**
 * Mass of stone that holds down a lift, kg: lift / (1 − ρw/ρr). 0.60 kgf need 0.96 kg at 2.65 kg/L.
 * Valid for stone heavier than water. Leaves out: leverage: the stone is taken to pull straight down.
 * Test: hardscape.test.ts, "lift and hold: 2 L of branch at 0.70 kg/L lift 0.60 kgf and need 0.96 kg of stone at
 * 2.65".
 */
export function stoneToHoldKg(lift: number, stoneKgPerL: number): number {
  return lift / (1 - FRESH_WATER_KG_PER_L / stoneKgPerL);
}
