/** A quantity on its way into a sentence: one figure or several of one unit, and the decimals it is said with. */
export interface Measure {
  value: number | readonly number[];
  unit: string;
  places: number;
  /** What stands between several: `440 × 520 mm`, `23 to 28 °C`. */
  between?: '×' | 'to';
}

type Figures = number | readonly number[];

export function measure(unit: string, usual: number) {
  return (value: Figures, places = usual, between?: Measure['between']): Measure => ({
    value,
    unit,
    places,
    ...(between ? { between } : {}),
  });
}

/** Each unit with the decimals it is usually said with. */
export const inMm = measure('mm', 0);
export const inM = measure('m', 1);
export const inLitres = measure('L', 1);
export const inMl = measure('mL', 0);
/** A twig weighs something, too: below a tenth of a kilogram with one digit more. */
export const inKg = (value: Figures, places?: number): Measure =>
  measure('kg', typeof value === 'number' && value > 0 && value < 0.095 ? 2 : 1)(value, places);
export const inKgf = measure('kgf', 2);
export const inCelsius = measure('°C', 1);
export const inDegreesOfHardness = measure('°d', 1);
export const inKnPerM2 = measure('kN/m²', 1);
export const inLitresAnHour = measure('L an hour', 1);
