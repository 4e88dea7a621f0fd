/** An amount of water with its temperature. */
export interface Batch {
  litres: number;
  celsius: number;
}

/**
 * Temperature of several batches poured together, °C: Σ m·t / Σ m. 30 L of 10 and 10 L of 50 give 20.
 * Valid for water with water, 0 to 60 °C. Leaves out: the tank’s and the cans’ own warmth, what is lost on the
 * way.
 * Test: water.test.ts, "is the mean by amount: 30 L of 10 °C and 10 L of 50 °C give 20 °C".
 */
export function mixedCelsius(batches: readonly Batch[]): number {
  const litres = batches.reduce((sum, b) => sum + b.litres, 0);
  return litres === 0 ? NaN : batches.reduce((sum, b) => sum + b.litres * b.celsius, 0) / litres;
}

/**
 * Warmth that one batch must bring so that the whole comes to a temperature, °C; undefined when there is
 * none of it.
 */
export function missingCelsius(wanted: number, litres: number, others: readonly Batch[]): number | undefined {
  if (litres <= 0) return undefined;
  const all = others.reduce((sum, b) => sum + b.litres, litres);
  return (wanted * all - others.reduce((sum, b) => sum + b.litres * b.celsius, 0)) / litres;
}
