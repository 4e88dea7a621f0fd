/*
 * Hardness in degrees (°d, the German degree): 1 °dH is 10 mg of CaO in a litre. The document keeps degrees;
 * labels and laboratories also give mg/L as CaCO3 (ppm) and mmol/L of calcium and magnesium.
 */

/** Molar masses, g/mol, from the standard atomic weights of IUPAC. */
const CAO = 56.077;
const CACO3 = 100.087;

/** 10 mg/L CaO as CaCO3: 17.85 mg/L (DIN 38409-6, from memory). */
export const MG_CACO3_PER_DEGREE = (10 * CACO3) / CAO;
/** 0.1783 mmol/L of hardness; for carbonate hardness 0.3566 meq/L. */
export const MMOL_PER_DEGREE = 10 / CAO;

/** °d to mg/L as CaCO3: 10 °d are 178.5 mg/L. */
export function caco3FromDegrees(degrees: number): number {
  return degrees * MG_CACO3_PER_DEGREE;
}

/** mg/L as CaCO3 to °d. */
export function degreesFromCaco3(mgPerL: number): number {
  return mgPerL / MG_CACO3_PER_DEGREE;
}

/** °d to mmol/L: 10 °d are 1.783 mmol/L. */
export function mmolFromDegrees(degrees: number): number {
  return degrees * MMOL_PER_DEGREE;
}

/** mmol/L to °d. */
export function degreesFromMmol(mmolPerL: number): number {
  return mmolPerL / MMOL_PER_DEGREE;
}
