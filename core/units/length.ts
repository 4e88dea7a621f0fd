/** The international inch, exact by definition. */
export const MM_PER_INCH = 25.4;

/** Millimetres to inches: 25.4 mm is 1 in. */
export function inchesFromMm(mm: number): number {
  return mm / MM_PER_INCH;
}

/** Inches to millimetres: 2 in is 50.8 mm. */
export function mmFromInches(inches: number): number {
  return inches * MM_PER_INCH;
}
