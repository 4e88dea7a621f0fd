/**
 * Density of air-free water at 1 atm, kg/m³, 0 to 40 °C: Kell, J. Chem. Eng. Data 20 (1975), coefficients
 * from memory. 999.97 at 4 °C, 998.20 at 20 °C, 997.04 at 25 °C.
 * Valid for 0 to 40 °C at 1 atm. Leaves out: what is dissolved in it.
 * Test: water.test.ts, "agrees with Kell (J. Chem. Eng. Data 20, 1975, values from memory)".
 */
export function waterDensity(celsius: number): number {
  const t = celsius;
  const above =
    999.83952 +
    t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - 280.54253e-12 * t))));
  return above / (1 + 16.87985e-3 * t);
}
