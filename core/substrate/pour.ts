/**
 * Litres to pour so that the bed has its drawn volume after flooding: measured / (1 − settles). 3.58 L of a
 * soil that settles 7 % take 3.85 L.
 * Valid for a first flooding. Leaves out: sinking over months, and what is washed away.
 * Test: bedField.test.ts, "pours more than it measures, by what settles".
 */
export function pouredL(measuredL: number, settles = 0): number {
  return measuredL / (1 - settles);
}
