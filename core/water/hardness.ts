import { mmolFromDegrees } from '../units/hardness';

/** Gypsum, CaSO4·2H2O, and sodium hydrogen carbonate, g/mol. */
const GYPSUM = 172.17;
const NAHCO3 = 84.007;

/**
 * Gypsum that raises GH, g: 100 L by 1 °d take 3.07 g.
 * Valid for what dissolves: under about 2 g a litre. Leaves out: impurities of the salt.
 * Test: water.test.ts, "is raised by 3.07 g of gypsum or 3.00 g of bicarbonate for 100 L and a degree".
 */
export function gypsumG(degrees: number, volumeL: number): number {
  return (mmolFromDegrees(degrees) * GYPSUM * volumeL) / 1000;
}

/**
 * Sodium hydrogen carbonate that raises KH, g: 100 L by 1 °d take 3.00 g.
 * Valid for any amount that a tank takes. Leaves out: what pH and soil do to it afterwards.
 * Test: water.test.ts, "is raised by 3.07 g of gypsum or 3.00 g of bicarbonate for 100 L and a degree".
 */
export function bicarbonateG(degrees: number, volumeL: number): number {
  return (2 * mmolFromDegrees(degrees) * NAHCO3 * volumeL) / 1000;
}
