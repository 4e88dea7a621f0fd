/** US liquid gallon (231 cubic inches) and imperial gallon, both exact by definition. */
export const L_PER_US_GALLON = 3.785411784;
export const L_PER_IMPERIAL_GALLON = 4.54609;
/** US fluid ounce: 1/128 of a US gallon. */
export const ML_PER_US_FLUID_OUNCE = (L_PER_US_GALLON * 1000) / 128;

/** Cubic millimetres in a litre. */
export const MM3_PER_L = 1e6;

export function usGallonsFromL(volumeL: number): number {
  return volumeL / L_PER_US_GALLON;
}

export function imperialGallonsFromL(volumeL: number): number {
  return volumeL / L_PER_IMPERIAL_GALLON;
}
